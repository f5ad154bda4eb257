/** What the turf is doing; a label may print a rate for one of them alone. */
export const TURF_STATES = [
  '',
  'growing',
  'greening up',
  'heat-stressed',
  'going dormant',
  'dormant',
] as const
export type TurfState = (typeof TURF_STATES)[number]
