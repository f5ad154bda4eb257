/**
 * Digits people can use: three significant, four when the first digit is 1 (so that the last one is always
 * worth 0.1 to 1 %).
 */
const DIGITS = 3
const DIGITS_AFTER_ONE = 4

/**
 * Digits with commas between thousands. Written out: the platform's formatter takes 45 microseconds a figure,
 * this one less than one.
 */
function grouped(value: number, decimals: number): string {
  const [whole = '', rest] = value.toFixed(decimals).split('.')
  const commas = whole.replace(/\B(?=(\d{3})+$)/g, ',')
  return rest === undefined ? commas : `${commas}.${rest}`
}

/** The same without the noughts at the end, at most six decimals. */
const trimmed = (value: number): string => grouped(value, 6).replace(/\.?0+$/, '')

/**
 * A figure as the screens show it: three significant figures, four when the first digit is 1, commas between
 * thousands, never an exponent.
 * @example formatFigure(19.958) // '19.96'; formatFigure(0.31049) // '0.310'; formatFigure(25943) // '25,900'
 */
export function formatFigure(value: number): string {
  if (!Number.isFinite(value)) return '–'
  if (value === 0) return '0'
  const rounded = Number(value.toPrecision(digitsFor(value)))
  const decimals = Math.max(0, digitsFor(rounded) - 1 - exponentOf(rounded))
  return grouped(rounded, Math.min(decimals, 20))
}

/**
 * A lawn's size: to 10 ft2 or to 1 m2, as finely as anybody measures; small ones as a plain figure.
 * @example formatArea(5868, 'ft2') // '5,870'
 */
export function formatArea(value: number, unit: 'ft2' | 'm2'): string {
  const step = unit === 'ft2' ? 10 : 1
  if (value < step * 10) return formatFigure(value)
  return grouped(Math.round(value / step) * step, 0)
}

const exponentOf = (value: number): number => Number(value.toExponential().split('e')[1])

function digitsFor(value: number): number {
  return value.toExponential().replace('-', '').startsWith('1') ? DIGITS_AFTER_ONE : DIGITS
}

/**
 * A figure as people write it into a table: without what only the arithmetic of machines leaves behind.
 * @returns blank where there is none
 * @example asWritten(15.629999999999999) // 15.63
 */
export const asWritten = (value: number | undefined): number | '' =>
  value === undefined ? '' : Number(value.toPrecision(9))

/** A share as per cent with one decimal, sign always shown. @example formatDeviation(-0.0342) // '−3.4 %' */
export function formatDeviation(share: number): string {
  const percent = Math.abs(share * 100)
  const sign = share < 0 ? '−' : '+'
  return `${percent < 0.05 ? '' : sign}${percent.toFixed(1)} %`
}

/**
 * Time on the move, in minutes: to a tenth under ten, else whole; nobody walks by the second.
 * @example formatMinutes(155.4) // '2.6'; formatMinutes(905) // '15'
 */
export const formatMinutes = (seconds: number): string =>
  seconds < 594 ? trimmed(Number((seconds / 60).toFixed(1))) : grouped(seconds / 60, 0)

/**
 * Time of a day's work, in hours to a tenth.
 * @example formatHours(16_200) // '4.5'
 */
export const formatHours = (seconds: number): string => trimmed(Number((seconds / 3600).toFixed(1)))

/**
 * An uncertainty, to two significant figures: more would claim too much.
 * @example formatGive(1.5412) // '1.5'; formatGive(453) // '450'
 */
export const formatGive = (value: number): string => trimmed(Number(value.toPrecision(2)))

/**
 * An amount that is a whole number of a tool's steps, to the last digit of the step and no further.
 * @example formatSteps(2280) // '2,280'; formatSteps(9.5) // '9.5'
 */
export const formatSteps = (value: number): string => trimmed(Number(value.toPrecision(10)))
