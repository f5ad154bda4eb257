import { dayNumber } from '../calendar/dayNumber'
import { daysAfter } from '../calendar/daysBetween'
import { forecastHours, simulatedForecast, type ForecastDay } from './simulatedForecast'
import { simulatedHours } from './simulatedHours'
import { writeWeatherLine } from '../weather/hours/weatherLine'
import { simulatedClimate, type Climate } from './simulatedClimate'
import type { WeatherDay } from '../weather/weatherDay'

/** A station of the stand-in service that ships: a place made up, the same for everybody. */
export interface SimulatedStation {
  readonly id: string
  readonly name: string
  readonly climate: Climate
  readonly seed: number
}

/** Its weather begins on this day. */
const SIMULATED_FROM = '2023-11-01'
/** So far ahead it forecasts. */
export const FORECAST_DAYS = 10
/** One question brings at most so many days gone by. */
const MOST_BACK = 60

/** A cool, damp shore: spring comes late. */
const SHORE: Climate = {
  mean: 10.6,
  swing: 11.4,
  coldest: 36,
  dayRange: 8.5,
  wetDays: 0.31,
  rainDepth: 0.008,
  humidity: 74,
}
const INLAND: Climate = { ...SHORE, mean: 10.9, swing: 12.6, coldest: 29, dayRange: 11, humidity: 68 }
const WARM: Climate = { ...SHORE, mean: 18.5, swing: 9.5, coldest: 20, dayRange: 11.5, wetDays: 0.27 }

/** The sample's seeds bring a regulator near its rebound and dollar spot over its threshold. */
export const SIMULATED_STATIONS: readonly SimulatedStation[] = [
  { id: 'shore', name: 'Simulated: a cool shore', climate: SHORE, seed: 99 },
  { id: 'hill', name: 'Simulated: two miles inland', climate: INLAND, seed: 7 },
  { id: 'warm', name: 'Simulated: warm-season country', climate: WARM, seed: 21 },
  { id: 'south', name: 'Simulated: the southern half', climate: { ...WARM, coldest: 203 }, seed: 5 },
]

/** The days of a simulated station as they are, from its first to a last. */
export const simulatedTruth = ({ climate, seed }: SimulatedStation, last: string): readonly WeatherDay[] =>
  simulatedClimate(climate, SIMULATED_FROM, dayNumber(last) - dayNumber(SIMULATED_FROM) + 1, seed)

/** What it forecasts on a day, for that day and those after it. */
export const simulatedOutlook = (station: SimulatedStation, today: string): readonly ForecastDay[] =>
  simulatedForecast(
    simulatedTruth(station, daysAfter(today, FORECAST_DAYS)),
    today,
    station.climate,
    station.seed,
  )

/**
 * What the service answers: hours that came true up to this one, then those it forecasts, a line each.
 * @param from, today YYYY-MM-DD @param hour the hour it is
 */
export function simulatedLines(
  station: SimulatedStation,
  from: string,
  today: string,
  hour: number,
): readonly string[] {
  const { seed } = station
  const first = [from, daysAfter(today, -MOST_BACK), SIMULATED_FROM].toSorted().at(-1) ?? from
  const truth = simulatedTruth(station, today).filter(({ on }) => on >= first)
  const seen = truth
    .flatMap((day) => simulatedHours(day, seed))
    .filter((one) => one.on < today || one.hour <= hour)
  const told = forecastHours(simulatedOutlook(station, today), seed).filter(
    (one) => one.on > today || one.hour > hour,
  )
  return [...seen, ...told].map(writeWeatherLine)
}
