import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { ROLES, mayDo, type Role } from '../../core/people/roles'
import type { Organization, OrganizationChoice } from '../../shared/schemas/organization'
import type { CrewPeople, HistoryLine, MadeInvitation, Person, Self } from '../../shared/schemas/people'
import type { NewRunEvent, Run } from '../../shared/schemas/run'
import { clientOf, type Client } from '../support/client'
import { crewRoutes, withId, type DeclaredRoute } from '../support/crewRoutes'
import { documentOf, newJob, runEvents, stamp } from '../support/jobs'
import { aSite } from '../support/rows'
import { freshDatabase, query, serve } from '../support/serve'
import type { Served } from '../support/server'

const CODE = 'AAAA-BBBB-CCCC'
const PASSPHRASE = 'eleven geese in clover'

/** The same database behind two servers: one for this machine alone, one that other machines reach. */
let home: Served
let abroad: Served
let databaseUrl: string
let crewId: string
const clients = new Map<Role, Client>()
let owner: Client

beforeAll(async () => {
  databaseUrl = await freshDatabase()
  home = await serve(databaseUrl, { HECTARUM_OWNER_CODE: CODE, NUXT_SESSION_PASSWORD: 's'.repeat(40) })
  abroad = await serve(databaseUrl, {
    HECTARUM_HOSTS: 'lawn.example',
    HECTARUM_OWNER_CODE: CODE,
    NUXT_SESSION_PASSWORD: 's'.repeat(40),
  })
  const local = clientOf(home.url)
  crewId = uuid()
  await local.post('/api/organizations', { id: crewId, name: 'Green Crew', units: 'us-1000' })
  owner = clientOf(abroad.url)
  const answer = await owner.post('/api/people/first', {
    ...newcomer('rosa.field', 'Rosa Field'),
    organizationId: crewId,
    code: CODE.toLowerCase(),
  })
  expect(answer.status).toBe(201)
  clients.set('owner', owner)
  for (const role of ROLES.slice(1)) clients.set(role, await joined(role, `${role}.one`))
})
afterAll(async () => {
  await home.stop()
  await abroad.stop()
})

const newcomer = (signIn: string, name: string) => ({ id: uuid(), name, signIn, passphrase: PASSPHRASE })
const at = (path: string) => `/api/organizations/${crewId}${path}`

async function joined(role: Role, signIn: string): Promise<Client> {
  const { body } = await owner.post(at('/invitations'), { id: uuid(), role })
  const client = clientOf(abroad.url)
  const answer = await client.post('/api/people/join', {
    code: (body as MadeInvitation).code,
    person: newcomer(signIn, `The ${role}`),
  })
  expect(answer.status).toBe(201)
  return client
}

describe('every route under a crew', () => {
  /** The kinds of the library are declared by one function: one stands for all. */
  const isWalked = ({ path }: DeclaredRoute) => !/^\/library\/(?!sites)/.test(path)
  const ask = (client: Client, { method, path: declared }: DeclaredRoute) => {
    const path = withId(declared)
    return method === 'GET'
      ? client.get(at(path))
      : method === 'DELETE'
        ? client.delete(at(path), { version: 1 })
        : method === 'PUT'
          ? client.put(at(path), {})
          : client.post(at(path), {})
  }

  test('is closed to who is not signed in, and does not exist for another crew', async () => {
    const stranger = clientOf(abroad.url)
    const other = clientOf(abroad.url)
    const mine = await clientOf(home.url).post('/api/organizations', {
      id: uuid(),
      name: 'Others',
      units: 'metric-ha',
    })
    await other.post('/api/people/first', {
      ...newcomer('other.owner', 'Odo Other'),
      organizationId: (mine.body as Organization).id,
      code: CODE,
    })
    const routes = (await crewRoutes(stranger)).filter(isWalked)
    expect(routes.length).toBeGreaterThan(35)
    for (const route of routes) {
      const told = `${route.method} ${route.path}`
      expect((await ask(stranger, route)).status, told).toBe(401)
      expect((await ask(clientOf(home.url), route)).status, told).toBe(401)
      const { status, body } = await ask(other, route)
      expect(status, told).toBe(404)
      expect(JSON.stringify(body), told).toContain('There is no such crew')
    }
  })

  test.each(ROLES)('lets the %s as far as the role goes', async (role) => {
    for (const route of (await crewRoutes(clientOf(home.url))).filter(isWalked)) {
      const { status } = await ask(clients.get(role)!, route)
      const may = mayDo(role, route.deed ?? 'govern')
      expect(status === 403, `${role} ${route.method} ${route.path} answered ${status}`).toBe(!may)
      expect(status, `${route.method} ${route.path}`).not.toBe(500)
    }
  })
})

