import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { loadDump } from '../../scripts/setup/dump.mjs'
import type { JobPage } from '../../shared/schemas/job'
import type { OrganizationChoice } from '../../shared/schemas/organization'
import type { RecordPage, Run } from '../../shared/schemas/run'
import { clientOf, type Client } from '../support/client'
import { runEvents } from '../support/jobs'
import { freshDatabase, query, serve } from '../support/serve'
import type { Served } from '../support/server'

type Stored = Readonly<Record<string, unknown>>
const folder = fileURLToPath(new URL('../releases', import.meta.url))

describe.each(readdirSync(folder))('a crew kept by release %s', (release) => {
  let served: Served
  let client: Client
  beforeAll(async () => {
    const url = await freshDatabase()
    await loadDump(`${folder}/${release}`, url)
    // Another crew stands for the sample: making that anew for each release would be most of the time.
    await query(
      url,
      `INSERT INTO organizations
       SELECT (jsonb_populate_record(one, $1)).* FROM organizations one WHERE name = 'Kept since'`,
      [{ id: uuid(), kind: 'sample', name: 'Sample' }],
    )
    served = await serve(url)
    client = clientOf(served.url, 'as frozen')
    const { all } = (await client.get('/api/organizations')).body as OrganizationChoice
    const crew = all.find(({ name }) => name === 'Kept since')
    await client.put('/api/organizations/current', { id: crew?.id })
  })
  afterAll(() => served.stop())

  const jobs = async () => ((await client.get('/crew/jobs')).body as JobPage).rows

  test('its record stands with what was put down', async () => {
    const { rows } = (await client.get('/crew/records')).body as RecordPage
    expect(rows).toMatchObject([{ site: 'Cooperage Row', by: 'T. Arkwright' }])
    const run = (await client.get(`/crew/applications/${rows[0]?.id}/events`)).body as Run
    expect(run.events.map(({ kind }) => kind)).toEqual(['planned', 'started', 'used', 'finished'])
  })

  test('its library opens and is saved again as it was', async () => {
    const list = async (path: string) => (await client.get(`/crew/library/${path}`)).body as readonly Stored[]
    const [site] = await list('sites')
    const [machine] = await list('equipment')
    for (const [kind, query, own] of [
      ['sites', '', ['name', 'place']],
      ['areas', `?siteId=${site?.id}`, ['name', 'siteId', 'position']],
      ['products', '', ['name']],
      ['equipment', '', ['name']],
      ['calibrations', `?equipmentId=${machine?.id}`, ['equipmentId']],
    ] as const) {
      const [row, ...others] = await list(kind + query)
      expect(others, kind).toEqual([])
      const fields = ['version', 'document', ...own].map((name) => [name, row?.[name]])
      const { body } = await client.put(`/crew/library/${kind}/${row?.id}`, Object.fromEntries(fields))
      expect(body, kind).toMatchObject({ document: row?.document })
    }
  })

  test('a job planned then is carried out now', async () => {
    const planned = (await jobs()).find(({ purpose }) => purpose === 'Still to do')
    const { body } = await client.get(`/crew/jobs/${planned?.id}`)
    const { applications } = body as {
      applications: { id: string; document: { products: { id: string }[] } }[]
    }
    const [application] = applications
    for (const event of runEvents(uuid(), application!.document.products[0]!.id)) {
      const { status, body: answer } = await client.post(`/crew/applications/${application!.id}/events`, {
        events: [event],
      })
      expect(status, JSON.stringify(answer)).toBe(200)
    }
    expect((await client.get('/crew/records')).body).toMatchObject({ rows: [{}, {}] })
  })
})
