import { parseDay } from '../../calendar/parseDay'
import { celsius } from '../../quantity/temperature'
import { METRES_PER, type LengthUnit, type TemperatureUnit } from '../../quantity/units'
import { calendarDay, dayCollector, MISSING, type FileProblem, type WeatherFile } from './weatherFile'

/** What a column may be called, once its unit is taken off. */
const COLUMNS = {
  on: ['date', 'day', 'on'],
  least: ['min', 'low', 'tmin', 'least', 'min temp', 'temp min', 'low temp'],
  most: ['max', 'high', 'tmax', 'most', 'max temp', 'temp max', 'high temp'],
  mean: ['mean', 'avg', 'average', 'tavg', 'mean temp', 'avg temp'],
  humidity: ['rh', 'humidity', 'relative humidity', 'rhav', 'mean rh'],
  rain: ['rain', 'precip', 'precipitation', 'prcp', 'rainfall'],
  soil: ['soil', 'soil temp', 'soil temperature'],
} as const
type ColumnName = keyof typeof COLUMNS

/** Units of a file whose columns do not name theirs. */
export interface FileUnits {
  readonly temperature: TemperatureUnit
  readonly rain: LengthUnit
}

const TEMPERATURES: Readonly<Record<string, TemperatureUnit>> = { f: '°F', '°f': '°F', c: '°C', '°c': '°C' }
const RAINS: Readonly<Record<string, LengthUnit>> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  mm: 'mm',
  cm: 'cm',
}

interface Column {
  readonly head: string
  readonly unit: string
}

/**
 * A table with a day, a low and a high in each row; columns are found by name, with their unit in brackets or
 * after a blank or underscore.
 * @param usual units where a column names none
 * @returns no days and one problem where day, low or high is not found
 */
export function readWeatherRows(
  rows: readonly Readonly<Record<string, string>>[],
  usual: FileUnits,
): WeatherFile {
  const columns = columnsOf(Object.keys(rows[0] ?? {}))
  const lacking = (['on', 'least', 'most'] as const).filter((name) => !columns[name])
  if (lacking.length > 0)
    return {
      days: [],
      problems: [
        {
          line: 1,
          message: `must name a column for ${lacking.map((name) => COLUMNS[name][0]).join(', ')}`,
        },
      ],
    }
  const days = dayCollector()
  const problems: FileProblem[] = []
  for (const [i, row] of rows.entries()) {
    const line = i + 2
    const on = dayIn(row[columns.on?.head ?? ''] ?? '')
    if (on === undefined) {
      problems.push({ line, message: `has no day that can be read: ${row[columns.on?.head ?? ''] ?? ''}` })
      continue
    }
    for (const name of ['least', 'most', 'mean', 'soil', 'humidity', 'rain'] as const) {
      const column = columns[name]
      const text = (column && row[column.head]?.trim()) ?? ''
      if (!column || text === '') continue
      const value = Number(text.replace(',', '.'))
      if (value === MISSING) continue
      if (Number.isFinite(value)) days.add(on, { [name]: inSi(name, value, column.unit, usual) })
      else problems.push({ line, message: `${column.head} is no figure: ${text}` })
    }
  }
  return { days: days.days(), problems }
}

/** A unit after a blank, a line or in brackets. */
const UNIT_AT_END = /^(.*?)(?:[\s_]+[([]?|[([])(°?[fc]|in|inch|inches|mm|cm|%)[)\]]?$/i

function columnsOf(heads: readonly string[]): Partial<Record<ColumnName, Column>> {
  const found: Partial<Record<ColumnName, Column>> = {}
  for (const head of heads) {
    const [, before, unit = ''] = UNIT_AT_END.exec(head.trim()) ?? []
    const words = before ?? head.trim()
    const plain = words.toLowerCase().replaceAll('_', ' ').trim()
    const name = (Object.keys(COLUMNS) as ColumnName[]).find((one) =>
      (COLUMNS[one] as readonly string[]).includes(plain),
    )
    if (name && !found[name]) found[name] = { head, unit: unit.toLowerCase() }
  }
  return found
}

/** 2026-05-06, 20260506, or as it is said with its year; a day without a year is none. */
function dayIn(text: string): string | undefined {
  const [, year, month, day] = /^(\d{4})-?(\d{2})-?(\d{2})(?:[T ].*)?$/.exec(text.trim()) ?? []
  if (year && month && day) return calendarDay(Number(year), Number(month), Number(day))
  if (!/\d{4}/.test(text)) return undefined
  const read = parseDay(text, Number.NaN)
  return read.ok ? read.value : undefined
}

function inSi(name: ColumnName, value: number, unit: string, usual: FileUnits): number {
  if (name === 'humidity') return value
  if (name === 'rain') return value * METRES_PER[RAINS[unit] ?? usual.rain]
  return celsius({ value, unit: TEMPERATURES[unit] ?? usual.temperature })
}
