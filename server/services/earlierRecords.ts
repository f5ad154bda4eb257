import { v5 as derived } from 'uuid'
import { parseDateTime } from '@internationalized/date'
import { areaSi } from '#core/quantity/quantity'
import { TRADE_UNITS } from '#core/quantity/nutrientText'
import { earlierPlan, lookUp, type EarlierKept, type EarlierMatches } from '#core/run/earlier/earlierPlan'
import type { EarlierWork, Moment } from '#core/run/earlier/earlierWork'
import { readEarlierRows } from '#core/run/earlier/readEarlierRows'
import type { RowProblem } from '#core/shape/columns'
import { NOON } from '#core/run/doneTimes'
import { foldRun } from '#core/run/foldRun'
import type { EventPerson, RunEvent } from '#core/run/runEvent'
import type { EarlierReading, EarlierRows, EarlierShown } from '#shared/schemas/earlier'
import type { Organization } from '#shared/schemas/organization'
import type { Repositories } from '../repositories/forOrganization'
import { dayFor, nowFor } from './clock'
import { keepInStep } from './keepInStep'

/** Whose records they become. */
interface Taker {
  readonly organization: Organization
  readonly person?: EventPerson
}

/**
 * Reads a table of work that was noted elsewhere, and on `keep` takes every record of it that has no problem
 * into jobs, records and ledger, all or none of them; one that is here already stays as it is. The shelf is
 * left alone: it was counted since.
 */
export async function earlierRecords(
  repositories: Repositories,
  { rows, firstLine, take }: EarlierRows,
  of: Taker,
): Promise<EarlierReading> {
  const { organization } = of
  const { works, problems } = readEarlierRows(rows, (words) => derived(words, organization.id), firstLine)
  return repositories.transaction(async (inside) => {
    const known = await library(inside, works)
    const here = await inside.records.documents(works.map(({ id }) => id))
    const told: RowProblem[] = [...problems]
    const shown: EarlierShown[] = []
    let added = 0
    for (const work of works) {
      const isHere = here.has(work.id) || shown.some(({ id }) => id === work.id)
      // An id of work that is not done yet: its job must not be written over.
      if (!isHere && (await inside.jobs.jobOf(work.id)) !== undefined) {
        told.push({ line: work.line, column: 'record', message: STILL_TO_DO })
        continue
      }
      const matches = known(work)
      const kept = earlierPlan(work, matches, idsOf(work), organization.settings.house.units ?? TRADE_UNITS)
      const times = timesOf(work, organization)
      const wrong = kept.ok ? timeProblem(times, organization) : kept.error
      if (!kept.ok || wrong !== undefined) {
        told.push({ line: work.line, column: kept.ok ? 'finished' : 'product', message: wrong ?? '' })
        continue
      }
      shown.push(rowOf(work, matches, times, isHere))
      if (take === 'look' || isHere) continue
      await keep(inside, work, kept.value, times, matches, of)
      added += 1
    }
    return { records: shown, problems: told.toSorted((a, b) => a.line - b.line), added }
  })
}

const STILL_TO_DO =
  'This is the id of work that is planned here and not on record yet: log it at its job, or leave the ' +
  'cell blank.'

interface Times {
  readonly from?: string
  readonly to: string
  readonly only?: 'day'
}

function timesOf({ started, finished }: EarlierWork, { timeZone }: Organization): Times {
  const instant = (moment: Moment) =>
    'instant' in moment
      ? moment.instant
      : parseDateTime(`${moment.day}T${moment.time || NOON}`)
          .toDate(timeZone)
          .toISOString()
  const isDay = 'day' in finished && finished.time === ''
  return {
    ...(started && { from: instant(started) }),
    to: instant(finished),
    ...(isDay && { only: 'day' as const }),
  }
}

function timeProblem({ from, to }: Times, organization: Organization): string | undefined {
  if (to > nowFor(organization).toISOString()) return 'It lies ahead: a record is of work that is done.'
  return from !== undefined && from > to ? 'It would end before it began: check the two times.' : undefined
}

