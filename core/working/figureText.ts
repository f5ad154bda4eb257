import type { Quantity } from '../quantity/quantity'

/**
 * A number to six significant digits, for working lines; trailing zeros dropped.
 * @example sixDigits(19.95800001) // '19.958'
 */
export const sixDigits = (value: number): string => String(Number(value.toPrecision(6)))

/** A computed figure in a working line: six significant digits and its unit. */
export const figureText = ({ value, unit }: Quantity): string => `${sixDigits(value)} ${unit}`

/** More digits than anybody types: the figure was worked out on another page, and is quoted to six. */
const TYPED_DIGITS = 15

/** An input in a working line: exactly as entered. */
export function asEntered({ value, unit }: Quantity): string {
  const text = String(value)
  return `${text.replace(/\D/g, '').length > TYPED_DIGITS ? sixDigits(value) : text} ${unit}`
}
