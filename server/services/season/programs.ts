import { daysAfter } from '#core/calendar/daysBetween'
import type { FillingLibrary } from '#core/draft/filledFromLibrary'
import type { StockedProduct } from '#core/job/cost/jobCost'
import type { JobLibrary } from '#core/job/workOutJob'
import { priceOf } from '#core/label/productDocument'
import { gapRepeats, type GapRepeat } from '#core/program/gapRepeat'
import { programOutlook, type ProgramOutlook } from '#core/program/programOutlook'
import { purchaseList } from '#core/program/purchaseList'
import { sectionBudget, type SectionYear } from '#core/program/sectionBudget'
import { workYear } from '#core/program/stepDates'
import type { UnitSystem } from '#core/quantity/systems'
import type { LedgerRow, PlannedRow } from '#core/season/ledger'
import { closedWorkingBook, openWorkingBook, type WorkingBook } from '#core/working/working'
import type { Organization } from '#shared/schemas/organization'
import type { AreaProgramPage, Purchases } from '#shared/schemas/program'
import { v7 as uuid } from 'uuid'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'
import { answeredWorking } from '../compute/answeredWorking'
import { groundAhead } from '../groundThread'
import { houseOf } from '../houseOf'
import { LEDGER_DAYS, rowsToCome } from '../jobContext'
import { readSeason, seasonAt, type PlaceSeason, type SeasonOfCrew } from './readSeason'

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
  book: WorkingBook = closedWorkingBook,
): Promise<ProgramOutlook> {
  const { today } = crew.source
  await groundAhead([area.document], today)
  return programOutlook(
    {
      area,
      intentions: intended,
      ledger,
      planned: planned.filter(({ areaId }) => areaId === area.id),
      today,
      latitude: ground.latitude,
      library,
    },
    book,
  )
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
    rowsToCome(repositories, today, houseOf(organization)),
  ])
  const book = openWorkingBook()
  const { rows: _, ...outlook } = await outlookAt(crew, place, own, library, ledger, planned, book)
  return {
    program: own.program,
    applied: own.applied,
    intentions: own.intended,
    outlook,
    working: answeredWorking(book),
  }
}

/**
 * What would close the gap behind something that was laid on an area.
 * @param what its line of coverage, such as Barrier @param from the day it went down, YYYY-MM-DD
 */
export async function repeatsAt(
  repositories: Repositories,
  organization: Organization,
  areaId: string,
  what: string,
  from: string,
  units: UnitSystem,
): Promise<readonly GapRepeat[]> {
  const crew = await readSeason(repositories, organization, units, areaId)
  const [place] = crew.places
  if (!place) throw failure('not-found', 'There is no such lawn.')
  const { season } = await seasonAt(crew, place)
  const line = season.lines.find((one) => one.what === what && one.from === from)
  if (!line) throw failure('not-found', 'Nothing of that kind went down here on that day.')
  const { today } = crew.source
  const [library, ledger, planned] = await Promise.all([
    outlookLibrary(repositories, organization, crew),
    repositories.ledger.ofSite(place.site.id, daysAfter(today, -LEDGER_DAYS), today),
    rowsToCome(repositories, today, houseOf(organization)),
  ])
  await groundAhead([place.area.document], today)
  return gapRepeats(line, {
    area: place.area,
    ledger,
    planned: planned.filter((row) => row.areaId === areaId),
    today,
    library,
  })
}

/** What programs and planned jobs of all sites still need, against the shelf. */
export async function seasonPurchases(
  repositories: Repositories,
  organization: Organization,
): Promise<Purchases> {
  const crew = await readSeason(repositories, organization, organization.units)
  const library = await outlookLibrary(repositories, organization, crew)
  const { today } = crew.source
  const planned = await rowsToCome(repositories, today, houseOf(organization))
  const rows: PlannedRow[] = [...planned]
  const open: string[] = []
  const ledgers = new Map<string, readonly LedgerRow[]>()
  const years = new Map<string, SectionYear[]>()
  for (const place of crew.places) {
    const { site, area } = place
    const season = await seasonAt(crew, place)
    const budgeted = priceOf(site.document.budget ?? '') !== undefined
    if (!season.program && !budgeted) continue
    const ledger =
      ledgers.get(site.id) ??
      (await repositories.ledger.ofSite(site.id, daysAfter(today, -LEDGER_DAYS), today))
    ledgers.set(site.id, ledger)
    const outlook = await outlookAt(crew, place, season, library, ledger, planned)
    rows.push(...outlook.rows)
    open.push(...outlook.open.map((words) => `${site.name}, ${area.name}: ${words}`))
    const { from, to } = workYear(today, season.ground.latitude)
    const ofYear = (row: LedgerRow) => row.areaId === area.id && row.on >= from && row.on <= to
    const year = {
      areaId: area.id,
      area: area.name,
      priority: area.document.priority,
      laid: ledger.filter(ofYear),
      planned: planned.filter(ofYear),
      steps: outlook.rows.filter(ofYear),
    }
    if (budgeted) years.set(site.id, [...(years.get(site.id) ?? []), year])
  }
  const book = openWorkingBook()
  const lines = purchaseList(rows, crew.products, organization.units, book)
  const budgets = [...years].flatMap(([siteId, own]) => {
    const site = crew.places.find((place) => place.site.id === siteId)?.site
    const budget = priceOf(site?.document.budget ?? '')
    return site && budget !== undefined
      ? [{ siteId, site: site.name, ...sectionBudget(siteId, budget, own, crew.products, book) }]
      : []
  })
  return { lines, budgets, open, working: answeredWorking(book) }
}
