/** Tries that cost no waiting: anybody mistypes. */
const FREE_TRIES = 4
const LONGEST_WAIT_S = 900

/**
 * How long the next try at signing in has to wait, s: nothing for the first few, then 2 s, 4 s, 8 s, up to a
 * quarter of an hour.
 * @param failures in a row
 */
export const signInWait = (failures: number): number =>
  failures < FREE_TRIES ? 0 : Math.min(2 ** (failures - FREE_TRIES + 1), LONGEST_WAIT_S)
