import { err, ok, type Result } from '../result'
import { parseQuantity, type Kind, type KindUnits } from './parseQuantity'
import type { TypedProblem } from './parseNumber'
import type { Quantity } from './quantity'

/** What somebody typed, kept to the letter, with the unit the field stood in when it was typed. */
export interface Entered<U extends string = string> {
  readonly text: string
  readonly unit: U
}

/** A field with nothing typed yet. */
export const blankIn = <U extends string>(unit: U): Entered<U> => ({ text: '', unit })

/** A field that is needed and still empty, against one that holds something wrong. */
export interface EnteredProblem {
  readonly kind: 'missing' | TypedProblem['kind'] | 'notPositive' | 'negative' | 'tooLarge' | 'tooMuchPercent'
  readonly message: string
}

/** Beyond any lawn, tank or bag; the wire refuses it too. */
export const LARGEST = 1e9

/**
 * Reads a field that must hold a figure above zero.
 * @returns the quantity in the unit typed; errors `missing` when blank, the parser's, `notPositive`,
 *   `tooLarge`, `tooMuchPercent`
 */
export function readPositive<K extends Kind>(
  entered: Entered<KindUnits[K]>,
  kind: K,
  what: string,
): Result<Quantity<KindUnits[K]>, EnteredProblem> {
  const read = readFigure(entered, kind, what)
  if (read.ok && read.value.value <= 0)
    return err({ kind: 'notPositive', message: `${what} must be above zero.` })
  return read
}

/** Reads a field that may hold zero. */
export function readNotNegative<K extends Kind>(
  entered: Entered<KindUnits[K]>,
  kind: K,
  what: string,
): Result<Quantity<KindUnits[K]>, EnteredProblem> {
  const read = readFigure(entered, kind, what)
  if (read.ok && read.value.value < 0)
    return err({ kind: 'negative', message: `${what} can't be below zero.` })
  return read
}

/** Reads a field whose figure may have any sign: a temperature. */
export const readSigned = <K extends Kind>(
  entered: Entered<KindUnits[K]>,
  kind: K,
  what: string,
): Result<Quantity<KindUnits[K]>, EnteredProblem> => readFigure(entered, kind, what)

/**
 * The last reading of each field. A label's lines are looked at for every lawn at every key, and say the same
 * each time; the text is compared, for a form may write into its field.
 */
const LAST = new WeakMap<object, LastReading>()
interface LastReading {
  readonly text: string
  readonly unit: string
  readonly kind: Kind
  readonly read: unknown
}

function parsedOnce<K extends Kind>(
  entered: Entered<KindUnits[K]>,
  kind: K,
): ReturnType<typeof parseQuantity<K>> {
  const { text, unit } = entered
  const last = LAST.get(entered)
  if (last?.text === text && last.unit === unit && last.kind === kind)
    return last.read as ReturnType<typeof parseQuantity<K>>
  const read = parseQuantity(text, kind, unit)
  LAST.set(entered, { text, unit, kind, read })
  return read
}

function readFigure<K extends Kind>(
  entered: Entered<KindUnits[K]>,
  kind: K,
  what: string,
): Result<Quantity<KindUnits[K]>, EnteredProblem> {
  const { text } = entered
  if (text.trim() === '') return err({ kind: 'missing', message: `${what} is still missing.` })
  const read = parsedOnce(entered, kind)
  if (!read.ok) return read
  if (Math.abs(read.value.value) > LARGEST)
    return err({
      kind: 'tooLarge',
      message: `${what} is far beyond any lawn: check the figure and its unit.`,
    })
  if (read.value.unit === '%' && read.value.value > 100)
    return err({ kind: 'tooMuchPercent', message: `${what} can't be over 100 %.` })
  return ok(read.value)
}

/**
 * A figure that is read where no form stands to say what is wrong with it: undefined where it is blank, or
 * none that the field could take.
 */
export function typedFigure<K extends Kind>(
  entered: Entered<KindUnits[K]> | undefined,
  kind: K,
  sign: Sign = 'above-zero',
): Quantity<KindUnits[K]> | undefined {
  const read = entered && BY_SIGN[sign](entered, kind, '')
  return read?.ok ? read.value : undefined
}

/** Which figures a field takes. */
export type Sign = 'above-zero' | 'zero-too' | 'any-sign'

/** How a field of each sign is read. */
export const BY_SIGN = {
  'zero-too': readNotNegative,
  'above-zero': readPositive,
  'any-sign': readSigned,
} as const
