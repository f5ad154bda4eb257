import { COURSE_FIELDS } from './areaFields'
import type { TapedCourse } from './tapedCourse'
import type { Figure } from '../working/figures'
import { formatFigure } from '../quantity/format'
import type { FieldReader } from '../quantity/fieldReader'
import { lengthSi, quantity, type Quantity } from '../quantity/quantity'
import { errorOfMean, repeats, roundingOf, widened, type Repeats } from '../quantity/repeats'
import { METRES_PER, type LengthUnit, type SpanUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { paceStep, READING_ERROR_M, SCALE_ERROR } from './instruments'

/** Fewer runs than this over the taped length leave the stride or wheel unproven (trade.md 2). */
export const RUNS_WANTED = 3

export interface ToolReading {
  readonly kind: 'stride' | 'wheel'
  /** Metres in one pace, or true metres in one shown metre. */
  readonly runs: Repeats
  /** One standard deviation of its scale, as a share: the runs' mean and the tape they were laid with. */
  readonly scale: number
  /** How far the runs spread, as a share. */
  readonly spread: number
  /** One standard deviation of one length walked with it, as a share. */
  readonly length: number
}

/**
 * What a stride or wheel comes to from its runs. A single run shows no spread: the usual error of pacing or
 * wheeling stands in for it.
 * @returns undefined when a field is missing or wrong; the reader says which
 * Source: sample mean; its error sd / root n, combined with the tape's.
 */
export function readTapedCourse(
  course: TapedCourse,
  kind: ToolReading['kind'],
  path: string,
  fields: FieldReader,
  figure: Figure,
  book: WorkingBook,
): ToolReading | undefined {
  const at = fields.of(COURSE_FIELDS, path)
  const taped = at.needed('distance', course.distance)
  const reads = course.runs.map(({ read }, i) =>
    at.needed('runs.*.read', read, i, kind === 'stride' ? 'Paces counted' : 'Length shown'),
  )
  if (course.runs.length === 0) fields.missing(`${path}.runs`, 'Walk the taped length three times or more.')
  const runs = reads.filter((read) => read !== undefined)
  if (!taped || runs.length === 0 || runs.length < reads.length) return undefined
  const mixed = runs.findIndex(({ unit }) => (unit === 'paces') !== (kind === 'stride'))
  if (mixed >= 0) {
    fields.wrong(
      `${path}.runs.${mixed}.read`,
      kind === 'stride'
        ? 'Count paces: write for example 38.5 paces.'
        : 'A wheel shows a length: write for example 99.4 ft.',
    )
    return undefined
  }
  return toolReading(taped, runs, kind, figure, book)
}

/**
 * A stride or wheel from runs over a taped length, at least one; paces for a stride, shown lengths for a
 * wheel. Few runs know little of their spread, so Student's t widens it, though never beyond what is usual
 * for such a tool untried; runs that agree better than they were read keep the rounding of their reading.
 */
export function toolReading(
  taped: Quantity<LengthUnit>,
  runs: readonly Quantity<SpanUnit>[],
  kind: ToolReading['kind'],
  figure: Figure,
  book: WorkingBook,
): ToolReading {
  const each = runs.map(
    (read) => lengthSi(taped) / (read.unit === 'paces' ? read.value : read.value * METRES_PER[read.unit]),
  )
  const result = repeats(each)
  const assumed = SCALE_ERROR[kind === 'stride' ? 'paced' : 'wheel']
  const spread = result.sd === undefined ? assumed : result.sd / result.mean
  const wide = (plain: number, student: number) => Math.max(plain, Math.min(student, assumed))
  const length = result.sd === undefined ? assumed : wide(spread, widened(spread, result.count - 1))
  const plain = spread / Math.sqrt(result.count)
  const mean = wide(plain, (errorOfMean(result) ?? 0) / result.mean)
  const rounding = roundingShare(runs)
  const kept = spread < rounding ? rounding : 0
  const scale = result.sd === undefined ? assumed : Math.hypot(mean, kept, SCALE_ERROR.tape)
  book.note(figure, () => [
    ...runs.map(
      (read, i) =>
        `run ${i + 1}: ${asEntered(taped)} / ${asEntered(read)} = ` +
        toolText(kind, each[i] ?? 0, taped.unit),
    ),
    result.sd === undefined
      ? `one run shows no spread: ${100 * assumed} % is taken`
      : `spread of ${result.count} runs ${sixDigits(100 * spread)} % of the mean; by Student’s t of so ` +
        `few, ${sixDigits(100 * length)} % for each length walked`,
    ...(kept > 0 ? [`they agree better than they were read: ${sixDigits(100 * kept)} % of rounding`] : []),
    'its scale: ' +
      (result.sd === undefined
        ? ''
        : `root of (mean of the runs ${sixDigits(100 * mean)} %)²${kept > 0 ? ' + rounding²' : ''} + (tape ` +
          `${100 * SCALE_ERROR.tape} %)² = `) +
      `${sixDigits(100 * scale)} ` +
      '%, the same way for every length',
    `mean ${toolText(kind, result.mean, taped.unit)}`,
  ])
  return { kind, runs: result, scale, spread, length }
}

/** One standard deviation of reading one of the runs, as a share of it. */
function roundingShare(runs: readonly Quantity<SpanUnit>[]): number {
  const shares = runs.map(({ value, unit }) =>
    unit === 'paces'
      ? roundingOf(paceStep(value)) / value
      : READING_ERROR_M[unit] / (value * METRES_PER[unit]),
  )
  return Math.max(...shares)
}

/** '2.612 ft a pace' or '0.9941 true to shown'. */
function toolText(kind: ToolReading['kind'], value: number, unit: LengthUnit): string {
  return kind === 'stride'
    ? `${sixDigits(value / METRES_PER[unit])} ${unit} a pace`
    : `${sixDigits(value)} true to shown`
}

/** What a tool comes to, as a screen says it. */
export function toolWords({ kind, runs, spread }: ToolReading, unit: LengthUnit): string {
  const value =
    kind === 'stride'
      ? `${formatFigure(runs.mean / METRES_PER[unit])} ${unit} a pace`
      : `${runs.mean.toFixed(4)} true to shown`
  return runs.sd === undefined
    ? `${value}, from a single run`
    : `${value}, ${runs.count} runs within ${(100 * spread).toFixed(1)} %`
}

/** A reading as the ground has it: a count of paces by the stride, a shown length by the wheel's factor. */
export function trueLength(
  read: Quantity<SpanUnit>,
  tool: ToolReading | undefined,
): Quantity<LengthUnit> | undefined {
  if (read.unit === 'paces')
    return tool?.kind === 'stride' ? quantity(read.value * tool.runs.mean, 'm') : undefined
  const length = quantity(read.value, read.unit)
  return tool?.kind === 'wheel' ? { ...length, value: length.value * tool.runs.mean } : length
}
