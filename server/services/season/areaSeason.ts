import { daysAfter } from '#core/calendar/daysBetween'
import { areaSeason } from '#core/season/areaSeason'
import { windowOpinions } from '#core/season/cues/windowOpinions'
import { besideProgram, nextOnLawn } from '#core/season/nextOnLawn'
import type { UnitSystem } from '#core/quantity/systems'
import { temperatureUnitOf } from '#core/quantity/toldTemperature'
import { openWorkingBook } from '#core/working/working'
import type { Organization } from '#shared/schemas/organization'
import type { SeasonPage } from '#shared/schemas/season'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'
import { todayFor } from '../clock'
import { answeredWorking } from '../compute/answeredWorking'
import { seasonGround, seasonSource } from './seasonSource'

/** The newest of what was seen are shown. */
const CUES_SHOWN = 6
/** A barrier of last year says nothing of this one; a feed of late autumn does. */
export const LAID_DAYS_BACK = 240

/** The season of one area, with the station it was told by. @param units its sentences are read in */
export async function seasonOf(
  repositories: Repositories,
  organization: Organization,
  areaId: string,
  units: UnitSystem = organization.units,
): Promise<SeasonPage> {
  const { areas, sites, probes, ledger } = repositories
  const area = await areas.find(areaId)
  const site = area && (await sites.find(area.siteId))
  if (!area || !site) throw failure('not-found', 'There is no such area.')
  const source = await seasonSource(repositories, todayFor(organization))
  const { today } = source
  const station = source.stationOf(site)
  const [days, readings, laid] = await Promise.all([
    source.days(station),
    probes.ofArea(areaId),
    ledger.ofArea(areaId, daysAfter(today, -LAID_DAYS_BACK), today),
  ])
  const { ground, latitudeFrom } = seasonGround(area, site, station)
  const programs = await repositories.areaPrograms.list({ areaId })
  const book = openWorkingBook()
  const season = areaSeason(days, readings, ground, laid, today, temperatureUnitOf(units), book)
  if (!season.ok) throw failure('contradicts', season.error.message)
  const next = nextOnLawn(season.value, ground, today)
  const { cues = [] } = site.document
  const barriers = laid.filter(({ kind }) => kind === 'pre-emergent herbicide').map(({ on }) => on)
  const { windows, usual } = season.value
  return {
    area: { id: area.id, name: area.name, overseeding: area.document.overseeding },
    site: { id: site.id, name: site.name },
    latitudeFrom,
    station: station && { id: station.id, name: station.name },
    today,
    season: season.value,
    opinions: windowOpinions(windows, cues, usual, { ...ground, barriers }, today),
    cues: cues.toSorted((a, b) => b.on.localeCompare(a.on)).slice(0, CUES_SHOWN),
    next: programs.length > 0 ? besideProgram(next) : next,
    working: answeredWorking(book),
  }
}
