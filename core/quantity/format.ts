/** Digits people can use: three significant, four when the first digit is 1 (so that the last one is always worth 0.1 to 1 %). */
const DIGITS = 3
const DIGITS_AFTER_ONE = 4

/**
 * A figure as the screens show it: three significant figures, four when the first digit is 1, commas between thousands, never an exponent.
 * @example formatFigure(19.958) // '19.96'; formatFigure(0.31049) // '0.310'; formatFigure(25943) // '25,900'
 */
export function formatFigure(value: number): string {
  if (!Number.isFinite(value)) return '–'
  if (value === 0) return '0'
  const rounded = Number(value.toPrecision(digitsFor(value)))
  const decimals = Math.max(0, digitsFor(rounded) - 1 - exponentOf(rounded))
  return rounded.toLocaleString('en-US', { minimumFractionDigits: Math.min(decimals, 20), maximumFractionDigits: Math.min(decimals, 20) })
}

/**
 * A lawn's size: to 10 ft2 or to 1 m2, as finely as anybody measures; small ones as a plain figure.
 * @example formatArea(5868, 'ft2') // '5,870'
 */
export function formatArea(value: number, unit: 'ft2' | 'm2'): string {
  const step = unit === 'ft2' ? 10 : 1
  if (value < step * 10) return formatFigure(value)
  return (Math.round(value / step) * step).toLocaleString('en-US')
}

const exponentOf = (value: number): number => Number(value.toExponential().split('e')[1])

function digitsFor(value: number): number {
  return value.toExponential().replace('-', '').startsWith('1') ? DIGITS_AFTER_ONE : DIGITS
}

/** A share as per cent with one decimal, sign always shown. @example formatDeviation(-0.0342) // '−3.4 %' */
export function formatDeviation(share: number): string {
  const percent = Math.abs(share * 100)
  const sign = share < 0 ? '−' : '+'
  return `${percent < 0.05 ? '' : sign}${percent.toFixed(1)} %`
}

/** An uncertainty, to two significant figures: more would claim too much. @example formatGive(1.5412) // '1.5'; formatGive(453) // '450' */
export const formatGive = (value: number): string => Number(value.toPrecision(2)).toLocaleString('en-US', { maximumFractionDigits: 6 })

/** An amount that is a whole number of a tool's steps, to the last digit of the step and no further. @example formatSteps(2280) // '2,280'; formatSteps(9.5) // '9.5' */
export const formatSteps = (value: number): string => Number(value.toPrecision(10)).toLocaleString('en-US', { maximumFractionDigits: 6 })
