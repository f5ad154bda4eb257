import { daysAfter } from '#core/calendar/daysBetween'
import { placeHour } from '#core/calendar/placeHour'
import { daysFromHours, type WeatherHour } from '#core/weather/hours/weatherHour'
import { readWeatherLine } from '#core/weather/hours/weatherLine'
import { simulatedLines, SIMULATED_STATIONS } from '#core/simulated/simulatedStations'
import type { Organization } from '#shared/schemas/organization'
import type { Repositories } from '../../repositories/forOrganization'
import { nowFor, todayFor } from '../clock'

/** A new station asks for so many days gone by. */
const FIRST_BACK = 60

/**
 * A service of weather: hours as lines of the wire (docs/weather-lines.md). A bridge to a real one gives the
 * same lines; the stand-in that ships is simulated.
 */
export interface WeatherService {
  readonly id: string
  readonly name: string
  readonly lines: (from: string, today: string, hour: number) => readonly string[]
}

export const WEATHER_SERVICES: readonly WeatherService[] = SIMULATED_STATIONS.map((station) => ({
  id: station.id,
  name: station.name,
  lines: (from, today, hour) => simulatedLines(station, from, today, hour),
}))

/** What asking the services brought. */
export interface Refreshed {
  readonly stations: number
  readonly hours: number
  /** Lines that were no hours of weather. */
  readonly unread: number
}

/**
 * Asks the service of every station that has one, at most once an hour: hours that came true and those that
 * are forecast. Days that are whole are made from their hours, those to come as they are forecast.
 */
export async function refreshWeather(
  repositories: Repositories,
  organization: Organization,
): Promise<Refreshed> {
  const today = todayFor(organization)
  const hour = Math.floor(placeHour(nowFor(organization), organization.timeZone))
  const spans = await repositories.weather.spans()
  const counts = { stations: 0, hours: 0, unread: 0 }
  for (const { id, document } of await repositories.stations.list()) {
    const service = WEATHER_SERVICES.find((one) => one.id === document.service)
    if (!service) continue
    const newest = (await repositories.weather.hoursBetween(id, today, today)).findLast(
      ({ forecast }) => !forecast,
    )
    if (newest?.hour === hour) continue
    const lastSeen = spans.find(({ stationId }) => stationId === id)?.lastSeen
    const lines = service.lines(
      lastSeen ? daysAfter(lastSeen, 1) : daysAfter(today, -FIRST_BACK),
      today,
      hour,
    )
    const hours: WeatherHour[] = []
    for (const line of lines) {
      const read = readWeatherLine(line)
      if (read.ok) hours.push(read.value)
      else counts.unread += 1
    }
    await repositories.transaction(async (inside) => {
      await inside.weather.saveHours(id, hours)
      const days = daysFromHours(hours)
      if (days.length > 0) await inside.weather.save(id, days)
    })
    counts.stations += 1
    counts.hours += hours.length
  }
  return counts
}

/** Hours of a station, with the days that follow from them. */
export async function saveHours(
  { weather }: Pick<Repositories, 'weather'>,
  stationId: string,
  hours: readonly WeatherHour[],
): Promise<void> {
  await weather.saveHours(stationId, hours)
  const touched = [...new Set(hours.map(({ on }) => on))].toSorted()
  const [first, last] = [touched[0], touched.at(-1)]
  if (first === undefined || last === undefined) return
  const whole = (await weather.hoursBetween(stationId, first, last)).filter(({ on }) => touched.includes(on))
  const days = daysFromHours(whole)
  if (days.length > 0) await weather.save(stationId, days)
}
