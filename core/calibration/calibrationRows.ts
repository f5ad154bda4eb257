import type { Entered } from '../quantity/entered'
import { figureCell as cell } from '../quantity/cells'
import { formatFigure } from '../quantity/format'
import { SQUARE_METRES_PER } from '../quantity/units'
import { spreadMethodOf, sprayMethodOf } from './courseNote'
import type { CalibrationDocument } from './calibrationShape'

/**
 * The columns of a table of calibrations: a row for each run, what they share repeated. `one_pass` is worked
 * out and not read back.
 */
export const CALIBRATION_COLUMNS = [
  'calibration',
  'kind',
  'method',
  'day',
  'done_by',
  'held_by',
  'product',
  'setting',
  'length',
  'width',
  'speed',
  'timed_over',
  'times',
  'ground',
  'passes',
  'pressure',
  'nozzles',
  'count',
  'caught_for',
  'catches',
  'covered',
  'covered_in',
  'run',
  'start',
  'left',
  'caught',
  'used',
  'time',
  'notes',
  'one_pass',
] as const
export type CalibrationColumn = (typeof CALIBRATION_COLUMNS)[number]
export type CalibrationRow = Readonly<Record<CalibrationColumn, string>>
export interface NamedCalibration {
  readonly id: string
  readonly document: CalibrationDocument
}

const list = (entries: readonly Entered[] | undefined): string => (entries ?? []).map(cell).join('; ')

/**
 * Calibrations as rows, everything to the letter as it was typed.
 * @param perPass kg or m3 on each m2, by id, where it could be worked out
 */
export function calibrationRows(
  calibrations: readonly NamedCalibration[],
  perPass: ReadonlyMap<string, number>,
): readonly CalibrationRow[] {
  return calibrations.flatMap(({ id, document }) => {
    const { course } = document
    const gives = perPass.get(id)
    const shared = {
      calibration: id,
      kind: document.kind,
      method: document.kind === 'spread' ? spreadMethodOf(document.course) : sprayMethodOf(document.course),
      day: course.on,
      done_by: document.by,
      held_by: document.heldBy,
      product: course.product ?? '',
      setting: '',
      length: cell(course.length),
      width: cell(course.width),
      speed: cell(course.speed),
      timed_over: cell(course.timed?.length),
      times: list(course.timed?.times),
      ground: '',
      passes: '',
      pressure: '',
      nozzles: '',
      count: '',
      caught_for: '',
      catches: '',
      covered: '',
      covered_in: '',
      notes: document.notes,
      one_pass:
        gives === undefined
          ? ''
          : document.kind === 'spread'
            ? `${formatFigure(1000 * gives)} g/m2`
            : `${formatFigure(1000 * SQUARE_METRES_PER['100 m2'] * gives)} L/100 m2`,
    }
    const none = { start: '', left: '', caught: '', used: '', time: '' }
    if (document.kind === 'spread') {
      const { setting, ground, passes = '', runs } = document.course
      return runs.map((run, i) => ({
        ...shared,
        setting,
        ground: cell(ground),
        passes,
        run: String(i + 1),
        ...none,
        start: cell(run.start),
        left: cell(run.left),
        caught: cell(run.caught),
        time: cell(run.time),
      }))
    }
    const { pressure, nozzles = '', count = '', catching, covered, ground, runs } = document.course
    return runs.map((run, i) => ({
      ...shared,
      ground: cell(ground),
      pressure: cell(pressure),
      nozzles,
      count,
      caught_for: cell(catching?.time),
      catches: list(catching?.catches),
      covered: cell(covered?.ground),
      covered_in: cell(covered?.time),
      run: String(i + 1),
      ...none,
      start: cell(run.start),
      left: cell(run.left),
      used: cell(run.used),
      time: cell(run.time),
    }))
  })
}
