/** A pre-emergent works commonly for so many days, and keeps seed down as long, where its label is silent. */
export const BARRIER_DAYS = 90

/** Seed is established after so many days; until then it is young (house default; by eye in doubt). */
export const ESTABLISHED_DAYS = 60
