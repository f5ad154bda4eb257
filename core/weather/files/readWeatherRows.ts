import { celsius } from '../../quantity/temperature'
import { METRES_PER } from '../../quantity/units'
import { dayIn, figureIn, FILE_RAINS, FILE_TEMPERATURES, findColumns, type FileUnits } from './fileColumns'
import { dayCollector, MISSING, type FileProblem, type WeatherFile } from './weatherFile'

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
  const columns = findColumns(Object.keys(rows[0] ?? {}), COLUMNS)
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
      const value = figureIn(text)
      if (value === MISSING) continue
      if (value !== undefined) days.add(on, { [name]: inSi(name, value, column.unit, usual) })
      else problems.push({ line, message: `${column.head} is no figure: ${text}` })
    }
  }
  const untold = [columns.least, columns.most].some((column) => !FILE_TEMPERATURES[column?.unit ?? ''])
  return { days: days.days(), problems, ...(untold && { unitsUntold: true as const }) }
}

function inSi(name: ColumnName, value: number, unit: string, usual: FileUnits): number {
  if (name === 'humidity') return value
  if (name === 'rain') return value * METRES_PER[FILE_RAINS[unit] ?? usual.rain]
  return celsius({ value, unit: FILE_TEMPERATURES[unit] ?? usual.temperature })
}
