/**
 * Ways to calibrate a spreader: a taped course, what a tray or bag caught over one, what it caught in a time,
 * what a job took.
 */
export const SPREAD_METHODS = ['known area', 'catch', 'timed catch', 'job'] as const
export type SpreadMethod = (typeof SPREAD_METHODS)[number]
/** Ways to calibrate a sprayer (trade.md 4). */
export const SPRAY_METHODS = [
  'refill',
  'drain',
  'nozzle catch',
  '1/128 acre',
  'one nozzle',
  'hose-end',
  'job',
] as const
export type SprayMethod = (typeof SPRAY_METHODS)[number]

export const spreadMethodOf = ({ by }: { readonly by?: SpreadMethod }): SpreadMethod => by ?? 'known area'
export const sprayMethodOf = ({ by }: { readonly by?: SprayMethod }): SprayMethod => by ?? 'refill'