test('a crew without people is open at this machine only; the sample to who may come in at all', async () => {
  const { body } = await clientOf(home.url).post('/api/organizations', {
    id: uuid(),
    name: 'Nobody',
    units: 'metric-ha',
  })
  const path = `/api/organizations/${(body as Organization).id}/jobs`
  expect((await clientOf(home.url).get(path)).status).toBe(200)
  expect((await clientOf(abroad.url).get(path)).status).toBe(401)
  expect((await owner.get(path)).status).toBe(404)
  // A proxy says for whom it asks: that is nobody at this machine.
  expect((await clientOf(home.url).get(path, { 'x-forwarded-for': '10.0.0.9' })).status).toBe(401)
  expect((await clientOf(abroad.url).get('/api/organizations')).status).toBe(401)
  const { body: choice } = await owner.get('/api/organizations')
  expect(choice).toMatchObject({ current: { id: crewId }, role: 'owner' })
  expect(
    (await clientOf(abroad.url).post('/api/organizations', { id: uuid(), name: 'X', units: 'metric-ha' }))
      .status,
  ).toBe(401)
})

test('an id of another crew is no way into it', async () => {
  const answer = await clientOf(home.url).post('/api/organizations', {
    id: crewId,
    name: 'Mine',
    units: 'metric-ha',
  })
  expect(answer.status).toBe(409)
  expect(JSON.stringify(answer.body)).not.toContain('Green Crew')
  expect((await clientOf(home.url).put('/api/organizations/current', { id: crewId })).status).toBe(404)
})

test('the first owner needs the printed code, and comes once', async () => {
  const first = { ...newcomer('late.comer', 'Late Comer'), organizationId: crewId }
  expect((await clientOf(home.url).post('/api/people/first', { ...first, code: 'ZZZZ' })).status).toBe(403)
  expect((await clientOf(home.url).post('/api/people/first', { ...first, code: CODE })).status).toBe(403)
})

describe('signing in', () => {
  test('wrong name and wrong passphrase read alike; tries in a row wait, and growing', async () => {
    await joined('viewer', 'clumsy.one')
    const client = clientOf(abroad.url)
    const signIn = (name: string, passphrase: string) =>
      client.post('/api/people/sign-in', { signIn: name, passphrase })
    const wrongName = await signIn('nobody.here', PASSPHRASE)
    const wrong = await signIn('clumsy.one', 'something else altogether')
    expect([wrongName.status, wrong.status]).toEqual([401, 401])
    expect(wrongName.body).toEqual(wrong.body)
    for (let tries = 0; tries < 3; tries++) await signIn('clumsy.one', 'wrong again and again')
    const waiting = await signIn('clumsy.one', PASSPHRASE)
    expect(waiting.status).toBe(429)
    expect(JSON.stringify(waiting.body)).toMatch(/the next one is possible in \d+ s/)
    await query(databaseUrl, `UPDATE people SET wait_until = now() WHERE sign_in = 'clumsy.one'`)
    expect((await signIn('CLUMSY.one', PASSPHRASE)).status).toBe(200)
  })

  test('the cookie is no script’s and no other site’s, and over https never travels without', async () => {
    const plain = await clientOf(abroad.url).post('/api/people/sign-in', {
      signIn: 'rosa.field',
      passphrase: PASSPHRASE,
    })
    expect(plain.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Strict/i)
    const proxied = await clientOf(abroad.url).post(
      '/api/people/sign-in',
      { signIn: 'rosa.field', passphrase: PASSPHRASE },
      { 'x-forwarded-proto': 'https' },
    )
    expect(proxied.headers.get('set-cookie')).toMatch(/; Secure/i)
  })

  test('signed out is signed out, on all devices when asked; a new passphrase ends the others', async () => {
    await joined('technician', 'two.devices')
    const [one, two] = [clientOf(abroad.url), clientOf(abroad.url)]
    for (const client of [one, two])
      await client.post('/api/people/sign-in', { signIn: 'two.devices', passphrase: PASSPHRASE })
    const change = { now: PASSPHRASE, next: 'a heron by the weir' }
    expect((await one.put('/api/people/passphrase', { ...change, now: 'not this one at all' })).status).toBe(
      401,
    )
    expect((await one.put('/api/people/passphrase', { ...change, next: 'short' })).status).toBe(400)
    expect((await one.put('/api/people/passphrase', change)).status).toBe(200)
    expect((await two.get(at('/jobs'))).status).toBe(401)
    expect((await one.get(at('/jobs'))).status).toBe(200)
    await one.post('/api/people/sign-out', { where: 'everywhere' })
    expect((await one.get(at('/jobs'))).status).toBe(401)
    expect(((await one.get('/api/people/me')).body as Self).person).toBeNull()
  })
})

