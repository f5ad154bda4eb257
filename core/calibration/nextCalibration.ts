import { blankIn, type Entered } from '../quantity/entered'
import { fieldReader } from '../quantity/fieldReader'
import type { UnitSystem } from '../quantity/systems'
import { METRES_PER_SECOND_PER, type SpeedUnit } from '../quantity/units'
import { closedWorkingBook } from '../working/working'
import { blankSpreaderCourse, blankSprayerCourse } from './blankEquipment'
import type { CalibrationDocument, SprayerCourse, TimedCourse } from './calibrationShape'
import type { LibraryCalibration } from './calibrationInForce'
import { bySprayMethod, widthFor } from './chooseMethod'
import type { SpreaderDocument, SprayerDocument } from './equipmentShape'
import { readSpeed } from './readSpeed'

/**
 * A calibration to begin with: what the machine says of itself, and the course, product and speed of the last
 * one made with it. Nothing that was measured then stands in it.
 * @param earlier of this machine, in any order; those that a job taught have no course and are passed over
 * @param day YYYY-MM-DD of the new one
 * Source: trade.md 3 and 4: product, swath, nozzles and what held the speed belong to a calibration.
 */
export const nextCalibration = (
  machine: SpreaderDocument | SprayerDocument,
  earlier: readonly LibraryCalibration[],
  runId: string,
  system: UnitSystem,
  day: string,
): CalibrationDocument =>
  machine.kind === 'spreader'
    ? nextSpread(machine, earlier, runId, system, day)
    : nextSpray(machine, earlier, runId, system, day)

/** As nextCalibration, of a spreader. */
export function nextSpread(
  { swath }: SpreaderDocument,
  earlier: readonly LibraryCalibration[],
  runId: string,
  system: UnitSystem,
  on: string,
): Made<'spread'> {
  const last = newestFirst(earlier).find(isSpread)
  const fresh = blankSpreaderCourse(runId, system)
  const { by, product = '', width = fresh.width } = last?.course ?? {}
  return {
    ...remarksAfter(last),
    kind: 'spread',
    course: {
      ...fresh,
      ...(last && carried(last.course)),
      ...(by && { by }),
      product,
      on,
      width: swath.text.trim() === '' ? width : swath,
    },
  }
}

/** As nextCalibration, of a sprayer. */
export function nextSpray(
  { nozzles }: SprayerDocument,
  earlier: readonly LibraryCalibration[],
  runId: string,
  system: UnitSystem,
  on: string,
): Made<'spray'> {
  const last = newestFirst(earlier).find(isSpray)
  const fresh = blankSprayerCourse(runId, system)
  const { by = 'refill', product, pressure, width = fresh.width } = last?.course ?? {}
  const course: SprayerCourse = {
    ...fresh,
    ...(last && carried(last.course)),
    by,
    on,
    width: widthFor(by, nozzles) ?? width,
    ...(pressure && { pressure }),
    ...(product && { product }),
    ...(nozzles.what !== '' && { nozzles: nozzles.what }),
    ...(nozzles.count !== '' && { count: nozzles.count }),
  }
  return { ...remarksAfter(last), kind: 'spray', course: bySprayMethod(course, by, system, nozzles) }
}

/**
 * Another setting over the same course: method, product, course, scale and pace stay, nothing that was
 * measured does. A hopper weighed back stands there weighed in again.
 */
export function nextSetting(
  { course, heldBy, by }: Made<'spread'>,
  runId: string,
  system: UnitSystem,
  on: string,
): Made<'spread'> {
  const fresh = blankSpreaderCourse(runId, system)
  const { left, start } = course.runs.at(-1) ?? {}
  const [run] = fresh.runs
  return {
    schema: 1,
    kind: 'spread',
    heldBy,
    by,
    notes: '',
    course: {
      ...fresh,
      ...carried(course),
      ...(course.by && { by: course.by }),
      ...(course.step && { step: course.step }),
      product: course.product,
      width: course.width,
      on,
      runs: run && left?.text.trim() && start?.text.trim() ? [{ ...run, start: left }] : fresh.runs,
    },
  }
}

const remarksAfter = (last: CalibrationDocument | undefined) =>
  ({ schema: 1, by: '', notes: '', heldBy: last?.heldBy ?? '' }) as const

type Made<K extends CalibrationDocument['kind']> = Extract<CalibrationDocument, { kind: K }>

/** Those that were made over a course. */
const newestFirst = (earlier: readonly LibraryCalibration[]): readonly CalibrationDocument[] =>
  earlier
    .map(({ document }) => document)
    .filter(({ course }) => course.by !== 'job')
    .toSorted((a, b) => (a.course.on < b.course.on ? 1 : a.course.on > b.course.on ? -1 : 0))
const isSpread = (document: CalibrationDocument): document is Made<'spread'> => document.kind === 'spread'
const isSpray = (document: CalibrationDocument): document is Made<'spray'> => document.kind === 'spray'

const carried = (course: CalibrationDocument['course']) => ({
  length: course.length,
  speed: paceOf(course),
  ...(course.timed && { timed: untimed(course.timed) }),
})

/** The taped length stays, the watch starts anew. */
const untimed = ({ length, times: [first] }: TimedCourse): TimedCourse => ({
  length,
  times: [blankIn(first?.unit ?? 's')],
})

/** The pace it was made at, as a figure to walk by until it is timed again. */
function paceOf(course: CalibrationDocument['course']): Entered<SpeedUnit> {
  const { unit } = course.speed
  const speed = course.timed && readSpeed(course, '', fieldReader(), closedWorkingBook)
  return speed === undefined
    ? course.speed
    : { text: String(Number((speed / METRES_PER_SECOND_PER[unit]).toFixed(2))), unit }
}
