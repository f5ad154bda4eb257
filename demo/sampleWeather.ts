import { simulatedOutlook, SIMULATED_STATIONS, simulatedTruth } from '#core/simulated/simulatedStations'
import { forecastHours } from '#core/simulated/simulatedForecast'
import { simulatedHours } from '#core/simulated/simulatedHours'
import type { WeatherHour } from '#core/weather/hours/weatherHour'
import type { WeatherDay } from '#core/weather/weatherDay'
import type { SaveProbe, SaveStation } from '../shared/schemas/weather'
import { named, typed } from './typed'

export interface SampleStation {
  readonly id: string
  readonly row: Omit<SaveStation, 'version'>
  readonly days: readonly WeatherDay[]
  readonly hours: readonly WeatherHour[]
}

const OPENS_ON = '2026-05-06'
/** Hours are kept from here on; days since the service began. */
const HOURS_FROM = '2026-04-20'

function station(
  name: string,
  latitude: string,
  longitude: string,
  notes: string,
  service: string,
): SampleStation {
  const simulated = SIMULATED_STATIONS.find(({ id }) => id === service)
  if (!simulated) throw new Error(`there is no simulated station ${service}`)
  const seen = simulatedTruth(simulated, OPENS_ON).filter(({ on }) => on < OPENS_ON)
  const ahead = simulatedOutlook(simulated, OPENS_ON)
  return {
    id: named(`station ${name}`),
    row: { name, document: { schema: 1, latitude, longitude, notes, service } },
    days: [...seen, ...ahead.map(({ chance: _, ...day }) => day)],
    hours: [
      ...seen.filter(({ on }) => on >= HOURS_FROM).flatMap((day) => simulatedHours(day, simulated.seed)),
      ...forecastHours(ahead, simulated.seed),
    ],
  }
}

/** Two simulated stations with two and a half years, and what is forecast. */
export const sampleStations = (): readonly SampleStation[] => [
  station('Tamsin Point pier', '41.31', '-70.74', 'Simulated: a station of its own ships with us.', 'shore'),
  station('Quarry Lane', '41.38', '-70.69', 'Simulated: on the hill, two miles from the shore.', 'hill'),
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
