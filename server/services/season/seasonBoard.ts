import { daysAfter } from '#core/calendar/daysBetween'
import type { FillingLibrary } from '#core/draft/filledFromLibrary'
import type { JobLibrary } from '#core/job/workOutJob'
import type { StockedProduct } from '#core/job/cost/jobCost'
import { intentions, type Intention, type WorkOnArea } from '#core/program/intentions'
import { programOutlook, type ProgramOutlook } from '#core/program/programOutlook'
import { purchaseList } from '#core/program/purchaseList'
import { workYear } from '#core/program/stepDates'
import type { UnitSystem } from '#core/quantity/systems'
import { temperatureUnitOf, toldTemperature } from '#core/quantity/toldTemperature'
import { airAhead, seasonOfSeries, type AreaSeason, type LaidOnArea } from '#core/season/areaSeason'
import type { LedgerRow, PlannedRow } from '#core/season/ledger'
import type { LawnDue } from '#core/season/seasonDue'
import { besideProgram, nextOnLawn } from '#core/season/nextOnLawn'
import type { Area, Site } from '#shared/schemas/ground'
import type { Job } from '#shared/schemas/job'
import type { Organization } from '#shared/schemas/organization'
import type { AreaProgram, AreaProgramPage, BoardRow, Program, Purchases } from '#shared/schemas/program'
import { v7 as uuid } from 'uuid'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'
import { todayFor } from '../clock'
import { groundAhead } from '../groundThread'
import { houseOf } from '../houseOf'
import { LEDGER_DAYS, plannedOnSite } from '../jobContext'
import { LAID_DAYS_BACK } from './areaSeason'
import { seasonGround, seasonSource, type SeasonSource } from './seasonSource'

/** Steps are shown on the board from so many days before they open. */
const SOON_DAYS = 14
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

interface PlaceSeason {
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

/** Every lawn of the crew with what opens, closes or is late. */
export async function seasonBoard(
  repositories: Repositories,
  organization: Organization,
  units: UnitSystem = organization.units,
): Promise<readonly BoardRow[]> {
  const crew = await readSeason(repositories, organization, units)
  const { today } = crew.source
  const soon = daysAfter(today, SOON_DAYS)
  const rows: BoardRow[] = []
  for (const place of crew.places) {
    const { season, ground, program, intended } = await seasonAt(crew, place)
    rows.push({
      areaId: place.area.id,
      area: place.area.name,
      siteId: place.site.id,
      site: place.site.name,
      priority: place.area.document.priority,
      program: program?.name ?? '',
      next: program ? besideProgram(nextOnLawn(season, ground, today)) : nextOnLawn(season, ground, today),
      due: intended.filter(
        ({ state, from = '' }) => state === 'open' || state === 'late' || (state === 'ahead' && from <= soon),
      ),
    })
  }
  return rows
}

/** A lawn as Today sees it: what it asks for, and what holds its growth back. */
export interface LawnSeason extends LawnDue {
  readonly regulators: AreaSeason['regulators']
}

/** The same for Today: what is open or late, whatever is only to come left out. */
export async function lawnsDue(
  repositories: Repositories,
  organization: Organization,
): Promise<readonly LawnSeason[]> {
  const crew = await readSeason(repositories, organization, organization.units)
  const lawns: LawnSeason[] = []
  for (const place of crew.places) {
    const { season, ground, intended, program } = await seasonAt(crew, place)
    lawns.push({
      areaId: place.area.id,
      area: place.area.name,
      siteId: place.site.id,
      site: place.site.name,
      next: program
        ? besideProgram(nextOnLawn(season, ground, crew.source.today))
        : nextOnLawn(season, ground, crew.source.today),
      steps: intended.filter(({ state }) => state === 'open' || state === 'late'),
      regulators: season.regulators,
    })
  }
  return lawns
}

/** What programs are worked out from besides the season: shelf, machines, rules. */
export async function outlookLibrary(
  repositories: Repositories,
  organization: Organization,
  { places, products, units }: SeasonOfCrew,
): Promise<FillingLibrary & JobLibrary & { readonly products: readonly StockedProduct[] }> {
  const [equipment, calibrations] = await Promise.all([
    repositories.equipment.list(),
    repositories.calibrations.list(),
  ])
  return {
    areas: places.map(({ area }) => area),
    products,
    equipment,
    calibrations,
    local: organization.settings.local,
    mixes: organization.settings.mixes,
    system: units,
    house: { ...houseOf(organization), units },
    newId: uuid,
  }
}

async function outlookAt(
  crew: SeasonOfCrew,
  { area }: SeasonOfCrew['places'][number],
  { intended, ground }: PlaceSeason,
  library: Awaited<ReturnType<typeof outlookLibrary>>,
  ledger: readonly LedgerRow[],
  planned: readonly PlannedRow[],
): Promise<ProgramOutlook> {
  const { today } = crew.source
  await groundAhead([area.document], today)
  return programOutlook({
    area,
    intentions: intended,
    ledger,
    planned: planned.filter(({ areaId }) => areaId === area.id),
    today,
    latitude: ground.latitude,
    library,
  })
}

/** The program of one area, dated and looked at over its whole season; undefined where it has none. */
export async function areaProgramPage(
  repositories: Repositories,
  organization: Organization,
  areaId: string,
  units: UnitSystem = organization.units,
): Promise<AreaProgramPage | null> {
  const crew = await readSeason(repositories, organization, units, areaId)
  const [place] = crew.places
  if (!place) throw failure('not-found', 'There is no such lawn.')
  const own = await seasonAt(crew, place)
  if (!own.program || !own.applied) return null
  const { today } = crew.source
  const [library, ledger, planned] = await Promise.all([
    outlookLibrary(repositories, organization, crew),
    repositories.ledger.ofSite(place.site.id, daysAfter(today, -LEDGER_DAYS), today),
    plannedOnSite(repositories, place.site.id, '', today, houseOf(organization)),
  ])
  const { rows: _, ...outlook } = await outlookAt(crew, place, own, library, ledger, planned)
  return { program: own.program, applied: own.applied, intentions: own.intended, outlook }
}

/** What programs and planned jobs of all sites still need, against the shelf. */
export async function seasonPurchases(
  repositories: Repositories,
  organization: Organization,
): Promise<Purchases> {
  const crew = await readSeason(repositories, organization, organization.units)
  const library = await outlookLibrary(repositories, organization, crew)
  const { today } = crew.source
  const house = houseOf(organization)
  const rows: PlannedRow[] = []
  const open: string[] = []
  for (const site of new Map(crew.places.map(({ site: one }) => [one.id, one])).values()) {
    const planned = await plannedOnSite(repositories, site.id, '', today, house)
    rows.push(...planned)
    const own = crew.places.filter((place) => place.site.id === site.id)
    if (!own.some(({ area }) => crew.applied.some(({ areaId }) => areaId === area.id))) continue
    const ledger = await repositories.ledger.ofSite(site.id, daysAfter(today, -LEDGER_DAYS), today)
    for (const place of own) {
      const season = await seasonAt(crew, place)
      if (!season.program) continue
      const outlook = await outlookAt(crew, place, season, library, ledger, planned)
      rows.push(...outlook.rows)
      open.push(...outlook.open.map((words) => `${place.site.name}, ${place.area.name}: ${words}`))
    }
  }
  return { lines: purchaseList(rows, crew.products), open }
}

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
