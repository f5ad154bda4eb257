import { daysAfter } from '../calendar/daysBetween'

/**
 * The licence that goes on record beside a name: a person's own or none; the crew's, named as such, only
 * where nobody signs in.
 * @param person whose work it is; undefined where nobody signs in
 * @example licenceOf(undefined, 'C-4471') // 'C-4471 (the crew’s)'
 */
export function licenceOf(person: { readonly licence: string } | undefined, ofCrew: string): string {
  if (person) return person.licence.trim()
  return ofCrew.trim() === '' ? '' : `${ofCrew.trim()} (the crew’s)`
}

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
