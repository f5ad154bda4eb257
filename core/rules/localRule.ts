import type { Nutrient } from '../label/label'
import { rateUnitParts } from '../quantity/rateUnit'
import { AREA_RATE_UNITS, LENGTH_UNITS, type AreaRateUnit, type LengthUnit } from '../quantity/units'

/** What a kind of local rule forbids, and what figure it asks for. */
export interface LocalRuleFacts {
  readonly nutrient?: Exclude<Nutrient, 'fe'>
  /** Forbids outright, or from a limit: a rate in one go or in a year, or a distance to keep. */
  readonly limit: 'none' | 'rate' | 'length'
  readonly over: 'go' | 'year'
  /** What of the nutrient counts: nitrogen that is not slow release, or the element instead of the oxide. */
  readonly counts?: 'quick' | 'element'
}

/** What a region, a town or a client forbids; the crew's own table, never ours. */
export const LOCAL_RULES = {
  'no application': { limit: 'none', over: 'go' },
  'no nitrogen': { nutrient: 'n', limit: 'none', over: 'go' },
  'no phosphorus': { nutrient: 'p2o5', limit: 'none', over: 'go' },
  'nitrogen in one go': { nutrient: 'n', limit: 'rate', over: 'go' },
  'quick nitrogen in one go': { nutrient: 'n', limit: 'rate', over: 'go', counts: 'quick' },
  'nitrogen in a year': { nutrient: 'n', limit: 'rate', over: 'year' },
  'phosphorus in one go': { nutrient: 'p2o5', limit: 'rate', over: 'go' },
  'phosphorus as P in one go': { nutrient: 'p2o5', limit: 'rate', over: 'go', counts: 'element' },
  'potassium in one go': { nutrient: 'k2o', limit: 'rate', over: 'go' },
  'potassium as K in one go': { nutrient: 'k2o', limit: 'rate', over: 'go', counts: 'element' },
  'buffer to water': { limit: 'length', over: 'go' },
  'buffer to beds': { limit: 'length', over: 'go' },
} as const satisfies Readonly<Record<string, LocalRuleFacts>>
export type LocalRuleKind = keyof typeof LOCAL_RULES
export const LOCAL_RULE_KINDS = Object.keys(LOCAL_RULES) as readonly LocalRuleKind[]
export const localRuleFacts = (kind: LocalRuleKind): LocalRuleFacts => LOCAL_RULES[kind]

/** Units in which each sort of limit may be written; the first stands where none was written down. */
export type LocalLimitUnit = AreaRateUnit | LengthUnit
export const LOCAL_RATE_UNITS: readonly AreaRateUnit[] = AREA_RATE_UNITS.filter(
  (unit) => rateUnitParts(unit).dimension === 'mass',
).toSorted((a, b) => Number(b === 'lb/1000 ft2') - Number(a === 'lb/1000 ft2'))
export const LOCAL_LENGTH_UNITS: readonly LengthUnit[] = LENGTH_UNITS.toSorted(
  (a, b) => Number(b === 'ft') - Number(a === 'ft'),
)

/** Units a limit of this kind may be written in; none where it forbids outright. */
export function localLimitUnits(kind: LocalRuleKind): readonly LocalLimitUnit[] {
  const { limit } = LOCAL_RULES[kind]
  if (limit === 'none') return []
  return limit === 'rate' ? LOCAL_RATE_UNITS : LOCAL_LENGTH_UNITS
}

export interface LocalRule {
  readonly id: string
  readonly kind: LocalRuleKind
  /** Days of the year, MM-DD, both counted; both blank: all year. */
  readonly from: string
  readonly to: string
  /**
   * As typed; blank where the kind forbids outright. Of the nutrient: N, P2O5 or K2O, or P or K by its
   * kind.
   */
  readonly limit: string
  /** Absent: lb on 1,000 ft2, or ft for a distance. */
  readonly unit?: LocalLimitUnit
  /** Where it stands: the ordinance, the contract. */
  readonly source: string
}

/** Two products and what this crew found when they met. */
export interface MixNote {
  readonly id: string
  readonly a: string
  readonly b: string
  readonly verdict: 'mixes' | 'never'
  readonly words: string
}

/** What was found of a pair, before it is written down. */
export type JarTest = Pick<MixNote, 'a' | 'b' | 'verdict'>

/** One key for a pair of products, whichever stands first and however their names are written. */
export const pairKey = (a: string, b: string): string =>
  [a.trim().toLowerCase(), b.trim().toLowerCase()].toSorted().join(' + ')

/** The crew's notes with what was found last: a pair that was noted before is noted anew. */
export function withJarTests(
  notes: readonly MixNote[],
  found: readonly JarTest[],
  newId: () => string,
): readonly MixNote[] {
  const anew = new Set(found.map(({ a, b }) => pairKey(a, b)))
  return [
    ...notes.filter(({ a, b }) => !anew.has(pairKey(a, b))),
    ...found.map((one) => ({ id: newId(), ...one, words: '' })),
  ]
}
