import { daysAfter } from '#core/calendar/daysBetween'
import { toPlan } from '#core/ground/geodesy'
import { conditionLimits } from '#core/conditions/conditionLimits'
import type { StockedProduct } from '#core/job/cost/jobCost'
import { workOutJob } from '#core/job/workOutJob'
import { intendedApplication, onSomeMachine } from '#core/program/intendedApplication'
import type { Intention } from '#core/program/intentions'
import { weekPlan, type DayRoom } from '#core/program/weekPlan'
import type { UnitSystem } from '#core/quantity/systems'
import { whichDay } from '#core/conditions/whichDay'
import type { Area, Site } from '#shared/schemas/ground'
import type { Organization } from '#shared/schemas/organization'
import type { SeasonWeek, WeekWork } from '#shared/schemas/season'
import type { Repositories } from '../../repositories/forOrganization'
import { groundAhead } from '../groundThread'
import { outlookLibrary } from './programs'
import { readSeason, seasonAt, type SeasonOfCrew } from './readSeason'
import { lightAt } from './seasonSource'

const WEEK_DAYS = 7
/** What is late or ends within so many days goes first. */
const LAST_DAYS = 3

/**
 * What programs ask for within a week, put on its days.
 * @param room what a day has room for
 */
export async function seasonWeek(
  repositories: Repositories,
  organization: Organization,
  room: DayRoom,
  units: UnitSystem = organization.units,
): Promise<SeasonWeek> {
  const crew = await readSeason(repositories, organization, units)
  const { today } = crew.source
  const days = Array.from({ length: WEEK_DAYS }, (_, i) => daysAfter(today, i))
  const { works, open } = await worksOf(repositories, organization, crew, days)
  const byId = new Map(works.map((work) => [work.id, work]))
  const sites = new Map(crew.places.map(({ site }) => [site.id, site]))
  const { visits, left } = weekPlan(
    works.map(({ id, siteId, from, to, seconds, machineId }) => ({
      id,
      siteId,
      from,
      to,
      seconds,
      machineId,
      presses: to !== undefined && to <= daysAfter(today, LAST_DAYS),
    })),
    days,
    ({ id }, on) => byId.get(id)?.days.find((day) => day.on === on)?.score ?? 0,
    room,
    (from, to) => between(sites.get(from), sites.get(to)),
  )
  const named = (ids: readonly string[]) => ids.flatMap((id) => byId.get(id) ?? [])
  return {
    days,
    room,
    visits: visits.map(({ on, siteId, hand, tasks }) => ({ on, siteId, hand, works: named(tasks) })),
    left: named(left),
    open,
  }
}

/** Steps that are open, late or open within the week, the same of one site together. */
async function worksOf(
  repositories: Repositories,
  organization: Organization,
  crew: SeasonOfCrew,
  days: readonly string[],
): Promise<{ readonly works: readonly WeekWork[]; readonly open: readonly string[] }> {
  const { source, units, products } = crew
  const library = await outlookLibrary(repositories, organization, crew)
  const last = days.at(-1) ?? source.today
  const found = new Map<string, FoundWork>()
  const open: string[] = []
  for (const place of crew.places) {
    const { intended } = await seasonAt(crew, place)
    for (const step of intended) {
      const { state, kind, stepId, occurrence, title, productId, from } = step
      const product = products.find(({ id }) => id === productId)
      const near = state === 'open' || state === 'late' || (state === 'ahead' && (from ?? '9999') <= last)
      if (!near) continue
      const { area, site } = place
      if (!product) {
        const why = kind === '' ? 'work without a product' : 'no product is chosen yet'
        open.push(`${site.name}, ${area.name}: ${title} (${why})`)
        continue
      }
      const id = `${site.id} ${stepId} ${occurrence} ${productId}`
      const before = found.get(id)
      found.set(id, { id, site, step, product, areas: [...(before?.areas ?? []), area] })
    }
  }
  const works: WeekWork[] = []
  for (const one of found.values()) works.push(await workOf(one))
  return { works, open }

  /** The same of one site is one work: its day, its time over all its lawns, its machine. */
  async function workOf({ id, site, step, product, areas }: FoundWork): Promise<WeekWork> {
    const { title, nitrogen, from, to } = step
    await groundAhead(
      areas.map(({ document }) => document),
      source.today,
    )
    const station = source.stationOf(site)
    const draft = onSomeMachine(
      intendedApplication({ product, nitrogen }, areas, source.today, library),
      source.today,
      library,
    )
    const [worked] = workOutJob({ applications: [{ id, document: draft }], day: source.today, library })
    const machineId = draft[draft.method].source?.id ?? ''
    const scores = whichDay(
      await source.hours(station),
      [conditionLimits(draft, products, areas, units)],
      { opens: from, closes: to },
      source.today,
      lightAt(site, station, organization.timeZone),
    )
    return {
      id,
      siteId: site.id,
      site: site.name,
      what: title,
      productId: product.id,
      product: product.name,
      nitrogen,
      areas: areas.map((area) => ({ id: area.id, name: area.name })),
      from,
      to,
      seconds: worked?.walk?.seconds,
      machineId,
      machine: library.equipment.find((machine) => machine.id === machineId)?.name ?? '',
      days: days.flatMap((on) => {
        const score = scores.find((one) => one.on === on)
        const words = score?.factors.find(({ name }) => name === 'hours')?.reason ?? ''
        return score ? [{ on, score: score.score, words }] : []
      }),
    }
  }
}

interface FoundWork {
  readonly id: string
  readonly site: Site
  readonly step: Intention
  readonly product: StockedProduct
  readonly areas: readonly Area[]
}

/** From one site to another as the crow flies, m; 0 where one of them has no place. */
function between(from: Site | undefined, to: Site | undefined): number {
  const [a, b] = [from?.document.anchor, to?.document.anchor]
  return a && b ? Math.hypot(...toPlan([b.lon, b.lat], a)) : 0
}
