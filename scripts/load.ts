import { setTimeout as wait } from 'node:timers/promises'
import pg from 'pg'
import { v7 as uuid } from 'uuid'
import { keepFigures } from '../bench/figures'
import { openCrew } from '../bench/openCrew'
import { servedAlone } from '../bench/servedAlone'
import { percentile, round } from '../bench/statistics'
import { largeRequest } from '../bench/workload'
import { SAMPLE_JOBS } from '../demo/sampleLinks'
import { aSite } from '../test/support/rows'

/**
 * Twenty connections of mixed use, with one crew in the database and with a thousand: docs/bench.json,
 * `load`.
 */
const SECONDS = Number(process.argv[2] ?? 180)
const CONNECTIONS = 20
const CREWS = 1000
/** What a person needs between looking at one thing and asking for the next. */
const PAUSE_MS = 100

interface Use {
  readonly name: string
  readonly path: string
  readonly send?: { readonly method: 'POST' | 'PUT'; readonly body: () => unknown }
}

await servedAlone(async ({ url, databaseUrl }) => {
  const crew = await openCrew(url)
  const mixed: readonly Use[] = [
    { name: 'list of jobs', path: `${crew}/jobs` },
    { name: 'list of sites', path: `${crew}/sites` },
    { name: 'records', path: `${crew}/records?q=iron` },
    { name: 'one job', path: `${crew}/jobs/${SAMPLE_JOBS.running}` },
    { name: 'the day', path: `${crew}/today` },
    { name: 'crews of the person', path: `${url}/api/organizations` },
    {
      name: 'a plan',
      path: `${url}/api/plan`,
      send: { method: 'POST', body: () => largeRequest(6, 3) },
    },
    {
      name: 'a new site',
      path: `${crew}/library/sites/`,
      send: { method: 'PUT', body: () => aSite('Under load') },
    },
  ]
  const one = await underLoad(mixed)
  await makeCrews(databaseUrl)
  const thousand = await underLoad(mixed)
  keepFigures({
    load: { connections: CONNECTIONS, seconds: SECONDS, oneCrew: one, [`crews${CREWS}`]: thousand },
  })
  process.stdout.write(`${JSON.stringify({ one, thousand }, null, 2)}\n`)
})

/** Each connection goes through the uses in an order of its own, again and again. */
async function underLoad(uses: readonly Use[]) {
  const times = new Map<string, number[]>(uses.map(({ name }) => [name, []]))
  let refused = 0
  const until = performance.now() + SECONDS * 1000
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async (_, connection) => {
      for (let i = connection; performance.now() < until; i++) {
        const { name, path, send } = uses[i % uses.length]!
        const begun = performance.now()
        const answer = await fetch(path.endsWith('/') ? path + uuid() : path, {
          ...(send && {
            method: send.method,
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(send.body()),
          }),
        })
        await answer.arrayBuffer()
        times.get(name)?.push(performance.now() - begun)
        if (!answer.ok) refused += 1
        await wait(PAUSE_MS)
      }
    }),
  )
  const all = [...times.values()].flat()
  const told = (list: readonly number[]) => ({
    p50: round(percentile(list, 0.5)),
    p99: round(percentile(list, 0.99)),
  })
  return {
    answered: all.length,
    refused,
    ...told(all),
    byUse: Object.fromEntries([...times].map(([name, list]) => [name, told(list)])),
  }
}

/** Crews that have people, with ten jobs each: what other people's rows weigh. */
async function makeCrews(databaseUrl: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    await client.query(
      `WITH crews AS (
         INSERT INTO organizations (id, name, kind, units, time_zone, peopled)
         SELECT gen_random_uuid(), 'Crew ' || n, 'own', 'us-1000', 'America/Chicago', true
         FROM generate_series(1, $1) n RETURNING id
       )
       INSERT INTO jobs (organization_id, id, site, purpose, state, version)
       SELECT id, gen_random_uuid(), 'A site', '', 'draft', 1 FROM crews, generate_series(1, 10)`,
      [CREWS],
    )
  } finally {
    await client.end()
  }
}
