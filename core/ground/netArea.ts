import { areaIn, areaSi, lengthSi, squareMetres, type Quantity, type SquareMetres } from '../quantity/quantity'
import type { AreaUnit, LengthUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { SHAPE_FORMULAS, SHAPE_LENGTHS, type ShapeKind } from './shapes'

export const INSTRUMENTS = ['tape', 'wheel', 'paced'] as const
export type Instrument = (typeof INSTRUMENTS)[number]

/** One standard deviation of an instrument's scale; it makes every length it measured wrong the same way (trade.md 2). */
export const SCALE_ERROR: Readonly<Record<Instrument, number>> = { tape: 0.005, wheel: 0.01, paced: 0.03 }

/** One standard deviation of reading one length: 0.1 ft, or 2 cm on a metric tape (trade.md 2). */
const READING_ERROR_M: Readonly<Record<LengthUnit, number>> = { ft: 0.03048, in: 0.03048, yd: 0.03048, m: 0.02, cm: 0.02 }

/** A lawn is built of shapes added and taken away, or its size is already known. */
export type GroundPart
  = | { readonly sign: 'add' | 'subtract'; readonly kind: ShapeKind; readonly lengths: readonly Quantity<LengthUnit>[] }
    | { readonly sign: 'add' | 'subtract'; readonly kind: 'known'; readonly size: Quantity<AreaUnit> }

export interface NetArea {
  readonly size: SquareMetres
  /** One standard deviation, m2; screens show two as give or take. */
  readonly sd: SquareMetres
}

/** `exclusionsTooLarge`: what is taken away is as large as the lawn itself, m2 both. */
export type NetAreaError = { readonly kind: 'exclusionsTooLarge'; readonly added: SquareMetres; readonly subtracted: SquareMetres }

/**
 * Net area of shapes added and subtracted, with its uncertainty.
 * Scale errors are fully correlated (k % on every length is 2k % on the net area); reading errors are independent
 * and travel by the partial derivatives. A known size carries no reading error of ours.
 * @param slope when given, the sloped surface is what counts: flat area / cos(angle), 14 % is 1.0098 times
 * @returns error `exclusionsTooLarge`; never negative, never zero
 * Source: plane geometry; first-order propagation of error.
 */
export function netArea(
  parts: readonly GroundPart[], instrument: Instrument, figure: string, book: WorkingBook, slope: Quantity<'%'> = { value: 0, unit: '%' },
): Result<NetArea, NetAreaError> {
  let added = 0
  let subtracted = 0
  let taped = 0
  let readingVariance = 0
  for (const part of parts) {
    const size = partArea(part)
    if (part.sign === 'add') added += size
    else subtracted += size
    if (part.kind === 'known') continue
    taped += part.sign === 'add' ? size : -size
    readingVariance += readingVarianceOf(part)
  }
  const flat = added - subtracted
  if (!(flat > 0)) return err({ kind: 'exclusionsTooLarge', added: squareMetres(added), subtracted: squareMetres(subtracted) })
  const steeper = Math.hypot(1, slope.value / 100)
  const size = flat * steeper
  const scaleSd = 2 * SCALE_ERROR[instrument] * Math.abs(taped) * steeper
  const readingSd = Math.sqrt(readingVariance) * steeper
  const sd = Math.hypot(scaleSd, readingSd)
  book.note(figure, () => [
    ...parts.map(partLine),
    ...(slope.value > 0 ? [`on a slope of ${asEntered(slope)} the surface is ${sixDigits(steeper)} times the flat ${sixDigits(flat)} m2 = ${sixDigits(size)} m2`] : []),
    `scale of the ${instrument}, ${SCALE_ERROR[instrument] * 100} % on every length alike: ${sixDigits(scaleSd)} m2`,
    `readings, 0.1 ft or 2 cm each, independent: ${sixDigits(readingSd)} m2`,
    `together one standard deviation ${sixDigits(sd)} m2; give or take is two of them, ${sixDigits((200 * sd) / size)} %`,
    `net area ${figureText(areaIn(squareMetres(size), 'ft2'))} = ${sixDigits(size)} m2`,
  ])
  return ok({ size: squareMetres(size), sd: squareMetres(sd) })
}

function partArea(part: GroundPart): number {
  return part.kind === 'known' ? areaSi(part.size) : SHAPE_FORMULAS[part.kind].area(part.lengths.map(lengthSi))
}

function readingVarianceOf(part: Extract<GroundPart, { kind: ShapeKind }>): number {
  const slopes = SHAPE_FORMULAS[part.kind].slopes(part.lengths.map(lengthSi))
  return part.lengths.reduce((sum, { unit }, i) => sum + ((slopes[i] ?? 0) * READING_ERROR_M[unit]) ** 2, 0)
}

function partLine(part: GroundPart): string {
  const sign = part.sign === 'add' ? '+' : '-'
  const area = `${sixDigits(partArea(part))} m2`
  if (part.kind === 'known') return `${sign} known size ${asEntered(part.size)} = ${area}`
  const names = SHAPE_LENGTHS[part.kind]
  const lengths = part.lengths.map((length, i) => `${names[i] ?? 'length'} ${asEntered(length)}`).join(', ')
  return `${sign} ${part.kind}: ${lengths}; ${SHAPE_FORMULAS[part.kind].words} = ${area}`
}