test('an invitation is taken up once; withdrawn or old it is gone', async () => {
  const make = async () =>
    (await owner.post(at('/invitations'), { id: uuid(), role: 'viewer' })).body as MadeInvitation
  const [used, withdrawn, old] = [await make(), await make(), await make()]
  const join = (code: string, name: string) =>
    clientOf(abroad.url).post('/api/people/join', { code, person: newcomer(name, 'New Comer') })
  expect((await join(used.code, 'new.comer')).status).toBe(201)
  expect((await join(used.code, 'second.comer')).status).toBe(404)
  await owner.delete(at(`/invitations/${withdrawn.id}`), {})
  expect((await join(withdrawn.code, 'third.comer')).status).toBe(404)
  await query(databaseUrl, `UPDATE invitations SET ends_at = now() WHERE id = '${old.id}'`)
  expect((await join(old.code, 'fourth.comer')).status).toBe(404)
  const fresh = await make()
  expect((await join(fresh.code, 'new.comer')).status).toBe(409)
  const stored = await query(databaseUrl, 'SELECT code_hash FROM invitations')
  expect(JSON.stringify(stored.rows)).not.toContain(fresh.code)
})

test('an owner who opens a lesser invitation by mistake stays owner', async () => {
  const { body } = await owner.post(at('/invitations'), { id: uuid(), role: 'viewer' })
  const { code } = body as MadeInvitation
  expect((await owner.post('/api/people/join', { code })).status).toBe(409)
  expect(((await owner.get('/api/organizations')).body as OrganizationChoice).role).toBe('owner')
})

test('technicians note jar tests, and nothing else of the settings', async () => {
  const technician = clients.get('technician')!
  const { version } = (await technician.get(at('/settings'))).body as Organization
  const mixes = [{ id: uuid(), a: 'Iron', b: 'Feed', verdict: 'mixes', words: '' }]
  const noted = await technician.put(at('/mixes'), { version, mixes })
  expect(noted).toMatchObject({ status: 200, body: { name: 'Green Crew', settings: { mixes } } })
  const lines = (await technician.get(at(`/history/${crewId}`))).body as HistoryLine[]
  expect(lines[0]).toMatchObject({ what: 'changed' })
})

test('who leaves is out at once; the last owner stays', async () => {
  const leaving = await joined('technician', 'leaving.one')
  const { members } = (await owner.get(at('/people'))).body as CrewPeople
  const self = ((await owner.get('/api/people/me')).body as Self).person as Person
  const { person } = (await leaving.get('/api/people/me')).body as Self
  expect(members.map(({ id }) => id)).toContain(person?.id)
  expect((await owner.put(at(`/people/${self.id}`), { role: 'viewer' })).status).toBe(409)
  expect((await owner.delete(at(`/people/${self.id}`), {})).status).toBe(409)
  expect((await owner.delete(at(`/people/${person?.id}`), {})).status).toBe(200)
  expect((await leaving.get(at('/jobs'))).status).toBe(404)
  const lines = (await owner.get(at(`/history/${person?.id}`))).body as HistoryLine[]
  expect(lines.map(({ what, person: by }) => `${what} by ${by}`)).toEqual([
    'taken out by Rosa Field',
    'as technician by The technician',
  ])
})

test('a person belongs to several crews, in each with a role of its own', async () => {
  const second = uuid()
  await clients
    .get('viewer')!
    .post('/api/organizations', { id: second, name: 'Own thing', units: 'metric-ha' })
  const own = clients.get('viewer')!
  expect((await own.put(`/api/organizations/${second}/library/sites/${uuid()}`, aSite('Here'))).status).toBe(
    200,
  )
  expect((await own.put(at(`/library/sites/${uuid()}`), aSite('There'))).status).toBe(403)
})

