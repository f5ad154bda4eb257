import { checksum } from '../../devices/checksum'
import { err, ok, type Result } from '../../result'
import type { WeatherHour } from './weatherHour'

/** What a line may tell of an hour, the unit it comes in, and what that is in ours. */
const FIGURES = {
  air: { unit: 'C', factor: 1, from: -90, to: 60 },
  humidity: { unit: '%', factor: 1, from: 0, to: 100 },
  wind: { unit: 'm/s', factor: 1, from: 0, to: 120 },
  gust: { unit: 'm/s', factor: 1, from: 0, to: 120 },
  rain: { unit: 'mm', factor: 0.001, from: 0, to: 500 },
  chance: { unit: '%', factor: 0.01, from: 0, to: 100 },
} as const
type FigureName = keyof typeof FIGURES
const NAMES = Object.keys(FIGURES) as readonly FigureName[]

/** Why a line is no hour of weather; each is counted and told, none is guessed at. */
export type WeatherLineError =
  'tooLong' | 'notALine' | 'badChecksum' | 'unknownFigure' | 'notANumber' | 'noAir'

const LONGEST_LINE = 200
const SHAPE = /^W1 (\d{4}-\d{2}-\d{2}) ([01]\d|2[0-3]) (.+) (seen|forecast)\*([0-9A-F]{2})$/

/**
 * An hour as one line of the wire, without its line feed.
 * @example 'W1 2026-05-06 14 air 17.2 C humidity 61 % wind 3.4 m/s rain 0 mm seen*5C'
 */
export function writeWeatherLine(hour: WeatherHour): string {
  const figures = NAMES.flatMap((name) => {
    const value = hour[name]
    const { unit, factor } = FIGURES[name]
    return value === undefined ? [] : [`${name} ${Number((value / factor).toPrecision(8))} ${unit}`]
  })
  const at = `${hour.on} ${String(hour.hour).padStart(2, '0')}`
  const text = `W1 ${at} ${figures.join(' ')} ${hour.forecast ? 'forecast' : 'seen'}`
  return `${text}*${checksum(text)}`
}

/** Reads one line of the wire (docs/weather-lines.md). */
export function readWeatherLine(line: string): Result<WeatherHour, WeatherLineError> {
  if (line.length > LONGEST_LINE) return err('tooLong')
  const [, on = '', hour = '', figures = '', state, sum] = SHAPE.exec(line) ?? []
  if (on === '' || Number.isNaN(Date.parse(on))) return err('notALine')
  if (checksum(line.slice(0, line.lastIndexOf('*'))) !== sum) return err('badChecksum')
  const words = figures.split(' ')
  const told: Partial<Record<FigureName, number>> = {}
  for (let i = 0; i < words.length; i += 3) {
    const name = NAMES.find((one) => one === words[i] && FIGURES[one].unit === words[i + 2])
    if (!name) return err('unknownFigure')
    const { factor, from, to } = FIGURES[name]
    const value = Number(words[i + 1])
    if (words[i + 1] === '' || !(value >= from && value <= to)) return err('notANumber')
    told[name] = value * factor
  }
  const { air, ...rest } = told
  return air === undefined
    ? err('noAir')
    : ok({ on, hour: Number(hour), air, ...rest, forecast: state === 'forecast' })
}
