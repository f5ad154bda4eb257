/** Where the growth under a regulator stands, as a share of the deepest it is held back. */
export interface Suppression {
  /** -1: held back most; 0: as without it; above 0: it grows faster than it would have. */
  readonly shape: number
  readonly phase: 'falls' | 'comes back' | 'overshoots' | 'over'
}

/** Growth overshoots by less than it was held back (house guess; the published curves differ). */
const REBOUND_SHARE = 0.5

/**
 * The shape of growth after a regulator: lowest about half way to the threshold, back near it, then above the
 * untreated, then over. A model of the course alone: how deep it goes is not told, for no published figure
 * covers lawns.
 * @param units heat units since it was laid @param threshold of its active and grass, above 0
 * Source: trade.md 10 (after Kreuser and co-workers).
 */
export function suppression(units: number, threshold: number): Suppression {
  const share = Math.max(0, units) / threshold
  if (share < 1) return { shape: -Math.sin(Math.PI * share), phase: share < 0.5 ? 'falls' : 'comes back' }
  if (share < 2) return { shape: REBOUND_SHARE * Math.sin(Math.PI * (share - 1)), phase: 'overshoots' }
  return { shape: 0, phase: 'over' }
}
