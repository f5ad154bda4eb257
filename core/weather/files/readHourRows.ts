import { celsius } from '../../quantity/temperature'
import { METRES_PER, METRES_PER_SECOND_PER } from '../../quantity/units'
import { daysFromHours, type WeatherHour } from '../hours/weatherHour'
import {
  dayIn,
  figureIn,
  FILE_RAINS,
  FILE_TEMPERATURES,
  FILE_WINDS,
  findColumns,
  type Column,
  type FileUnits,
} from './fileColumns'
import { MISSING, type FileProblem, type WeatherFile } from './weatherFile'

const COLUMNS = {
  at: ['time', 'date time', 'datetime', 'timestamp', 'hour ending', 'date and time'],
  on: ['date', 'day'],
  hour: ['hour', 'clock'],
  air: ['temp', 'air', 'temperature', 'air temp', 'air temperature'],
  humidity: ['rh', 'humidity', 'relative humidity'],
  wind: ['wind', 'wind speed'],
  gust: ['gust', 'wind gust'],
  rain: ['rain', 'precip', 'precipitation', 'rainfall'],
} as const

/**
 * A table with an hour in each row: its day and hour in one column or two, and its temperature.
 * @param usual units where a column names none
 * @returns undefined where the table tells no hours
 */
export function readHourRows(
  rows: readonly Readonly<Record<string, string>>[],
  usual: FileUnits,
): WeatherFile | undefined {
  const columns = findColumns(Object.keys(rows[0] ?? {}), COLUMNS)
  const { air } = columns
  if (!air || !(columns.at ?? (columns.on && columns.hour))) return undefined
  const hours: WeatherHour[] = []
  const problems: FileProblem[] = []
  for (const [i, row] of rows.entries()) {
    const line = i + 2
    const cell = (column: Column | undefined) => (column && row[column.head]?.trim()) ?? ''
    const on = dayIn(cell(columns.at ?? columns.on))
    const hour = columns.at ? hourIn(cell(columns.at)) : hourIn(cell(columns.hour))
    const degrees = figureIn(cell(air))
    if (on === undefined || hour === undefined) {
      problems.push({ line, message: `has no day and hour that can be read: ${Object.values(row)[0] ?? ''}` })
      continue
    }
    if (degrees === undefined || degrees === MISSING) {
      if (degrees === undefined) problems.push({ line, message: `${air.head} is no figure: ${cell(air)}` })
      continue
    }
    const figure = (column: Column | undefined): number | undefined => {
      const value = figureIn(cell(column))
      return value === MISSING ? undefined : value
    }
    const [humidity, wind, gust, rain] = [
      figure(columns.humidity),
      figure(columns.wind),
      figure(columns.gust),
      figure(columns.rain),
    ]
    const windFactor = METRES_PER_SECOND_PER[FILE_WINDS[columns.wind?.unit ?? ''] ?? usual.wind]
    hours.push({
      on,
      hour,
      air: celsius({ value: degrees, unit: FILE_TEMPERATURES[air.unit] ?? usual.temperature }),
      ...(humidity !== undefined && { humidity }),
      ...(wind !== undefined && { wind: wind * windFactor }),
      ...(gust !== undefined && { gust: gust * windFactor }),
      ...(rain !== undefined && {
        rain: rain * METRES_PER[FILE_RAINS[columns.rain?.unit ?? ''] ?? usual.rain],
      }),
      forecast: false,
    })
  }
  const untold = !FILE_TEMPERATURES[air.unit]
  return { days: daysFromHours(hours), hours, problems, ...(untold && { unitsUntold: true as const }) }
}

/** 14, 14:00, or the clock of an instant: 2026-05-06T14:30. */
function hourIn(text: string): number | undefined {
  const [, typed] = /(?:^|[T ])(\d{1,2})(?::\d{2})*(?:Z|[+-]\d{2}:?\d{2})?$/.exec(text.trim()) ?? []
  const hour = Number(typed ?? Number.NaN)
  return hour >= 0 && hour <= 23 ? hour : undefined
}
