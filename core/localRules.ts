/** What a region, a town or a client forbids; the crew's own table, never ours. */
export const LOCAL_RULE_KINDS = [
  'no application',
  'no nitrogen',
  'no phosphorus',
  'nitrogen in one go',
  'nitrogen in a year',
  'phosphorus in one go',
  'potassium in one go',
  'buffer to water',
] as const
export type LocalRuleKind = (typeof LOCAL_RULE_KINDS)[number]

export interface LocalRule {
  readonly id: string
  readonly kind: LocalRuleKind
  /** Days of the year, MM-DD, both counted; both blank: all year. */
  readonly from: string
  readonly to: string
  /** Lb of N, P2O5 or K2O on 1,000 ft2, or ft for a buffer; blank where the kind forbids outright. */
  readonly limit: string
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
