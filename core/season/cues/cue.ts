/** What a technician sees on a site that tells the season, beside the soil. Source: trade.md 10. */
export const CUE_KINDS = [
  'shrub in bloom',
  'shrub bloom over',
  'first mow',
  'half green',
  'fully green',
  'seed heads over',
] as const
export type CueKind = (typeof CUE_KINDS)[number]

export interface Cue {
  /** YYYY-MM-DD */
  readonly on: string
  readonly kind: CueKind
}