test('what changed and who changed it is kept with each thing, a line for a stretch of typing', async () => {
  const technician = clients.get('technician')!
  const id = uuid()
  await technician.put(at(`/library/sites/${id}`), aSite('Orchard'))
  await technician.put(at(`/library/sites/${id}`), { ...aSite('Orchard Lane'), version: 1 })
  await owner.put(at(`/library/sites/${id}`), { ...aSite('Orchard End'), version: 2 })
  await owner.delete(at(`/library/sites/${id}`), { version: 3 })
  const lines = (await technician.get(at(`/history/${id}`))).body as HistoryLine[]
  expect(lines.map(({ what, person }) => `${what} by ${person}`)).toEqual([
    'deleted by Rosa Field',
    'changed by Rosa Field',
    'made by The technician',
  ])
  await expect(query(databaseUrl, 'DELETE FROM history')).rejects.toThrow(/append-only/)
})

test('a crew is exported whole and deleted whole, by its owner and by its name', async () => {
  const id = uuid()
  const own = clients.get('technician')!
  await own.post('/api/organizations', { id, name: 'Short-lived', units: 'us-1000' })
  const crew = `/api/organizations/${id}`
  const siteId = uuid()
  await own.put(`${crew}/library/sites/${siteId}`, aSite('Gone soon'))
  const job = newJob()
  await own.put(`${crew}/jobs/${uuid()}`, job)
  const events = runEvents(uuid(), documentOf(job).products[0]!.id)
  await own.post(`${crew}/applications/${job.applications[0]!.id}/events`, { events })

  const lines = ((await own.get(`${crew}/whole`)).body as string)
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { table?: string })
  expect(lines[0]).toEqual({ format: 'crew', schema: 1, name: 'Short-lived' })
  expect(lines.at(-1)).toEqual({ rows: lines.length - 2 })
  const tables = lines.map(({ table }) => table)
  for (const table of [
    'organizations',
    'memberships',
    'sites',
    'jobs',
    'applications',
    'run_events',
    'history',
  ])
    expect(tables, table).toContain(table)

  expect((await own.delete(`${crew}/whole`, { name: 'Something else' })).status).toBe(400)
  const deleted = await own.delete(`${crew}/whole`, { name: 'Short-lived' })
  expect(deleted.status).toBe(200)
  expect((await own.get(`${crew}/jobs`)).status).toBe(404)
  const { rows } = await query(
    databaseUrl,
    'SELECT count(*)::int AS n FROM run_events WHERE organization_id = $1',
    [id],
  )
  expect(rows[0]).toEqual({ n: 0 })
  // The others are all there.
  expect((await own.get(at('/jobs'))).status).toBe(200)
})

test('an apprentice runs what others planned; a licensed person puts a name to it', async () => {
  const [technician, apprentice] = [clients.get('technician')!, clients.get('apprentice')!]
  const job = newJob()
  const applicationId = job.applications[0]!.id
  expect((await apprentice.put(at(`/jobs/${uuid()}`), job)).status).toBe(403)
  expect((await technician.put(at(`/jobs/${uuid()}`), job)).status).toBe(200)

  const send = (client: Client, events: readonly NewRunEvent[]) =>
    client.post(at(`/applications/${applicationId}/events`), { events })
  const device = uuid()
  const productId = documentOf(job).products[0]!.id
  const done = await send(apprentice, runEvents(device, productId))
  expect(done).toMatchObject({
    status: 200,
    body: { record: { person: { name: 'The apprentice', role: 'apprentice' }, awaitsCounterSign: true } },
  })

  const signing = (sequence: number) => [{ kind: 'countersigned' as const, ...stamp(sequence, device) }]
  expect((await send(apprentice, signing(5))).status).toBe(403)
  const without = await send(technician, signing(5))
  expect(without.status).toBe(422)
  expect(JSON.stringify(without.body)).toContain('a licence that is valid today')

  const { person } = (await technician.get('/api/people/me')).body as Self
  const licensed = { version: person!.version, name: 'Teo Licensed', licence: 'T-77', licenceEnds: '' }
  expect((await technician.put('/api/people/me', licensed)).status).toBe(200)
  expect((await technician.put('/api/people/me', licensed)).status).toBe(409)
  const { body } = await send(technician, signing(5))
  expect(body).toMatchObject({ record: { counterSigned: { name: 'Teo Licensed', licence: 'T-77' } } })
  expect((body as Run).record).not.toHaveProperty('awaitsCounterSign')
  expect((await clients.get('viewer')!.get(at(`/records/${applicationId}`))).body).toMatchObject({
    record: { counterSigned: { name: 'Teo Licensed' } },
  })
})
