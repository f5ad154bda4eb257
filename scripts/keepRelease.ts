import { mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import pg from 'pg'
import { servedAlone } from '../bench/servedAlone'
import { clientOf, type Answer } from '../test/support/client'
import { documentOf, newJob, runEvents } from '../test/support/jobs'
import { aCalibration, anArea, aProduct, aSite, aSprayer } from '../test/support/rows'
import { dumpDatabase } from './setup/dump.mjs'
import { PROJECT } from './setup/paths.mjs'

/**
 * Run at a release: a crew with one of each thing, written by that release, is kept as
 * test/releases/<version> and opened by every version after it (test/api/releases.test).
 */
const { version } = JSON.parse(readFileSync(join(PROJECT, 'package.json'), 'utf8')) as { version: string }
const folder = join(PROJECT, 'test/releases')
mkdirSync(folder, { recursive: true })

await servedAlone(async ({ url, databaseUrl }) => {
  const client = clientOf(url)
  await put(client.post('/api/organizations', { id: uuid(), name: 'Kept since', units: 'us-1000' }))
  const [siteId, sprayerId, productId] = [uuid(), uuid(), uuid()]
  await put(client.put(`/crew/library/sites/${siteId}`, aSite('Kept site')))
  await put(client.put(`/crew/library/areas/${uuid()}`, anArea(siteId)))
  await put(client.put(`/crew/library/equipment/${sprayerId}`, aSprayer('Kept sprayer')))
  await put(client.put(`/crew/library/calibrations/${uuid()}`, aCalibration(sprayerId)))
  await put(client.put(`/crew/library/products/${productId}`, aProduct('Kept product')))
  await put(
    client.post(`/crew/products/${productId}/stock`, {
      id: uuid(),
      kind: 'received',
      entered: { text: '2', unit: 'gal' },
      lot: 'A1',
      remarks: '',
      on: '2026-05-06',
    }),
  )
  await put(client.put(`/crew/jobs/${uuid()}`, newJob({ purpose: 'Still to do' })))
  const done = newJob({ purpose: 'On record' })
  await put(client.put(`/crew/jobs/${uuid()}`, done))
  for (const event of runEvents(uuid(), documentOf(done).products[0]!.id))
    await put(client.post(`/crew/applications/${done.applications[0]!.id}/events`, { events: [event] }))
  await withoutTheSample(databaseUrl)
  await dumpDatabase(databaseUrl, join(folder, version))
})

async function put(asked: Promise<Answer>): Promise<void> {
  const { status, body } = await asked
  if (status >= 300) throw new Error(`${status} ${JSON.stringify(body)}`)
}

/** It is made anew by each version, and it is large. */
async function withoutTheSample(databaseUrl: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    const { rows } = await client.query<{ name: string }>(
      `SELECT table_name AS name FROM information_schema.columns
       WHERE table_schema = 'public' AND column_name = 'organization_id'`,
    )
    await client.query(`SET session_replication_role = replica`)
    for (const { name } of rows)
      await client.query(
        `DELETE FROM ${name} WHERE organization_id IN (SELECT id FROM organizations WHERE kind <> 'own')`,
      )
    await client.query(`DELETE FROM organizations WHERE kind <> 'own'`)
  } finally {
    await client.end()
  }
}
