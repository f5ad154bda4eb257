import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { SAMPLE_AREAS, SAMPLE_JOBS, SAMPLE_SITES } from '../../demo/sampleLinks'
import type { GapRepeat } from '../../core/program/gapRepeat'
import { dayLoad, fits } from '../../core/program/weekPlan'
import { named } from '../../demo/typed'
import type { CalendarRow, MadeCalendar } from '../../shared/schemas/calendar'
import type { AreaProgram, AreaProgramPage, BoardRow, Purchases } from '../../shared/schemas/program'
import type { JobDays, SeasonPage, SeasonWeek } from '../../shared/schemas/season'
import type { Today } from '../../shared/schemas/today'
import type { StationRow, StationWeather } from '../../shared/schemas/weather'
import { clientOf, type Client } from '../support/client'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
})
afterAll(() => served.stop())
const get = async <T>(path: string) => (await client.get(path)).body as T
const programOf = (areaId: string) => get<AreaProgramPage>(`/crew/areas/${areaId}/program`)

test('the sample’s program: done, due and to come, and a change belongs to its lawn alone', async () => {
  const page = await programOf(SAMPLE_AREAS.green)
  expect(page.intentions.find(({ title }) => title === 'Barrier, first half')).toMatchObject({
    state: 'done',
    on: '2026-03-24',
  })
  expect(page.intentions.find(({ title }) => title === 'Barrier, second half')).toMatchObject({
    state: 'open',
    from: '2026-04-23',
    to: '2026-05-08',
  })
  const half = page.intentions.find(({ title }) => title === 'Barrier, second half')!
  const { id, updatedAt: _, ...applied } = page.applied
  const change = {
    stepId: half.stepId,
    occurrence: 0,
    leaveOut: true,
    doneOn: '',
    productId: '',
    nitrogen: { text: '', unit: 'lb/1000 ft2' as const },
  }
  const saved = await client.put(`/crew/library/areaPrograms/${id}`, {
    ...applied,
    document: { ...applied.document, changes: [change] },
  })
  expect(saved.status).toBe(200)
  const after = await programOf(SAMPLE_AREAS.green)
  expect(after.intentions.find(({ stepId }) => stepId === half.stepId)?.state).toBe('left out')
  const other = await programOf(named('area Cooperage Row Front strips 1-3'))
  expect(other.intentions.find(({ stepId }) => stepId === half.stepId)?.state).toBe('open')
  const stored = saved.body as AreaProgram
  await client.put(`/crew/library/areaPrograms/${id}`, {
    ...applied,
    version: stored.version,
    document: { ...applied.document, changes: [] },
  })
})

test('an autumn barrier meets the seed of the court, with what would clear it', async () => {
  const { outlook } = await programOf(named('area Marlow Croquet lawn'))
  expect(outlook.conflicts).toContainEqual(
    expect.objectContaining({
      title: 'Autumn barrier',
      level: 'stop',
      offers: [expect.objectContaining({ label: 'Leave it out here' })],
    }),
  )
})

test('the board and Today say what presses; a lawn has one program, and one that is there', async () => {
  const board = await get<readonly BoardRow[]>('/crew/season/board')
  const green = board.find(({ areaId }) => areaId === SAMPLE_AREAS.green)
  expect(green?.due.map(({ title }) => title)).toContain('Barrier, second half')
  const today = await get<Today>('/crew/today')
  expect(today.season).toContainEqual(
    expect.objectContaining({ what: 'Barrier, second half', until: '2026-05-08', presses: true }),
  )
  expect(today.outlooks.length).toBeGreaterThan(0)
  const twice = { version: 0, areaId: SAMPLE_AREAS.green, programId: named('program cool-season lawn') }
  const document = { schema: 1, changes: [], notes: '' }
  const put = (body: object) => client.put(`/crew/library/areaPrograms/${uuid()}`, { ...body, document })
  expect((await put(twice)).status).toBe(422)
  expect((await put({ ...twice, programId: uuid() })).status).toBe(404)
  // A program that stands on lawns is not taken from under them.
  const gone = await client.delete(`/crew/library/programs/${named('program cool-season lawn')}`, {
    version: 1,
  })
  expect(gone.body).toMatchObject({
    error: { issues: [{ message: 'It stands on 3 lawns: take it off there first.' }] },
  })
})

