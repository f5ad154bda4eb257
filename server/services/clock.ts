import { DateFormatter, parseDate } from '@internationalized/date'
import type { Organization } from '#shared/schemas/organization'

/** The organization's now: the sample's clock is shifted, so that it is always mid-season there. */
export const nowFor = ({ clockShift }: Pick<Organization, 'clockShift'>): Date =>
  new Date(Date.now() + clockShift)

/** The calendar day of an instant in the organization's own zone, YYYY-MM-DD. */
export const dayFor = ({ timeZone }: Pick<Organization, 'timeZone'>, instant: Date): string =>
  new DateFormatter('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(instant)

export const todayFor = (organization: Organization): string => dayFor(organization, nowFor(organization))

/** The instant at which a day begins in a zone. */
export const startOfDay = (day: string, timeZone: string): string =>
  parseDate(day).toDate(timeZone).toISOString()
