import type { Organization } from '#shared/schemas/organization'

/** The organization's now: the sample's clock is shifted, so that it is always mid-season there. */
export const nowFor = ({ clockShift }: Pick<Organization, 'clockShift'>): Date => new Date(Date.now() + clockShift)

/** The organization's calendar day, in its own zone, YYYY-MM-DD. */
export const todayFor = (organization: Organization): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone: organization.timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(nowFor(organization))
