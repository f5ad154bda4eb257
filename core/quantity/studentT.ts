/**
 * 97.5 % points of Student's t for 1 to 30 degrees of freedom. Source: the usual table, to three decimals.
 */
const TABLE = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131,
  2.12, 2.11, 2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
] as const

/** The same of the normal spread: half-width of 95 % in standard deviations. */
export const NORMAL_95 = 1.959964

/**
 * Half-width of a 95 % band in standard errors, for so many degrees of freedom.
 * @param freedom whole, at least 1
 * Source: table up to 30; beyond, the first two terms of the expansion in 1 / freedom (within 0.001).
 * @example studentT(2) // 4.303
 */
export const studentT = (freedom: number): number =>
  TABLE[freedom - 1] ?? NORMAL_95 + 2.3723 / freedom + 2.8225 / freedom ** 2
