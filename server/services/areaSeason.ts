import { daysAfter } from '#core/calendar/daysBetween'
import type { UnitSystem } from '#core/quantity/systems'
import { temperatureUnitOf } from '#core/quantity/toldTemperature'
import { readLatitude } from '#core/weather/readLatitude'
import { areaSeason } from '#core/season/areaSeason'
import { nextOnLawn } from '#core/season/nextOnLawn'
import type { Organization } from '#shared/schemas/organization'
import type { SeasonPage } from '#shared/schemas/season'
import { openWorkingBook } from '#core/working/working'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { todayFor } from './clock'
import { answeredWorking } from './compute/answeredWorking'

/** What is usual is told from so many years of a station. */
const YEARS_BACK = 5
/** A barrier of last year says nothing of this one; a feed of late autumn does. */
const LAID_DAYS_BACK = 240
const FORECAST_DAYS = 16
/** Where neither site nor station says where it lies, the crew is taken for one of the northern half. */
const NORTHERN = 40

/** The season of one area, with the station it was told by. @param units its sentences are read in */
export async function seasonOf(
  repositories: Repositories,
  organization: Organization,
  areaId: string,
  units: UnitSystem = organization.units,
): Promise<SeasonPage> {
  const { areas, sites, stations, probes, weather, ledger } = repositories
  const area = await areas.find(areaId)
  const site = area && (await sites.find(area.siteId))
  if (!area || !site) throw failure('not-found', 'There is no such area.')
  const today = todayFor(organization)
  const all = await stations.list()
  const station = all.find(({ id }) => id === site.document.stationId) ?? all[0]
  const [days, readings, laid] = await Promise.all([
    station
      ? weather.between(
          station.id,
          `${Number(today.slice(0, 4)) - YEARS_BACK}-01-01`,
          daysAfter(today, FORECAST_DAYS),
        )
      : [],
    probes.ofArea(areaId),
    ledger.ofArea(areaId, daysAfter(today, -LAID_DAYS_BACK), today),
  ])
  const byPlan = site.document.anchor?.lat
  const byStation = station && readLatitude(station.document.latitude)
  const ground = {
    grasses: area.document.grass.map(({ species }) => species),
    latitude: byPlan ?? byStation ?? NORTHERN,
    overseeding: area.document.overseeding || undefined,
    rootDisease: (area.document.diseases ?? []).some(({ seat }) => seat === 'root'),
  }
  const book = openWorkingBook()
  const season = areaSeason(
    days.map((day) => ({ ...day, forecast: day.forecast || day.on > today })),
    readings,
    ground,
    laid,
    today,
    temperatureUnitOf(units),
    book,
  )
  if (!season.ok) throw failure('contradicts', season.error.message)
  return {
    area: { id: area.id, name: area.name, overseeding: area.document.overseeding },
    site: { id: site.id, name: site.name },
    latitudeFrom: byPlan === undefined ? (byStation === undefined ? 'nowhere' : 'station') : 'plan',
    station: station && { id: station.id, name: station.name },
    today,
    season: season.value,
    next: nextOnLawn(season.value, ground, today),
    working: answeredWorking(book),
  }
}
