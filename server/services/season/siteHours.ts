import { daysAfter } from '#core/calendar/daysBetween'
import type { Organization } from '#shared/schemas/organization'
import type { Site } from '#shared/schemas/ground'
import type { SiteHours } from '#shared/schemas/weather'
import type { Repositories } from '../../repositories/forOrganization'
import { todayFor } from '../clock'
import { lightAt, seasonSource } from './seasonSource'

/** The hours of a site's station from yesterday to tomorrow, for whoever stands at the gate. */
export async function siteHours(
  repositories: Pick<Repositories, 'stations' | 'weather'>,
  organization: Organization,
  site: Pick<Site, 'document'>,
): Promise<SiteHours> {
  const today = todayFor(organization)
  const source = await seasonSource(repositories, today)
  const station = source.stationOf(site)
  const hours = await source.hours(station)
  const [from, to] = [daysAfter(today, -1), daysAfter(today, 1)]
  return {
    station: station?.name ?? '',
    light: lightAt(site, station, organization.timeZone)(today) ?? null,
    hours: hours.filter(({ on }) => on >= from && on <= to),
  }
}
