import { TIMED_FIELDS } from './courseFields'
import type { Figure } from '../working/figures'
import { lengthSi, metresPerSecond, speedSi, type MetresPerSecond } from '../quantity/quantity'
import { fieldReader, type FieldReader } from '../quantity/fieldReader'
import { repeats, type Repeats } from '../quantity/repeats'
import {
  METRES_PER_SECOND_PER,
  STOPWATCH_PER,
  type LengthUnit,
  type SpeedUnit,
  type StopwatchUnit,
} from '../quantity/units'
import type { Entered } from '../quantity/entered'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { SpreadMethod, SprayMethod } from './courseNote'
import type { TimedCourse } from './calibrationShape'

/**
 * Speed of a timed course: length over time, mean and spread of its runs, m/s.
 * @returns undefined until the length and one time can be read
 * Source: trade.md 3, speed from a timed course.
 */
export function readTimedCourse(
  { length, times }: TimedCourse,
  path: string,
  figure: Figure,
  fields: FieldReader,
  book: WorkingBook,
): Repeats | undefined {
  const at = fields.of(TIMED_FIELDS, path)
  const over = at.optional('length', length)
  const read = times
    .map((entered, i) => at.optional('times.*', entered, i, `Time ${i + 1}`))
    .filter((time) => time !== undefined)
  if (!over || read.length === 0) return undefined
  const speeds = repeats(read.map((time) => lengthSi(over) / (time.value * STOPWATCH_PER[time.unit])))
  book.note(figure, () => [
    ...read.map((time) => `${asEntered(over)} in ${asEntered(time)}`),
    speeds.sd === undefined
      ? 'one run shows no spread'
      : `spread of ${speeds.count} runs ${sixDigits((100 * speeds.sd) / speeds.mean)} % of the mean`,
    `speed ${sixDigits(speeds.mean)} m/s = ${sixDigits(speeds.mean * 3.6)} km/h = ` +
      `${sixDigits(speeds.mean / METRES_PER_SECOND_PER.mph)} mph`,
  ])
  return speeds
}

interface SpeedNote {
  readonly speed: Entered<SpeedUnit>
  readonly timed?: TimedCourse
  /** A course that was walked while its nozzle was caught was timed by that. */
  readonly by?: SpreadMethod | SprayMethod
  readonly length?: Entered<LengthUnit>
  readonly runs?: readonly { readonly time?: Entered<StopwatchUnit> }[]
}

/** Methods whose runs last as long as their course takes. */
const TIMED_BY_RUN: ReadonlySet<string> = new Set<SprayMethod>(['1/128 acre', 'one nozzle'])

function timedByRuns({ by, length, runs = [] }: SpeedNote): TimedCourse | undefined {
  const times = runs.flatMap(({ time }) => (time && time.text.trim() !== '' ? [time] : []))
  return by && TIMED_BY_RUN.has(by) && length && times.length > 0 ? { length, times } : undefined
}

/** The speed of a calibration: as timed, also by its own runs, else as typed. */
export function readSpeed(
  note: SpeedNote,
  path: string,
  fields: FieldReader,
  book: WorkingBook,
): MetresPerSecond | undefined {
  const at = fields.of(TIMED_FIELDS, path)
  const own = note.timed && readTimedCourse(note.timed, `${path}.timed`, 'calibration.speed', fields, book)
  const byRuns = own ? undefined : timedByRuns(note)
  // What is wrong with its runs is told by their own reading.
  const timed = own ?? (byRuns && readTimedCourse(byRuns, '', 'calibration.speed', fieldReader(), book))
  const typed = at.optional('speed', note.speed)
  return timed ? metresPerSecond(timed.mean) : typed && speedSi(typed)
}
