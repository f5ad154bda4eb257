import { daysAfter } from '../calendar/daysBetween'

/** A licence that ends within so many days is told beforehand. */
const SOON_DAYS = 30

export type LicenceStanding = 'none' | 'valid' | 'ends-soon' | 'ended'

/**
 * How a licence stands on a day; one without an end is taken as valid.
 * @param ends last day it is valid, YYYY-MM-DD, or blank; @param day YYYY-MM-DD
 */
export function licenceStanding(licence: string, ends: string, day: string): LicenceStanding {
  if (licence.trim() === '') return 'none'
  if (ends === '') return 'valid'
  if (ends < day) return 'ended'
  return ends <= daysAfter(day, SOON_DAYS) ? 'ends-soon' : 'valid'
}
