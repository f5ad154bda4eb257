import { createHash, randomBytes } from 'node:crypto'
import ical, { ICalEventTransparency } from 'ical-generator'
import { daysAfter } from '#core/calendar/daysBetween'
import { clientEntries, crewEntries, type CalendarEntry } from '#core/program/calendarEntries'
import { recordEntries, type RecordEntry } from '#core/run/aftercare/recordEntries'
import { storedProgress } from '#core/run/progress'
import type { CalendarRow, ClientProgram, MadeCalendar, NewCalendar } from '#shared/schemas/calendar'
import type { Organization } from '#shared/schemas/organization'
import type { Database } from '../../database/connection'
import { failure } from '../../http/failure'
import { calendarByToken, type Calendar } from '../../repositories/calendars'
import { forOrganization, type Repositories } from '../../repositories/forOrganization'
import { organizationsRepository } from '../../repositories/organizations'
import { peopleRepository } from '../../repositories/people'
import { dayFor, nowFor, startOfDay, todayFor } from '../clock'
import { todayPage } from '../today'
import { intentionsOfCrew } from './readSeason'

const SECRET_BYTES = 24
/** Work of so many days ago still has a follow-up. */
const FOLLOWED_DAYS = 60
/** Jobs stand in a calendar from so many days ago to so many ahead. */
const [JOBS_BACK, JOBS_AHEAD] = [30, 370]

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')

const rowOf = ({ id, name, personId, siteId, createdAt }: Calendar): CalendarRow => ({
  id,
  name,
  whose: siteId !== null ? 'client' : personId !== null ? 'mine' : 'crew',
  siteId,
  createdAt: new Date(createdAt).toISOString(),
})

/** The addresses somebody may see: the crew's and the clients', and their own. */
export const calendarsFor = async (
  { calendars }: Pick<Repositories, 'calendars'>,
  personId: string | undefined,
): Promise<readonly CalendarRow[]> =>
  (await calendars.list()).filter((one) => one.personId === null || one.personId === personId).map(rowOf)

/** Makes an address that nobody can guess; it is told once, and only its hash is kept. */
export async function makeCalendar(
  { calendars, sites }: Repositories,
  { id, name, whose, siteId }: NewCalendar,
  personId: string | undefined,
): Promise<MadeCalendar> {
  if (whose === 'mine' && personId === undefined)
    throw failure('not-ready', 'Nobody signs in to this crew: take the calendar of the crew.')
  if (whose === 'client' && (siteId === undefined || !(await sites.find(siteId))))
    throw failure('invalid', [{ path: 'siteId', message: 'is not one of your sites' }])
  const secret = randomBytes(SECRET_BYTES).toString('base64url')
  const calendar = {
    id,
    name,
    personId: whose === 'mine' ? (personId ?? null) : null,
    siteId: whose === 'client' ? (siteId ?? null) : null,
  }
  await calendars.add(calendar, hashOf(secret))
  const made = (await calendars.list()).find((one) => one.id === id)
  if (!made) throw failure('not-found', 'This address was taken back already: make another.')
  return { ...rowOf(made), path: `/api/calendar/${secret}.ics` }
}

/** Takes an address back: nothing is found there any more. */
export async function revokeCalendar(
  { calendars }: Pick<Repositories, 'calendars'>,
  id: string,
  personId: string | undefined,
): Promise<void> {
  const found = (await calendars.list()).find((one) => one.id === id)
  if (!found || (found.personId !== null && found.personId !== personId) || !(await calendars.revoke(id)))
    throw failure('not-found', 'There is no such calendar address.')
}

/** What a private address leads to. Fails with `not-found` alike whether it never was or was taken back. */
export async function calendarAt(database: Database, secret: string): Promise<string> {
  const calendar = await calendarByToken(database, hashOf(secret))
  const organization = calendar && (await organizationsRepository(database).find(calendar.organizationId))
  if (!calendar || !organization) throw failure('not-found', 'There is no calendar at this address.')
  const repositories = forOrganization(database, organization.id)
  if (calendar.siteId !== null) return siteCalendar(repositories, organization, calendar.siteId)
  if (calendar.personId === null) return crewCalendar(repositories, organization)
  const person = await peopleRepository(database).find(calendar.personId)
  const role = await peopleRepository(database).roleIn(organization.id, calendar.personId)
  if (!person || !role) throw failure('not-found', 'There is no calendar at this address.')
  return written(
    `${organization.name}: ${person.name}`,
    await jobEntries(repositories, organization, person.name),
  )
}

