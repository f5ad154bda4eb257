import { DateFormatter, parseAbsolute, parseDate, toCalendarDateTime } from '@internationalized/date'
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

/**
 * An instant by the clock of a zone, as a table of records tells it and takes it in again.
 * @example localText('2026-12-01T23:03:10Z', 'Pacific/Auckland') // '2026-12-02 12:03'
 */
export function localText(instant: string, timeZone: string): string {
  const [day = '', time = ''] = toCalendarDateTime(parseAbsolute(instant, timeZone)).toString().split('T')
  return `${day} ${time.slice(0, 5)}`
}
