import { counted } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { areaSi, lengthSi, type Quantity } from '../quantity/quantity'
import { amountFactor } from '../quantity/quantity'
import { SQUARE_METRES_PER, type AmountUnit, type AreaUnit, type LengthUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { repeats, type Repeats } from '../quantity/repeats'

/** One run over the course: weighed in and weighed back, or what it took to refill to the mark. */
export type CourseRun<U extends AmountUnit> =
  { readonly start: Quantity<U>; readonly left: Quantity<U> } | { readonly used: Quantity<U> }

/** A taped course, or a lawn of known size, covered the same number of times in every run. */
export type Course = { readonly passes: number } & (
  | {
      readonly length: Quantity<LengthUnit>
      /** Effective swath of a spreader, sprayed width of a sprayer. */
      readonly width: Quantity<LengthUnit>
    }
  | { readonly ground: Quantity<AreaUnit> }
)

/** `leftExceedsStart`: more came back than went in. The index is the run's. */
export type KnownAreaError = { readonly kind: 'leftExceedsStart'; readonly run: number }

/**
 * Calibration by known area: what went down on a taped course, per ground and pass.
 * rate = (start - left) / (length x width x passes), mean of the runs.
 * @returns kg or m3 on each m2 in one pass; error `leftExceedsStart`
 * Source: trade.md 3 and 4, known area.
 */
export function knownAreaRate<U extends AmountUnit>(
  runs: readonly CourseRun<U>[],
  course: Course,
  figure: Figure,
  book: WorkingBook,
): Result<Repeats, KnownAreaError> {
  const ground = groundSi(course)
  const used = runs.map(usedSi)
  const empty = used.findIndex((amount) => !(amount > 0))
  if (empty >= 0) return err({ kind: 'leftExceedsStart', run: empty })
  const result = repeats(used.map((amount) => amount / ground))
  book.note(figure, () => {
    const unit = unitOf(runs)
    const told = (perArea: number) =>
      `${sixDigits((perArea / amountFactor(unit)) * SQUARE_METRES_PER['1000 ft2'])} ${unit}/1000 ft2`
    return [
      ('ground' in course
        ? `ground ${asEntered(course.ground)}`
        : `course ${asEntered(course.length)} x ${asEntered(course.width)}`) +
        ' ' +
        `x ${counted(course.passes, 'pass', 'passes')} = ${sixDigits(ground)} m2`,
      ...runs.map(
        (run, i) => `run ${i + 1}: ${runText(run)}; over the course ${told((used[i] ?? 0) / ground)}`,
      ),
      result.sd === undefined
        ? 'one run shows no spread'
        : `spread of ${result.count} runs: ${sixDigits((100 * result.sd) / result.mean)} % of the mean`,
      `mean ${told(result.mean)}`,
    ]
  })
  return ok(result)
}

/** Ground that is covered in one run, every pass over it counted, m2. */
export const groundSi = (course: Course): number =>
  ('ground' in course ? areaSi(course.ground) : lengthSi(course.length) * lengthSi(course.width)) *
  course.passes

function usedSi(run: CourseRun<AmountUnit>): number {
  if ('used' in run) return run.used.value * amountFactor(run.used.unit)
  return run.start.value * amountFactor(run.start.unit) - run.left.value * amountFactor(run.left.unit)
}

const runText = (run: CourseRun<AmountUnit>): string =>
  'used' in run ? `used ${asEntered(run.used)}` : `${asEntered(run.start)} in, ${asEntered(run.left)} back`

function unitOf(runs: readonly CourseRun<AmountUnit>[]): AmountUnit {
  const [first] = runs
  if (!first) return 'lb'
  return 'used' in first ? first.used.unit : first.start.unit
}