/** Jobs, repeats and steps of programs of the whole crew. */
export async function crewCalendar(repositories: Repositories, organization: Organization): Promise<string> {
  const [jobs, places, { due }] = await Promise.all([
    jobEntries(repositories, organization),
    intentionsOfCrew(repositories, organization),
    todayPage(repositories, organization),
  ])
  const repeats = due
    .filter(({ jobId }) => jobId === null)
    .map((one) => ({
      id: `due-${one.applicationId}`,
      from: one.due,
      to: one.lastDay > one.due ? one.lastDay : one.due,
      title: `Due: ${one.product}, ${one.site}`,
      words: one.areas,
    }))
  const after = await followUps(repositories, organization)
  return written(organization.name, [...jobs, ...crewEntries(places), ...repeats, ...after])
}

/** What comes on one site in plain words, for whose lawn it is. */
export async function siteProgram(
  repositories: Repositories,
  organization: Organization,
  siteId: string,
): Promise<ClientProgram> {
  const site = await repositories.sites.find(siteId)
  if (!site) throw failure('not-found', 'There is no such site.')
  const places = (await intentionsOfCrew(repositories, organization)).filter(
    (place) => place.site.id === siteId,
  )
  const entries = clientEntries(places, todayFor(organization)).toSorted((a, b) => (a.from < b.from ? -1 : 1))
  return { site: site.name, crew: organization.name, entries }
}

/** The same as a calendar. */
export async function siteCalendar(
  repositories: Repositories,
  organization: Organization,
  siteId: string,
): Promise<string> {
  const { site, crew, entries } = await siteProgram(repositories, organization, siteId)
  return written(`${site}, by ${crew}`, entries)
}

async function jobEntries(
  { jobs }: Pick<Repositories, 'jobs'>,
  organization: Organization,
  givenTo?: string,
): Promise<readonly CalendarEntry[]> {
  const today = todayFor(organization)
  const list = await jobs.toCome(daysAfter(today, -JOBS_BACK), daysAfter(today, JOBS_AHEAD))
  return list
    .filter((job) => givenTo === undefined || job.givenTo === givenTo)
    .map((job) => ({
      id: `job-${job.id}`,
      from: job.plannedFor,
      to: job.plannedFor,
      title: `${job.site}: ${job.purpose || 'lawn work'}`,
      words: job.applications
        .flatMap(({ document }) => document.products.map(({ name }) => name))
        .filter(Boolean)
        .join(', '),
    }))
}

/** What follows from one record. Fails with `not-found`. */
export async function recordCalendar(
  { records }: Pick<Repositories, 'records'>,
  organization: Organization,
  recordId: string,
): Promise<string> {
  const found = await records.find(recordId)
  if (!found) throw failure('not-found', 'There is no such record.')
  return written(`${found.site}, by ${organization.name}`, entriesOf(found, organization))
}

/** What follows from the work of the last weeks and is not over; repeats stand by themselves. */
async function followUps(
  { records }: Pick<Repositories, 'records'>,
  organization: Organization,
): Promise<readonly RecordEntry[]> {
  const recent = await records.since(
    startOfDay(daysAfter(todayFor(organization), -FOLLOWED_DAYS), organization.timeZone),
  )
  return recent
    .flatMap((record) => entriesOf(record, organization))
    .filter(({ id }) => !id.startsWith('repeat-'))
}

function entriesOf(
  { id, document, finishedAt }: Awaited<ReturnType<Repositories['records']['since']>>[number],
  organization: Organization,
): readonly RecordEntry[] {
  const record = { ...document, progress: storedProgress(document) }
  const day = dayFor(organization, new Date(finishedAt))
  return recordEntries(id, record, day, nowFor(organization).toISOString())
}

/** As an iCalendar file: whole days that leave the day free for other things, and hours. */
function written(name: string, entries: readonly (CalendarEntry | RecordEntry)[]): string {
  const calendar = ical({ name, prodId: { company: 'hectarum', product: 'season', language: 'EN' } })
  for (const entry of entries)
    calendar.createEvent({
      id: `${entry.id}@hectarum`,
      ...('since' in entry
        ? { start: entry.since, end: entry.until }
        : { start: `${entry.from}T00:00:00Z`, end: `${daysAfter(entry.to, 1)}T00:00:00Z`, allDay: true }),
      summary: entry.title,
      description: entry.words,
      transparency: ICalEventTransparency.TRANSPARENT,
    })
  return calendar.toString()
}