/** What of a work is saved with the crew, by its names. */
async function library(
  { sites, areas, products }: Repositories,
  works: readonly EarlierWork[],
): Promise<(work: EarlierWork) => EarlierMatches> {
  const [allSites, allProducts] = await Promise.all([sites.list(), products.list()])
  const wanted = new Set(works.map(({ site }) => lookUp(site)))
  const found = byName(allSites.filter(({ name }) => wanted.has(lookUp(name))))
  const shelf = byName(allProducts)
  const lawns = new Map<string, EarlierMatches['areas']>()
  for (const { id: siteId } of found.values()) {
    const list = await areas.list({ siteId })
    lawns.set(siteId, byName(list.map((area) => ({ ...area, size: area.sizeM2 ?? undefined }))))
  }
  return ({ site }) => {
    const siteId = found.get(lookUp(site))?.id
    return {
      ...(siteId !== undefined && { siteId }),
      areas: (siteId !== undefined && lawns.get(siteId)) || new Map(),
      products: shelf,
    }
  }
}

/** By name; of two with one name neither is meant: which of them is nobody’s to guess. */
function byName<Row extends { readonly name: string }>(rows: readonly Row[]): ReadonlyMap<string, Row> {
  const named = new Map<string, Row>()
  const twice = new Set<string>()
  for (const row of rows) {
    const name = lookUp(row.name)
    if (named.has(name)) twice.add(name)
    named.set(name, row)
  }
  for (const name of twice) named.delete(name)
  return named
}

/** Ids follow from the record's own, so that a repeat finds them made. */
function idsOf({ id }: EarlierWork): () => string {
  let made = 0
  return () => derived(`part ${++made}`, id)
}

const rowOf = (
  { id, line, site, lawns, products, treated, notes }: EarlierWork,
  matches: EarlierMatches,
  { to, only }: Times,
  isHere: boolean,
): EarlierShown => ({
  id,
  line,
  finishedAt: to,
  ...(only && { only }),
  site,
  products: products.map(({ name }) => name).join(', '),
  sizeM2: areaSi(treated),
  unknown: [
    ...(matches.siteId === undefined ? [site] : lawns.filter((name) => !matches.areas.has(lookUp(name)))),
    ...products.map(({ name }) => name).filter((name) => !matches.products.has(lookUp(name))),
  ],
  notes,
  state: isHere ? 'here' : 'new',
})

async function keep(
  inside: Repositories,
  work: EarlierWork,
  { document, frozen, used }: EarlierKept,
  times: Times,
  { siteId }: EarlierMatches,
  { organization, person }: Taker,
): Promise<void> {
  const { id, site, details } = work
  const jobId = derived('job', id)
  const dayOf = (instant: string) => dayFor(organization, new Date(instant))
  const fields = {
    site,
    siteId: siteId ?? null,
    purpose: details.target,
    givenTo: '',
    plannedFor: dayOf(times.to),
    state: 'done' as const,
  }
  await inside.jobs.insert(jobId, fields, [{ id, document }])
  const at = nowFor(organization).toISOString()
  const bodies = [
    { kind: 'planned', payload: frozen },
    { kind: 'started', payload: {} },
    { kind: 'used', payload: used },
    { kind: 'timed', payload: times },
    { kind: 'finished', payload: details },
  ] as const
  const events = bodies.map((body, i): RunEvent => ({
    ...body,
    id: derived(`event ${i + 1}`, id),
    deviceId: derived('device', id),
    sequence: i + 1,
    counter: i + 1,
    at,
    ...(person && { person }),
  }))
  await inside.runs.append(id, events)
  const record = foldRun(events)
  const job = await inside.jobs.find(jobId)
  const [application] = job?.applications ?? []
  if (!job || !application || !record) throw new Error('an earlier record was not found where it was put')
  await keepInStep(inside, job, application, record, { dayOf })
}
