import { calendarDay, dayCollector, MISSING, type FileProblem, type WeatherFile } from './weatherFile'

/**
 * The daily climate format of national services: fixed columns, a line for each month and element, with 31
 * days of a value (five columns) and three flags. Tenths of °C and of mm; -9999 is missing.
 */
const ELEMENTS = {
  TMIN: { name: 'least', factor: 0.1 },
  TMAX: { name: 'most', factor: 0.1 },
  TAVG: { name: 'mean', factor: 0.1 },
  PRCP: { name: 'rain', factor: 0.0001 },
  RHAV: { name: 'humidity', factor: 1 },
} as const
const LINE = /^(\w{11})(\d{4})(\d{2})([A-Z0-9]{4})/
const DAYS_FROM = 21
const DAY_WIDTH = 8
const VALUE_WIDTH = 5

/** Whether a text is in that format, by its first line. */
export const isClimateFile = (text: string): boolean => LINE.test(text.trimStart())

/** @param text the whole file; elements that say nothing of a lawn are passed over */
export function readClimateFile(text: string): WeatherFile {
  const days = dayCollector()
  const problems: FileProblem[] = []
  const stations = new Set<string>()
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue
    const [, station = '', year = '', month = '', element = ''] = LINE.exec(line) ?? []
    if (station === '') {
      problems.push({ line: i + 1, message: 'is not in the format of the lines before it' })
      continue
    }
    stations.add(station)
    if (!Object.hasOwn(ELEMENTS, element)) continue
    const { name, factor } = ELEMENTS[element as keyof typeof ELEMENTS]
    for (let day = 1; day <= 31; day++) {
      const start = DAYS_FROM + (day - 1) * DAY_WIDTH
      const text5 = line.slice(start, start + VALUE_WIDTH).trim()
      const value = Number(text5)
      if (text5 === '' || value === MISSING) continue
      const on = calendarDay(Number(year), Number(month), day)
      if (on === undefined || !Number.isFinite(value))
        problems.push({ line: i + 1, message: `day ${day} is no figure of a day: ${text5}` })
      else days.add(on, { [name]: tidy(value * factor) })
    }
  }
  if (stations.size > 1)
    problems.push({ line: 1, message: `holds ${stations.size} stations: take one file for each` })
  return stations.size > 1 ? { days: [], problems } : { days: days.days(), problems }
}

/**
 * The same as a table: station, date, element, value in each row.
 * @returns undefined where the table is none of these
 */
export function readElementRows(rows: readonly Readonly<Record<string, string>>[]): WeatherFile | undefined {
  const heads = new Map(Object.keys(rows[0] ?? {}).map((head) => [head.trim().toLowerCase(), head]))
  const [date, element, value] = ['date', 'element', 'value'].map((name) => heads.get(name))
  if (date === undefined || element === undefined || value === undefined) return undefined
  const days = dayCollector()
  const problems: FileProblem[] = []
  for (const [i, row] of rows.entries()) {
    const name = row[element]?.trim() ?? ''
    if (!Object.hasOwn(ELEMENTS, name)) continue
    const [, year, month, day] = /^(\d{4})-?(\d{2})-?(\d{2})$/.exec(row[date]?.trim() ?? '') ?? []
    const on = calendarDay(Number(year), Number(month), Number(day))
    const figure = Number(row[value]?.trim() || Number.NaN)
    if (figure === MISSING) continue
    const { name: quantity, factor } = ELEMENTS[name as keyof typeof ELEMENTS]
    if (on === undefined || !Number.isFinite(figure))
      problems.push({ line: i + 2, message: `is no figure of a day: ${row[date]} ${row[value]}` })
    else days.add(on, { [quantity]: tidy(figure * factor) })
  }
  return { days: days.days(), problems }
}

/** 0.1 x 3 is 0.3 to people. */
const tidy = (value: number): number => Number(value.toPrecision(12))
