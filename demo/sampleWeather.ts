import { daysBetween } from '#core/calendar/daysBetween'
import { simulatedClimate, type Climate } from '#core/weather/simulatedClimate'
import type { WeatherDay } from '#core/weather/weatherDay'
import type { SaveProbe, SaveStation } from '../shared/schemas/weather'
import { named, typed } from './typed'

export interface SampleStation {
  readonly id: string
  readonly row: Omit<SaveStation, 'version'>
  readonly days: readonly WeatherDay[]
}

const FIRST_DAY = '2023-11-01'
const OPENS_ON = '2026-05-06'
const FORECAST_DAYS = 10

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

/** Seeds that bring a regulator near its rebound and dollar spot over its threshold on the opening day. */
const SEEDS = { shore: 99, inland: 7 } as const

const station = (
  name: string,
  latitude: string,
  longitude: string,
  notes: string,
  climate: Climate,
  seed: number,
): SampleStation => ({
  id: named(`station ${name}`),
  row: { name, document: { schema: 1, latitude, longitude, notes } },
  days: simulatedClimate(climate, FIRST_DAY, daysBetween(FIRST_DAY, OPENS_ON) + FORECAST_DAYS + 1, seed).map(
    (day) => ({ ...day, forecast: day.on >= OPENS_ON }),
  ),
})

/** Two simulated stations with two and a half years, and what is forecast. */
export const sampleStations = (): readonly SampleStation[] => [
  station(
    'Tamsin Point pier',
    '41.31',
    '-70.74',
    'Simulated: a station of its own ships with us.',
    SHORE,
    SEEDS.shore,
  ),
  station(
    'Quarry Lane',
    '41.38',
    '-70.69',
    'Simulated: on the hill, two miles from the shore.',
    INLAND,
    SEEDS.inland,
  ),
]
export const SHORE_STATION = named('station Tamsin Point pier')
export const INLAND_STATION = named('station Quarry Lane')

export interface SampleProbe {
  readonly id: string
  readonly on: string
  readonly row: Omit<SaveProbe, 'version'>
}

/** Readings on the bowling green, in the morning, at 2 in. */
export const sampleProbes = (areaId: string): readonly SampleProbe[] =>
  (
    [
      ['2026-02-09', '41'],
      ['2026-03-29', '44'],
      ['2026-04-14', '42'],
      ['2026-05-04', '54'],
    ] as const
  ).map(([on, text]) => ({
    id: named(`probe ${areaId} ${on}`),
    on,
    row: {
      areaId,
      document: {
        schema: 1,
        on,
        soil: typed(text, '°F'),
        depth: typed('2', 'in'),
        at: '7:30',
        where: 'middle of the green',
      },
    },
  }))
