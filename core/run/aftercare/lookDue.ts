import { daysAfter } from '../../calendar/daysBetween'
import type { ProductKind } from '../../label/productDocument'
import type { LookEntry } from '../carriedShape'

/** What went down against something is looked at after so many days (house default). */
const FIRST_LOOK_DAYS = 14
const AGAINST: readonly ProductKind[] = [
  'fungicide',
  'insecticide',
  'pre-emergent herbicide',
  'post-emergent herbicide',
]

/**
 * The day on which a treated lawn is to be looked at; undefined where nobody has to.
 * @param kinds of what went down; @param on the day it did, YYYY-MM-DD
 * Source: trade.md 9, follow-up.
 */
export function lookDue(
  kinds: readonly ProductKind[],
  on: string,
  looks: readonly Pick<LookEntry, 'again' | 'on'>[],
): string | undefined {
  const last = looks.toSorted((a, b) => (a.on < b.on ? -1 : 1)).at(-1)
  if (last) return last.again
  return kinds.some((kind) => AGAINST.includes(kind)) ? daysAfter(on, FIRST_LOOK_DAYS) : undefined
}
