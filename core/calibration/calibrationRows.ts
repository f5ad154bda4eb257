import { blankIn } from '../quantity/entered'
import { formatFigure } from '../quantity/format'
import { SQUARE_METRES_PER } from '../quantity/units'
import {
  CELLS,
  column,
  documentOf,
  groupedRows,
  rowOf,
  type Column,
  type Row,
  type RowAt,
  type RowProblem,
} from '../shape/columns'
import type { CalibrationDocument } from './calibrationShape'
import {
  SPRAY_FIELDS,
  SPRAY_RUN_FIELDS,
  SPREAD_FIELDS,
  SPREAD_RUN_FIELDS,
  TIMED_FIELDS,
} from './courseFields'
import { SPRAY_METHODS, SPREAD_METHODS, sprayMethodOf, spreadMethodOf } from './courseNote'

const { text, figure, figures, choice } = CELLS

const DAY = /^\d{4}-\d{2}-\d{2}$/
const day: typeof text = {
  write: text.write,
  read: (typed, say) => {
    if (!DAY.test(typed)) say('A day is written as 2026-04-21.')
    return typed
  },
}

/** What the runs of every calibration share. */
const shared = (methods: readonly string[]): readonly Column[] => [
  column('method', choice(methods), 'course.by'),
  column('day', day, 'course.on'),
  column('done_by', text, 'by'),
  column('held_by', text, 'heldBy'),
  column('product', text, 'course.product'),
  column('length', figure(SPREAD_FIELDS.length), 'course.length'),
  column('width', figure(SPREAD_FIELDS.width), 'course.width'),
  column('speed', figure(TIMED_FIELDS.speed), 'course.speed'),
  column('timed_over', figure(TIMED_FIELDS.length), 'course.timed.length'),
  column('times', figures(TIMED_FIELDS['times.*']), 'course.timed.times'),
  column('ground', figure(SPREAD_FIELDS.ground), 'course.ground'),
  column('notes'),
]

/** What calibrations of each kind share, and what each of their runs says. */
const TABLES: Readonly<
  Record<CalibrationDocument['kind'], { readonly course: readonly Column[]; readonly run: readonly Column[] }>
> = {
  spread: {
    course: [
      ...shared(SPREAD_METHODS),
      column('setting', text, 'course.setting'),
      column('passes', text, 'course.passes'),
    ],
    run: (['start', 'left', 'caught', 'time'] as const).map((name) =>
      column(name, figure(SPREAD_RUN_FIELDS[name])),
    ),
  },
  spray: {
    course: [
      ...shared(SPRAY_METHODS),
      column('pressure', figure(SPRAY_FIELDS.pressure), 'course.pressure'),
      column('nozzles', text, 'course.nozzles'),
      column('count', text, 'course.count'),
      column('caught_for', figure(SPRAY_FIELDS['catching.time']), 'course.catching.time'),
      column('catches', figures(SPRAY_FIELDS['catching.catches.*']), 'course.catching.catches'),
      column('covered', figure(SPRAY_FIELDS['covered.ground']), 'course.covered.ground'),
      column('covered_in', figure(SPRAY_FIELDS['covered.time']), 'course.covered.time'),
    ],
    run: (['used', 'start', 'left', 'time'] as const).map((name) =>
      column(name, figure(SPRAY_RUN_FIELDS[name])),
    ),
  },
}

/** What parts of a calibration begin with that a calibration need not have. */
const PARTS = {
  'course.timed': { length: blankIn('ft'), times: [] },
  'course.catching': { time: blankIn('s'), catches: [] },
  'course.covered': { ground: blankIn('ft2'), time: blankIn('s') },
}

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

export interface NamedCalibration {
  readonly id: string
  readonly document: CalibrationDocument
}

/**
 * Calibrations as rows, everything to the letter as it was typed.
 * @param perPass kg or m3 on each m2, by id, where it could be worked out
 */
export const calibrationRows = (
  calibrations: readonly NamedCalibration[],
  perPass: ReadonlyMap<string, number>,
): readonly Row[] =>
  calibrations.flatMap(({ id, document }) => {
    const { course, run } = TABLES[document.kind]
    return document.course.runs.map((one, place) => ({
      ...Object.fromEntries(CALIBRATION_COLUMNS.map((head) => [head, ''])),
      calibration: id,
      kind: document.kind,
      ...rowOf(course, document),
      method: document.kind === 'spread' ? spreadMethodOf(document.course) : sprayMethodOf(document.course),
      run: String(place + 1),
      ...rowOf(run, one),
      one_pass: onePassOf(document, perPass.get(id)),
    }))
  })

function onePassOf({ kind }: CalibrationDocument, gives: number | undefined): string {
  if (gives === undefined) return ''
  return kind === 'spread'
    ? `${formatFigure(1000 * gives)} g/m2`
    : `${formatFigure(1000 * SQUARE_METRES_PER['100 m2'] * gives)} L/100 m2`
}

/**
 * Reads rows back, or rows that somebody made with a spreadsheet: figures with or without units, a blank
 * `calibration` on the first run of each new one.
 * @param newId makes ids for those without one
 * @returns all calibrations, or every problem with its line: never a part of a file
 */
export function readCalibrationRows(
  rows: readonly Row[],
  newId: () => string,
): { readonly calibrations: readonly NamedCalibration[]; readonly problems: readonly RowProblem[] } {
  const problems: RowProblem[] = []
  const groups = groupedRows(rows, ({ at }, first) =>
    at('calibration') === ''
      ? at('run') !== '' && at('run') !== '1'
      : at('calibration') === first.at('calibration'),
  )
  const calibrations = groups.flatMap((own) => {
    const document = readGroup(own, problems, newId)
    return document ? [{ id: own[0].at('calibration') || newId(), document }] : []
  })
  return problems.length > 0 ? { calibrations: [], problems } : { calibrations, problems }
}

function readGroup(
  rows: readonly [RowAt, ...RowAt[]],
  problems: RowProblem[],
  newId: () => string,
): CalibrationDocument | undefined {
  const [first] = rows
  const kind = first.at('kind')
  if (kind !== 'spread' && kind !== 'spray') {
    problems.push({ line: first.line, column: 'kind', message: `“${kind}” is neither spread nor spray.` })
    return undefined
  }
  const { course, run } = TABLES[kind]
  const document = documentOf(course, first, blankOf(kind), PARTS, newId, problems)
  const blankRun =
    kind === 'spread' ? { start: blankIn('lb'), left: blankIn('lb') } : { used: blankIn('gal') }
  const runs = rows.map((row) => documentOf(run, row, { id: newId(), ...blankRun }, {}, newId, problems))
  return { ...document, course: { ...document.course, runs } } as CalibrationDocument
}

function blankOf(kind: CalibrationDocument['kind']): CalibrationDocument {
  const course = {
    on: '',
    length: blankIn('ft'),
    width: blankIn('ft'),
    speed: blankIn('mph'),
    runs: [],
  }
  const remarks = { schema: 1, heldBy: '', by: '', notes: '' } as const
  return kind === 'spread'
    ? { ...remarks, kind, course: { ...course, by: SPREAD_METHODS[0], setting: '', product: '' } }
    : { ...remarks, kind, course: { ...course, by: SPRAY_METHODS[0] } }
}
