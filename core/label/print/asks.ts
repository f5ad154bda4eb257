import type { PrintedUnit } from './phrases'
import type { Reading } from './reading'

/** What is asked back. */
const QUESTIONS = {
  comma: 'Is the comma a decimal point, or does it part thousands? Write it without a comma.',
  ounce: 'Ounces by weight, or fluid ounces?',
  ground: 'On what ground: per 1,000 sq ft, per acre, per 100 m2 or per hectare?',
  whole: 'Is that for each application, or for all of them together?',
  partner:
    'A rate of what is added, not of this product: leave it out, or write it without the name if this is it.',
  two: 'These two rates are not the same: which of them holds?',
} as const

/** Asks back about words. @returns the place after them */
export function ask(
  reading: Reading,
  places: readonly number[],
  to: number,
  question: keyof typeof QUESTIONS,
): number {
  reading.asks.push({ question: QUESTIONS[question], tokens: places })
  reading.cap = undefined
  return to
}

/** Of something poured a bare ounce could be either. */
export const isEitherOunce = ({ form }: Reading, { bare }: PrintedUnit): boolean => bare && form === 'liquid'
