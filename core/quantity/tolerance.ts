/** How close two figures are, by what it is asked for. */

/** Rounding of a double: figures this close to a limit, as a share, are on it. */
export const ROUNDING = 1e-9

/** Over a limit, and not just by rounding. */
export const isOver = (value: number, limit: number): boolean => value > limit * (1 + ROUNDING)

/** Under a limit, and not just by rounding. */
export const isUnder = (value: number, limit: number): boolean => value < limit * (1 - ROUNDING)

/** Figures closer than this, as a share, are the same to anybody who measures. */
const SAME_TO_MEASURE = 1e-6
export const isSameFigure = (a: number, b: number): boolean =>
  Math.abs(a - b) <= SAME_TO_MEASURE * Math.max(Math.abs(a), Math.abs(b))

/** A setting that gives the wanted rate this closely needs no correction (house tolerance). */
export const SETTING_TOLERANCE = 0.05
export const isRateReached = (gives: number, wanted: number): boolean =>
  Math.abs(gives / wanted - 1) <= SETTING_TOLERANCE

/** Whole steps, packages or tanks are counted with this tolerance: 0.7 / 0.1 is seven steps. */
export const wholeSteps = (exact: number): number => Math.floor(exact + ROUNDING)
export const stepsToCover = (exact: number): number => Math.ceil(exact - ROUNDING)
