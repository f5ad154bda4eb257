/** Nobody sets a dial finer than a tenth. */
const DIAL_STEPS = 10

/** A setting as a hand can set it. @example dialText(11.987) // '12'; dialText(10.29) // '10.3' */
export const dialText = (setting: number): string => String(Math.round(setting * DIAL_STEPS) / DIAL_STEPS)
