import type { OrganizationChoice } from '../shared/schemas/organization'
import { v7 as uuid } from 'uuid'
import { figures, keepFigures } from '../bench/figures'
import { residentMb, servedAlone } from '../bench/servedAlone'
import { largeRequest } from '../bench/workload'
import { clientOf } from '../test/support/client'
import { broken, documents } from '../test/support/hostile'
import { documentOf, newJob, runEvents } from '../test/support/jobs'
import { aProduct, aSite } from '../test/support/rows'
import { readTable } from '../test/support/readTable'

/**
 * Hostile bodies over every route that takes one: no answer is a 500, and the server's memory stays flat.
 * What came of it goes to docs/bench.json, `hostile`.
 */
const WANTED = Number(process.argv[2] ?? 10_000)
interface Sent {
  readonly method: 'POST' | 'PUT'
  readonly path: string
  readonly body: string
}
const AT_ONCE = 8
/** By then what a server keeps for good is there: pools, caches, compiled code. */
const SETTLED_AFTER = 0.2

await servedAlone(async (served) => {
  const client = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'On the rack', units: 'us-1000' })
  const job = newJob()
  const productId = documentOf(job).products[0]!.id
  const [jobId, siteId, libraryProductId] = [uuid(), uuid(), uuid()]
  await client.put(`/crew/jobs/${jobId}`, job)
  await client.put(`/crew/library/sites/${siteId}`, aSite())
  await client.put(`/crew/library/products/${libraryProductId}`, aProduct())
  const newPerson = { id: uuid(), name: 'Ada', signIn: 'ada', passphrase: 'long enough to be one' }
  const crew = (await client.address('/crew/')).slice(served.url.length)

  const computing = [
    { path: '/api/plan', body: largeRequest(2, 2) },
    ...readTable('../test/api/compute.csv', import.meta.url).map(({ route, body }) => ({
      path: `/api/${route}`,
      body: JSON.parse(body ?? '') as unknown,
    })),
    { path: '/api/read-label', body: { text: 'Apply 4 lb per 1,000 sq ft.', form: 'dry' } },
  ]
  const acting = [
    ...runEvents(uuid(), productId).map((event) => ({
      path: `${crew}applications/${job.applications[0]!.id}/events`,
      body: { events: [event] },
    })),
    { path: '/api/organizations', body: { id: uuid(), name: 'Another', units: 'metric' } },
    { path: '/api/people/first', body: { ...newPerson, organizationId: uuid(), code: 'AAAA-BBBB' } },
    { path: '/api/people/join', body: { code: 'AAAA-BBBB', person: newPerson } },
    { path: '/api/people/sign-in', body: { signIn: 'crew', passphrase: newPerson.passphrase } },
    { path: `${crew}invitations`, body: { id: uuid(), role: 'technician' } },
    { path: `${crew}sites/${siteId}/copy`, body: { id: uuid(), name: 'Copied' } },
    {
      path: `${crew}products/${libraryProductId}/stock`,
      body: {
        id: uuid(),
        kind: 'received',
        entered: { text: '2', unit: 'gal' },
        lot: '',
        remarks: '',
        on: '2026-05-06',
      },
    },
  ]
  const { version, name, licence, units, timeZone, settings } = (
    (await client.get('/api/organizations')).body as OrganizationChoice
  ).current
  const kept = [
    { path: `${crew}settings`, body: { version, name, licence, units, timeZone, settings } },
    { path: `${crew}mixes`, body: { version, mixes: settings.mixes } },
    { path: `${crew}days/2026-05-06`, body: { order: [jobId] } },
  ]

  const answers: Record<string, number> = {}
  let sent = 0
  let settled = 0
  let most = 0
  const send = async ({ method, path, body }: Sent) => {
    const { status } = await fetch(served.url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body,
    }).then(async (answer) => {
      await answer.arrayBuffer()
      return answer
    })
    answers[status] = (answers[status] ?? 0) + 1
    if (status === 500) process.stdout.write(`500: ${method} ${path} ${body.slice(0, 300)}\n`)
    sent += 1
    if (sent % 100 !== 0) return
    const now = residentMb(served.pid)
    if (settled === 0 && sent >= WANTED * SETTLED_AFTER) settled = now
    most = Math.max(most, now)
    if (sent % 5000 === 0) process.stdout.write(`${sent} sent, ${now} MB: ${JSON.stringify(answers)}\n`)
  }

  const quarter = Math.ceil(WANTED / 4)
  const bodies = [
    [...documents(quarter)].map((one) => ['PUT', `${crew}${one.path}/${uuid()}`, one.body] as const),
    [...broken(computing, quarter)].map((one) => ['POST', one.path, one.body] as const),
    [...broken(acting, quarter)].map((one) => ['POST', one.path, one.body] as const),
    [...broken(kept, quarter)].map((one) => ['PUT', one.path, one.body] as const),
  ]
    .flat()
    .map(([method, path, body]) => ({ method, path, body }))
  // Every route in turn, so that memory is seen under all of them from the beginning.
  const mixed = bodies.map((_, i) => bodies[(i * 7919) % bodies.length]!)
  await Promise.all(
    Array.from({ length: AT_ONCE }, async (_, worker) => {
      for (let i = worker; i < mixed.length; i += AT_ONCE) await send(mixed[i]!)
    }),
  )
  const before = figures().hostile as { sent?: number } | undefined
  keepFigures({
    hostile: {
      sent,
      sentInAll: (before?.sent ?? 0) + sent,
      answers,
      memoryMb: { settled, most, atTheEnd: residentMb(served.pid) },
    },
  })
  process.stdout.write(`${JSON.stringify(figures().hostile)}\n`)
  process.exitCode = answers[500] ? 1 : 0
})
