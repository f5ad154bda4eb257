/**
 * Seconds between two beats, so that a walker who steps on each keeps the pace.
 * @param stride m; @param speed m/s
 * @returns undefined where either is nothing
 * @example 0.75 m at 1.39 m/s: a step every 0.54 s
 */
export const beatSeconds = (stride: number, speed: number): number | undefined =>
  stride > 0 && speed > 0 ? stride / speed : undefined
