import { daysAfter } from '#core/calendar/daysBetween'
import type { StockedProduct } from '#core/job/cost/jobCost'
import { intentions, type Intention, type WorkOnArea } from '#core/program/intentions'
import { workYear } from '#core/program/stepDates'
import type { UnitSystem } from '#core/quantity/systems'
import { temperatureUnitOf, toldTemperature } from '#core/quantity/toldTemperature'
import { airAhead, seasonOfSeries, type AreaSeason } from '#core/season/areaSeason'
import type { LaidOnArea } from '#core/season/laidOnArea'
import type { Area, Site } from '#shared/schemas/ground'
import type { Job } from '#shared/schemas/job'
import type { Organization } from '#shared/schemas/organization'
import type { AreaProgram, Program } from '#shared/schemas/program'
import type { Repositories } from '../../repositories/forOrganization'
import { todayFor } from '../clock'
import { LAID_DAYS_BACK } from './areaSeason'
import { seasonGround, seasonSource, type SeasonSource } from './seasonSource'

/** A job of so many days ago that was never done still stands for its step. */
const JOBS_BACK = 30
const JOBS_AHEAD = 370

/** Everything the lawns of a crew are told by, read in one go. */
export interface SeasonOfCrew {
  readonly source: SeasonSource
  readonly units: UnitSystem
  readonly places: readonly { readonly area: Area; readonly site: Site }[]
  readonly products: readonly StockedProduct[]
  readonly laid: ReadonlyMap<string, readonly LaidOnArea[]>
  readonly readings: ReadonlyMap<string, readonly { readonly on: string; readonly soil: number }[]>
  readonly jobs: readonly Job[]
  readonly programs: readonly Program[]
  readonly applied: readonly AreaProgram[]
}

/** @param where one area alone; all turf of the crew where none is named */
export async function readSeason(
  repositories: Repositories,
  organization: Organization,
  units: UnitSystem,
  where?: string,
): Promise<SeasonOfCrew> {
  const source = await seasonSource(repositories, todayFor(organization))
  const { today } = source
  const [areas, sites, products, sums, laid, readings, jobs, programs, applied] = await Promise.all([
    repositories.areas.list(where === undefined ? {} : { id: where }),
    repositories.sites.list(),
    repositories.products.list(),
    repositories.stock.sums(),
    repositories.ledger.onAreas(daysAfter(today, -LAID_DAYS_BACK), today),
    repositories.probes.ofAreas(),
    repositories.jobs.toCome(daysAfter(today, -JOBS_BACK), daysAfter(today, JOBS_AHEAD)),
    repositories.programs.list(),
    repositories.areaPrograms.list(where === undefined ? {} : { areaId: where }),
  ])
  return {
    source,
    units,
    places: sites.flatMap((site) =>
      areas
        .filter(({ siteId, document }) => siteId === site.id && document.use === 'turf')
        .map((area) => ({ area, site })),
    ),
    products: products.map((product) => ({ ...product, onHand: sums.get(product.id) ?? [] })),
    laid: grouped(laid),
    readings: grouped(readings),
    jobs,
    programs,
    applied,
  }
}

function grouped<T extends { readonly areaId: string }>(
  rows: readonly T[],
): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const own = groups.get(row.areaId)
    if (own) own.push(row)
    else groups.set(row.areaId, [row])
  }
  return groups
}

export interface PlaceSeason {
  readonly season: AreaSeason
  readonly ground: ReturnType<typeof seasonGround>['ground']
  readonly program: Program | undefined
  readonly applied: AreaProgram | undefined
  readonly intended: readonly Intention[]
}

export async function seasonAt(
  { source, units, laid, readings, jobs, products, programs, applied }: SeasonOfCrew,
  { area, site }: SeasonOfCrew['places'][number],
): Promise<PlaceSeason> {
  const { today } = source
  const station = source.stationOf(site)
  const series = await source.series(station)
  const { ground } = seasonGround(area, site, station)
  const down = laid.get(area.id) ?? []
  const unit = temperatureUnitOf(units)
  const season = seasonOfSeries(series, readings.get(area.id) ?? [], ground, down, today, unit)
  const own = applied.find(({ areaId }) => areaId === area.id)
  const program = own && programs.find(({ id }) => id === own.programId)
  const intended =
    own && program
      ? intentions(
          program.document,
          own.document.changes,
          {
            today,
            latitude: ground.latitude,
            windows: season.windows,
            soil: season.soil,
            air: airAhead(series, workYear(today, ground.latitude).to),
            overseeding: ground.overseeding,
            cues: site.document.cues ?? [],
            tell: (celsius) => toldTemperature(celsius, unit),
          },
          [...down, ...jobWork(jobs, area.id, products)],
          (id) => products.find((product) => product.id === id)?.name,
        )
      : []
  return { season, ground, program, applied: own, intended }
}

/** What jobs to come put on an area, product by product. */
const jobWork = (
  jobs: readonly Job[],
  areaId: string,
  products: readonly StockedProduct[],
): readonly WorkOnArea[] =>
  jobs.flatMap(({ id, plannedFor, applications }) =>
    applications
      .filter(
        ({ document, state }) =>
          state !== 'done' &&
          document.lawns.some(({ source, treated }) => source?.id === areaId && treated === 'yes'),
      )
      .flatMap(({ document }) =>
        document.products.flatMap(({ source, name }): readonly WorkOnArea[] => {
          const product = source && products.find((one) => one.id === source.id)
          return product ? [{ on: plannedFor, kind: product.document.kind, product: name, jobId: id }] : []
        }),
      ),
  )

/** Steps of programs of every lawn, for Today and for calendars. */
export async function intentionsOfCrew(
  repositories: Repositories,
  organization: Organization,
): Promise<readonly { readonly area: Area; readonly site: Site; readonly intended: readonly Intention[] }[]> {
  const crew = await readSeason(repositories, organization, organization.units)
  const found = []
  for (const place of crew.places) found.push({ ...place, intended: (await seasonAt(crew, place)).intended })
  return found
}
