import { daysAfter } from '#core/calendar/daysBetween'
import type { StationRow, StationWeather, WeatherFileDocument } from '#shared/schemas/weather'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'
import { csvOf } from '../csv'

const FIRST = '1900-01-01'
const LAST = '2199-12-31'

/** Stations with how much of them there is, and the sites that are told by them. */
export async function stationRows({
  stations,
  weather,
  sites,
}: Pick<Repositories, 'stations' | 'weather' | 'sites'>): Promise<readonly StationRow[]> {
  const [list, spans, all] = await Promise.all([stations.list(), weather.spans(), sites.list()])
  return list.map((station, place) => {
    const span = spans.find(({ stationId }) => stationId === station.id)
    return {
      ...station,
      firstDay: span?.firstDay ?? null,
      lastDay: span?.lastSeen ?? null,
      days: span?.days ?? 0,
      // A site that names none is told by the first.
      sites: all
        .filter(({ document: { stationId } }) =>
          list.some(({ id }) => id === stationId) ? stationId === station.id : place === 0,
        )
        .map(({ id, name }) => ({ id, name })),
    }
  })
}

/** So many days of hours are looked at: a year and what is forecast. */
const HOUR_DAYS = 366
/** A picture of days reaches back as far as ten years. */
const DAYS_BACK = 3653

/** All a station holds that a picture shows: days of ten years, hours of one. */
export async function stationWeather(
  { stations, weather }: Pick<Repositories, 'stations' | 'weather'>,
  id: string,
  today: string,
): Promise<StationWeather> {
  const station = await stations.find(id)
  if (!station) throw failure('not-found', 'There is no such station.')
  const [days, hours] = await Promise.all([
    weather.between(id, daysAfter(today, -DAYS_BACK), LAST),
    weather.hoursBetween(id, daysAfter(today, -HOUR_DAYS), LAST),
  ])
  return {
    id,
    name: station.name,
    today,
    days: days.map(({ on, least, most, rain = null }) => [on, least, most, rain]),
    hours: hours.map(({ on, hour, air, rain = null, wind = null }) => [on, hour, air, rain, wind]),
  }
}

/** The days of a station as a file; what is forecast is left out. */
export async function stationFile(
  { stations, weather }: Pick<Repositories, 'stations' | 'weather'>,
  id: string,
  format: 'csv' | 'json',
): Promise<{ readonly type: string; readonly text: string; readonly name: string }> {
  const station = await stations.find(id)
  if (!station) throw failure('not-found', 'There is no such station.')
  const days = (await weather.between(id, FIRST, LAST)).filter(({ forecast }) => !forecast)
  const { name, document } = station
  if (format === 'json') {
    const file: WeatherFileDocument = {
      format: 'weather',
      schema: 1,
      station: { name, latitude: document.latitude, longitude: document.longitude },
      days: [...days],
    }
    return { type: 'application/json', text: `${JSON.stringify(file, null, 1)}\n`, name }
  }
  const rows = days.map(({ on, least, most, mean, humidity, rain, soil }) => ({
    date: on,
    'min (C)': least,
    'max (C)': most,
    'mean (C)': mean ?? '',
    'rh (%)': humidity ?? '',
    'rain (mm)': rain === undefined ? '' : Number((rain * 1000).toFixed(3)),
    'soil (C)': soil ?? '',
  }))
  return { type: 'text/csv; charset=utf-8', text: csvOf(rows), name }
}