test('a budget of a site is held against its year, section by section', async () => {
  const { budgets, working } = await get<Purchases>('/crew/season/purchases')
  expect(budgets.map(({ site, state }) => [site, state])).toEqual([['Cooperage Row', 'over']])
  const [{ siteId, whole, sections }] = budgets as [Purchases['budgets'][number]]
  expect(whole).toBeCloseTo(
    sections.reduce((sum, { spent, ahead }) => sum + spent + ahead, 0),
    9,
  )
  expect(sections.filter(({ beyond }) => beyond.length > 0).map(({ area }) => area)).toEqual(['Shared green'])
  expect(working.map(({ figure }) => figure)).toContain(`budget.${siteId}`)
})

test('other schools stand beside the windows; a gap is closed by what is on the shelf', async () => {
  const green = await get<SeasonPage>(`/crew/areas/${SAMPLE_AREAS.green}/season`)
  expect(
    green.opinions
      .filter(({ name }) => name === 'spring pre-emergent')
      .map(({ by, says, agrees }) => [by, says, agrees]),
  ).toEqual([
    ['cues', 'open', true],
    ['calendar', 'not yet', false],
  ])
  const terrace = named('area Marlow Terrace')
  const { season } = await get<SeasonPage>(`/crew/areas/${terrace}/season`)
  const gap = season.lines.find(({ gapTo }) => gapTo !== undefined)
  expect(gap).toMatchObject({ what: 'Barrier', to: '2026-02-19' })
  const repeats = `/crew/areas/${terrace}/repeats?what=${gap?.what}`
  const offers = await get<readonly GapRepeat[]>(`${repeats}&from=${gap?.from}`)
  expect(offers.length).toBeGreaterThan(1)
  expect((await client.get(`${repeats}&from=2020-01-01`)).status).toBe(404)
})

test('days of years and hours of a station go out for its picture', async () => {
  const [station] = await get<readonly StationRow[]>('/crew/stations')
  const weather = await get<StationWeather>(`/crew/stations/${station?.id}/weather`)
  expect(weather.days.length).toBeGreaterThan(900)
  expect(weather.hours.length).toBeGreaterThan(24)
  expect((await client.get(`/crew/stations/${uuid()}/weather`)).status).toBe(404)
})

test('what the season needs is told against the shelf, over all sites', async () => {
  const { lines, open, working } = await get<Purchases>('/crew/season/purchases')
  expect(working.map(({ figure }) => figure)).toEqual(
    expect.arrayContaining(lines.map(({ productId, dimension }) => `purchase.${productId}.${dimension}`)),
  )
  expect(lines.map(({ product }) => product)).toContain('Slow-feed 21-0-6 granule')
  for (const { need, onHand, short } of lines) expect(short).toBeCloseTo(Math.max(0, need - onHand), 9)
  expect(open.every((words) => words.includes(':'))).toBe(true)
})

test('a week puts each step on a day it scores on; what becomes no job is told', async () => {
  const week = await get<SeasonWeek>('/crew/season/week?sites=1')
  const bySite = week.visits.map(({ on, siteId }) => `${on} ${siteId}`)
  expect(new Set(bySite).size).toBe(bySite.length)
  // One site a day.
  expect(new Set(week.visits.map(({ on }) => on)).size).toBe(week.visits.length)
  for (const { on, works } of week.visits)
    for (const { days } of works) expect(days.find((day) => day.on === on)?.score).toBeGreaterThan(0)
  // A day has room for the hours of its hands, the way to its sites counted in.
  const short = await get<SeasonWeek>('/crew/season/week?hours=1')
  for (const on of new Set(short.visits.map((visit) => visit.on))) {
    const works = short.visits.filter((visit) => visit.on === on).flatMap((visit) => visit.works)
    expect(works.length === 1 || fits(dayLoad(works), short.room)).toBe(true)
  }
  expect(week.open).toContainEqual(expect.stringContaining('Scalp (work without a product)'))
})

