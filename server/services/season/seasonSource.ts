import { daysAfter } from '#core/calendar/daysBetween'
import { placeHour } from '#core/calendar/placeHour'
import { daylight } from '#core/weather/daylight'
import type { WeatherHour } from '#core/weather/hours/weatherHour'
import { readLatitude } from '#core/weather/readLatitude'
import { FORECAST_DAYS } from '#core/simulated/simulatedStations'
import type { WeatherDay } from '#core/weather/weatherDay'
import { weatherSeries, type WeatherSeries } from '#core/weather/weatherSeries'
import type { Area, Site } from '#shared/schemas/ground'
import type { Station } from '#shared/schemas/weather'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'

/** What is usual is told from so many years of a station. */
const YEARS_BACK = 5
/** Where neither site nor station says where it lies, the crew is taken for one of the northern half. */
const NORTHERN = 40
/** Hours are looked at from so many days ago. */
const HOURS_BACK = 2

/** The weather of a crew's stations, each read once however many areas ask. */
export interface SeasonSource {
  readonly today: string
  /** The site's own, else the crew's first. */
  readonly stationOf: (site: Pick<Site, 'document'>) => Station | undefined
  readonly days: (station: Station | undefined) => Promise<readonly WeatherDay[]>
  readonly series: (station: Station | undefined) => Promise<WeatherSeries>
  /** From a few days ago to the end of what is forecast. */
  readonly hours: (station: Station | undefined) => Promise<readonly WeatherHour[]>
}

/** @param today YYYY-MM-DD; what lies after it is forecast */
export async function seasonSource(
  { stations, weather }: Pick<Repositories, 'stations' | 'weather'>,
  today: string,
): Promise<SeasonSource> {
  const all = await stations.list()
  const last = daysAfter(today, FORECAST_DAYS + 6)
  const kept = new Map<string, Promise<unknown>>()
  const once = <T>(key: string, read: () => Promise<T>): Promise<T> => {
    const there = kept.get(key) as Promise<T> | undefined
    const reading = there ?? read()
    kept.set(key, reading)
    return reading
  }
  const days: SeasonSource['days'] = (station) =>
    once(`days ${station?.id ?? ''}`, async () =>
      station
        ? (await weather.between(station.id, `${Number(today.slice(0, 4)) - YEARS_BACK}-01-01`, last)).map(
            (day) => ({ ...day, forecast: day.forecast || day.on > today }),
          )
        : [],
    )
  return {
    today,
    stationOf: (site) => all.find(({ id }) => id === site.document.stationId) ?? all[0],
    days,
    series: (station) =>
      once(`series ${station?.id ?? ''}`, async () => {
        const series = weatherSeries(await days(station))
        if (!series.ok) throw failure('contradicts', series.error.message)
        return series.value
      }),
    hours: (station) =>
      once(`hours ${station?.id ?? ''}`, async () =>
        station ? weather.hoursBetween(station.id, daysAfter(today, -HOURS_BACK), last) : [],
      ),
  }
}

/** What a season asks of an area besides its weather, and where its half of the earth is known from. */
export function seasonGround(area: Area, site: Pick<Site, 'document'>, station: Station | undefined) {
  const byPlan = site.document.anchor?.lat
  const byStation = station && readLatitude(station.document.latitude)
  return {
    ground: {
      grasses: area.document.grass.map(({ species }) => species),
      latitude: byPlan ?? byStation ?? NORTHERN,
      overseeding: area.document.overseeding || undefined,
      rootDisease: (area.document.diseases ?? []).some(({ seat }) => seat === 'root'),
      diseases: (area.document.diseases ?? []).map(({ name }) => name),
    },
    latitudeFrom:
      byPlan === undefined
        ? byStation === undefined
          ? ('nowhere' as const)
          : ('station' as const)
        : ('plan' as const),
  }
}

/** Clock hours between which it is light at a site; undefined where nobody knows where it lies. */
export function lightAt(
  site: Pick<Site, 'document'>,
  station: Station | undefined,
  timeZone: string,
): (on: string) => { readonly from: number; readonly to: number } | undefined {
  const { anchor } = site.document
  const latitude = anchor?.lat ?? (station && readLatitude(station.document.latitude))
  const typed = Number(station?.document.longitude.trim() || Number.NaN)
  const longitude = anchor?.lon ?? (Math.abs(typed) <= 180 ? typed : undefined)
  return (on) => {
    if (latitude === undefined || longitude === undefined) return undefined
    const { rises, sets } = daylight(on, latitude, longitude)
    return rises && sets ? { from: placeHour(rises, timeZone), to: placeHour(sets, timeZone) } : undefined
  }
}
