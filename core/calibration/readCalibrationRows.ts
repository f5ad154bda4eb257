import { figureIn } from '../quantity/cells'
import type { Kind, KindUnits } from '../quantity/parseQuantity'
import type { CalibrationDocument } from './calibrationShape'
import type { CalibrationColumn, NamedCalibration } from './calibrationRows'
import { SPRAY_METHODS, SPREAD_METHODS, type SpreadMethod, type SprayMethod } from './courseNote'

/**
 * Something a table says that can't be taken, with the line of the file it stands in (the heads are line 1).
 */
export interface RowProblem {
  readonly line: number
  readonly column: CalibrationColumn
  readonly message: string
}

/**
 * Reads rows back, or rows that somebody made with a spreadsheet: figures with or without units, a blank
 * `calibration` on the first run of each new one.
 * @param newId makes ids for those without one
 * @returns all calibrations, or every problem with its line: never a part of a file
 */
export function readCalibrationRows(
  rows: readonly Readonly<Partial<Record<string, string>>>[],
  newId: () => string,
): { readonly calibrations: readonly NamedCalibration[]; readonly problems: readonly RowProblem[] } {
  const problems: RowProblem[] = []
  const groups: { id: string; rows: { at: (column: CalibrationColumn) => string; line: number }[] }[] = []
  rows.forEach((row, i) => {
    const at = (column: CalibrationColumn) => (row[column] ?? '').trim()
    const named = at('calibration')
    const last = groups.at(-1)
    const more = last && (named === '' ? at('run') !== '' && at('run') !== '1' : named === last.id)
    if (more) last.rows.push({ at, line: i + 2 })
    else groups.push({ id: named === '' ? newId() : named, rows: [{ at, line: i + 2 }] })
  })
  const calibrations = groups.flatMap(({ id, rows: own }) => {
    const document = readGroup(own, problems, newId)
    return document ? [{ id, document }] : []
  })
  return problems.length > 0 ? { calibrations: [], problems } : { calibrations, problems }
}

type RowAt = { readonly at: (column: CalibrationColumn) => string; readonly line: number }

function readGroup(
  rows: readonly RowAt[],
  problems: RowProblem[],
  newId: () => string,
): CalibrationDocument | undefined {
  const [first] = rows
  if (!first) return undefined
  const { at, line } = first
  const say = (row: RowAt, column: CalibrationColumn) => (message: string) => {
    problems.push({ line: row.line, column, message })
  }
  const get = <K extends Kind>(row: RowAt, column: CalibrationColumn, kind: K, unit: KindUnits[K]) =>
    figureIn(row.at(column), kind, unit, say(row, column))
  const some = <K extends Kind>(row: RowAt, column: CalibrationColumn, kind: K, unit: KindUnits[K]) =>
    row.at(column) === '' ? undefined : get(row, column, kind, unit)
  const many = <K extends Kind>(column: CalibrationColumn, kind: K, unit: KindUnits[K]) =>
    at(column)
      .split(';')
      .map((one) => one.trim())
      .filter(Boolean)
      .map((one) => figureIn(one, kind, unit, say(first, column)))
  if (at('day') !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(at('day')))
    say(first, 'day')('A day is written as 2026-04-21.')
  const times = many('times', 'stopwatch', 's')
  const remarks = { schema: 1 as const, heldBy: at('held_by'), by: at('done_by'), notes: at('notes') }
  const course = {
    on: at('day'),
    length: get(first, 'length', 'length', 'ft'),
    width: get(first, 'width', 'length', 'ft'),
    speed: get(first, 'speed', 'speed', 'mph'),
    ...(times.length > 0 && { timed: { length: get(first, 'timed_over', 'length', 'ft'), times } }),
  }
  if (at('kind') === 'spread') {
    const by = methodIn<SpreadMethod>(SPREAD_METHODS, at('method'), say(first, 'method'))
    return {
      ...remarks,
      kind: 'spread',
      course: {
        ...course,
        by,
        setting: at('setting'),
        product: at('product'),
        ...optional('ground', some(first, 'ground', 'area', 'ft2')),
        ...optional('passes', at('passes') || undefined),
        runs: rows.map((row) => ({
          id: newId(),
          start: get(row, 'start', 'mass', 'lb'),
          left: get(row, 'left', 'mass', 'lb'),
          ...optional('caught', some(row, 'caught', 'mass', 'g')),
          ...optional('time', some(row, 'time', 'stopwatch', 's')),
        })),
      },
    }
  }
  if (at('kind') === 'spray') {
    const by = methodIn<SprayMethod>(SPRAY_METHODS, at('method'), say(first, 'method'))
    const catches = many('catches', 'volume', 'fl oz')
    const [covered, pressure] = [
      some(first, 'covered', 'area', 'ft2'),
      some(first, 'pressure', 'pressure', 'psi'),
    ]
    return {
      ...remarks,
      kind: 'spray',
      course: {
        ...course,
        by,
        ...optional('pressure', pressure),
        ...optional('nozzles', at('nozzles') || undefined),
        ...optional('product', at('product') || undefined),
        ...optional('count', at('count') || undefined),
        ...optional('ground', some(first, 'ground', 'area', 'ft2')),
        ...(catches.length > 0 && {
          catching: { time: get(first, 'caught_for', 'stopwatch', 's'), catches },
        }),
        ...(covered && { covered: { ground: covered, time: get(first, 'covered_in', 'stopwatch', 's') } }),
        runs: rows.map((row) => ({
          id: newId(),
          used: get(row, 'used', 'volume', 'gal'),
          ...optional('start', some(row, 'start', 'volume', 'gal')),
          ...optional('left', some(row, 'left', 'volume', 'gal')),
          ...optional('time', some(row, 'time', 'stopwatch', 's')),
        })),
      },
    }
  }
  problems.push({ line, column: 'kind', message: `“${at('kind')}” is neither spread nor spray.` })
  return undefined
}

const optional = <N extends string, T>(name: N, value: T | undefined): { readonly [K in N]?: T } =>
  value === undefined ? {} : ({ [name]: value } as { readonly [K in N]?: T })

function methodIn<M extends string>(
  methods: readonly M[],
  text: string,
  problem: (message: string) => void,
): M {
  const found = methods.find((method) => method === (text === '' ? methods[0] : text))
  if (!found) problem(`“${text}” is no method known here: one of ${methods.join(', ')}.`)
  return found ?? methods[0]!
}