test('days are scored for a job, with reasons and working; a job on no site is told so', async () => {
  const days = await get<JobDays>(`/crew/jobs/${SAMPLE_JOBS.stopped}/days`)
  expect(days.station).toBe('Tamsin Point pier')
  expect(days.scores.length).toBeGreaterThan(5)
  expect(days.scores.map(({ score }) => score)).toEqual(
    days.scores.map(({ score }) => score).toSorted((a, b) => b - a),
  )
  expect(days.working.map(({ figure }) => figure)).toEqual(['whichDay'])
  expect((await client.get(`/crew/jobs/${uuid()}/days`)).status).toBe(404)
})

test('weather comes from its service by lines, at most once an hour, and goes out as a file', async () => {
  const first = await client.post('/crew/weather/refresh', {})
  expect(first.body).toMatchObject({ stations: 2, unread: 0 })
  expect((await client.post('/crew/weather/refresh', {})).body).toMatchObject({ stations: 0 })
  const [station] = await get<readonly StationRow[]>('/crew/stations')
  expect(station).toMatchObject({ firstDay: '2023-11-01' })
  expect(station!.sites.length).toBeGreaterThan(0)
  const csv = (await client.get(`/crew/stations/${station!.id}/file?format=csv`)).body as string
  expect(csv.split('\n')[0]).toMatch(/^date,min \(C\),max \(C\)/)
  const file = await get<{ days: readonly object[] }>(`/crew/stations/${station!.id}/file?format=json`)
  expect(file.days.length).toBe(csv.trim().split('\n').length - 1)
  const lines = await client.get('/api/weather-services/shore/lines?from=2026-05-06&today=2026-05-06&hour=9')
  expect(lines.body).toMatch(/^W1 2026-05-06 00 air /)
  expect((await client.get('/api/weather-services/shore/lines?from=x&today=y')).status).toBe(400)
  const hours = Array.from({ length: 24 }, (_, hour) => ({
    on: '2026-04-02',
    hour,
    air: hour,
    forecast: false,
  }))
  expect((await client.post(`/crew/stations/${station!.id}/hours`, { hours })).body).toEqual({ saved: 24 })
  const conditions = await get<{ most: number; soils: readonly object[] }>(
    `/crew/sites/${SAMPLE_SITES.bowls}/weather?on=2026-05-08`,
  )
  expect(conditions.soils.length).toBeGreaterThan(0)
})

test('a private calendar: told once, read without signing in, gone once taken back', async () => {
  const id = uuid()
  const made = (await client.post('/crew/calendars', { id, name: 'Phone', whose: 'crew' }))
    .body as MadeCalendar
  expect(made.path).toMatch(/^\/api\/calendar\/[\w-]{32}\.ics$/)
  const read = () => fetch(new URL(made.path, served.url))
  const text = await (await read()).text()
  expect(text).toMatch(/^BEGIN:VCALENDAR/)
  expect(text.replaceAll('\r\n ', '')).toContain(
    'SUMMARY:Cooperage Row\\, Shared green: Barrier\\, second half',
  )
  expect(text).toContain('DTSTART;VALUE=DATE:20260423\r\n')
  expect(text).toContain('DTEND;VALUE=DATE:20260509\r\n')
  const listed = await get<readonly CalendarRow[]>('/crew/calendars')
  expect(JSON.stringify(listed)).not.toContain(made.path.slice(14, 40))
  expect((await client.delete(`/crew/calendars/${id}`, {})).status).toBe(200)
  expect((await read()).status).toBe(404)
  const forClient = await client.get(`/crew/sites/${SAMPLE_SITES.cooperage}/calendar`)
  expect(forClient.body).toContain('Barrier against weeds')
  expect(forClient.body).not.toContain('Prodiamine')
  expect((await client.post('/crew/calendars', { id: uuid(), name: 'x', whose: 'mine' })).status).toBe(422)
})
