import { sumOf } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { areaIn, squareMetres, type Quantity, type SquareMetres } from '../quantity/quantity'
import { err, ok, type Result } from '../result'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { CombinedOutlines } from './combineOutlines'
import type { GroundPart } from './groundPart'

/**
 * How wrong a piece of ground may be, m2, one standard deviation each: by the instrument that shares the
 * error, and by independent readings.
 */
export interface GroundErrors {
  readonly scales: ReadonlyMap<string, { readonly words: string; readonly sd: number }>
  readonly readings: number
}

export interface NetArea {
  readonly size: SquareMetres
  /** One standard deviation, m2; screens show two as give or take. */
  readonly sd: SquareMetres
  readonly errors: GroundErrors
}

/** `exclusionsTooLarge`: what is taken away is as large as the lawn itself, m2 both. */
export type NetAreaError = {
  readonly kind: 'exclusionsTooLarge'
  readonly added: SquareMetres
  readonly subtracted: SquareMetres
}

/**
 * Net area of pieces added and taken away, with its uncertainty.
 * Outlines that lie on the plan are combined there: overlaps count once, nothing beyond the outline is taken.
 * Pieces known by their dimensions have no place of their own and are added and taken as figures. Scale
 * errors of one instrument are fully correlated (k % on every length is 2k % on the net area it measured);
 * readings are independent.
 * @param outlines the outlines among the parts, combined
 * @param slope when given, the sloped surface is what counts: flat / cos(angle), 14 % is 1.0098 times
 * @returns error `exclusionsTooLarge`; never negative, never zero
 * Source: plane geometry; first-order propagation of error.
 */
export function netArea(
  parts: readonly GroundPart[],
  outlines: CombinedOutlines | undefined,
  figure: Figure,
  book: WorkingBook,
  slope: Quantity<'%'> = { value: 0, unit: '%' },
): Result<NetArea, NetAreaError> {
  const shares = outlineShares(parts, outlines)
  const alone = (sign: GroundPart['sign']) =>
    parts
      .filter((part) => part.sign === sign && part.seat === 'schematic')
      .reduce((sum, { flat }) => sum + flat, 0)
  const added = alone('add') + (outlines?.added ?? 0)
  const subtracted = alone('subtract') + (outlines?.taken ?? 0)
  const flat = added - subtracted
  if (!(flat > 0))
    return err({
      kind: 'exclusionsTooLarge',
      added: squareMetres(added),
      subtracted: squareMetres(subtracted),
    })
  const steeper = Math.hypot(1, slope.value / 100)
  const size = flat * steeper
  const errors = errorsOf(parts, shares, steeper)
  const sd = sdOf(errors)
  book.note(figure, () => [
    ...parts.map((part) => `${part.sign === 'add' ? '+' : '-'} ${part.line()}`),
    ...(outlines ? outlineLines(parts, outlines) : []),
    ...(slope.value > 0
      ? [
          `on a slope of ${asEntered(slope)} the surface is ${sixDigits(steeper)} times the flat ` +
            `${sixDigits(flat)} m2 = ${sixDigits(size)} m2`,
        ]
      : ['flat area: no slope is given']),
    ...errorLines(errors, sd, size),
    `net area ${figureText(areaIn(squareMetres(size), 'ft2'))} = ${sixDigits(size)} m2`,
  ])
  return ok({ size: squareMetres(size), sd: squareMetres(sd), errors })
}

/** One standard deviation of ground whose errors are known apart. */
export const sdOf = ({ scales, readings }: GroundErrors): number =>
  Math.hypot(readings, ...[...scales.values()].map(({ sd }) => sd))

/** How much of each outline really counts once overlaps and overhangs are gone. */
function outlineShares(
  parts: readonly GroundPart[],
  outlines: CombinedOutlines | undefined,
): { readonly add: number; readonly subtract: number } {
  const sum = (sign: GroundPart['sign']) =>
    parts
      .filter((part) => part.sign === sign && part.seat === 'plan')
      .reduce((total, { flat }) => total + flat, 0)
  return {
    add: outlines ? outlines.added / (sum('add') || 1) : 1,
    subtract: outlines ? outlines.taken / (sum('subtract') || 1) : 1,
  }
}

function errorsOf(
  parts: readonly GroundPart[],
  shares: { readonly add: number; readonly subtract: number },
  steeper: number,
): GroundErrors {
  const scales = new Map<string, { words: string; sd: number }>()
  let variance = 0
  for (const { sign, seat, flat, scale, variance: own } of parts) {
    variance += own
    if (!scale) continue
    const counted = flat * (seat === 'plan' ? shares[sign] : 1) * (sign === 'add' ? 1 : -1)
    const before = scales.get(scale.source)?.sd ?? 0
    scales.set(scale.source, { words: scale.words, sd: before + 2 * scale.share * counted * steeper })
  }
  return { scales, readings: Math.sqrt(variance) * steeper }
}

/** The honest formula: one line for each shared scale, one for the readings, one for both. */
export function errorLines({ scales, readings }: GroundErrors, sd: number, size: number): readonly string[] {
  return [
    ...[...scales.values()].map(
      ({ words, sd: scale }) =>
        `${words}, on every length alike, so twice that on the area it measured: ` +
        `${sixDigits(Math.abs(scale))} m2`,
    ),
    `readings, independent of each other: ${sixDigits(readings)} m2`,
    `together one standard deviation, root of the sum of squares, ${sixDigits(sd)} m2; give or take is ` +
      `two of them, ${sixDigits((200 * sd) / size)} %`,
  ]
}

function outlineLines(
  parts: readonly GroundPart[],
  { added, taken, strays }: CombinedOutlines,
): readonly string[] {
  const outside = sumOf(strays, ({ beyond }) => beyond)
  const single = parts.filter(({ seat }) => seat === 'plan').length < 2
  return [
    ...(single
      ? []
      : [
          `outlines joined on the plan: ${sixDigits(added)} m2; exclusions take ${sixDigits(taken)} m2 ` +
            'of it, overlaps counted once',
        ]),
    ...(outside > 0
      ? [`${sixDigits(outside)} m2 of exclusions lie beyond the outline and are not taken`]
      : []),
  ]
}
