import { dayNumber } from '#core/calendar/dayNumber'
import { dayConditions, type DayConditions } from '#core/weather/dayConditions'
import { soilTemperature } from '#core/weather/soilTemperature'
import type { Site } from '#shared/schemas/ground'
import type { Repositories } from '../../repositories/forOrganization'
import { seasonSource } from './seasonSource'

/**
 * What a site's station says of a day, with the soil of each of its areas.
 * @param on YYYY-MM-DD
 * @returns undefined without a station, or where it says nothing of that day
 */
export async function siteConditions(
  repositories: Pick<Repositories, 'stations' | 'weather' | 'areas' | 'probes'>,
  site: Pick<Site, 'id' | 'document'>,
  on: string,
): Promise<DayConditions | undefined> {
  const source = await seasonSource(repositories, on)
  const station = source.stationOf(site)
  if (!station) return undefined
  // One after the other: within a transaction there is one connection for all.
  const days = await source.days(station)
  const series = await source.series(station)
  const hours = await source.hours(station)
  const soils = []
  for (const { id } of await repositories.areas.list({ siteId: site.id })) {
    const { soil, give } = soilTemperature(series, await repositories.probes.ofArea(id))
    const place = dayNumber(on) - series.first
    const value = soil[place] ?? Number.NaN
    if (!Number.isNaN(value)) soils.push({ areaId: id, soil: value, give: give[place] ?? 0 })
  }
  return dayConditions(on, station.name, days, hours, soils)
}
