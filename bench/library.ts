import { openCrew } from './openCrew'
import pg from 'pg'
import { openDatabase } from '../server/database/connection'
import { forOrganization } from '../server/repositories/forOrganization'
import { makeManyRows, MANY, MANY_ORGANIZATION } from './manyRows'
import { percentile, round } from './statistics'

const RUNS = 600
const WARM_UP = 60
const O = `'${MANY_ORGANIZATION}'`
const RECORD =
  'id, job_id, site, site_id, products, done_by, targets, finished_at, size_m2, verdict, known_to, deviations'

/**
 * What each of them takes. They are asked in turn: what else the machine does meanwhile holds up all of them
 * alike, and their 99th stand for the same minutes.
 */
async function timedInTurn<Name extends string>(works: Readonly<Record<Name, () => Promise<unknown>>>) {
  const names = Object.keys(works) as Name[]
  const times = new Map(names.map((name): [Name, number[]] => [name, []]))
  for (let i = 0; i < RUNS + WARM_UP; i++)
    for (const name of names) {
      const begun = performance.now()
      await works[name]()
      if (i >= WARM_UP) times.get(name)?.push(performance.now() - begun)
    }
  const figures = (name: Name) => ({
    p50: round(percentile(times.get(name) ?? [], 0.5)),
    p99: round(percentile(times.get(name) ?? [], 0.99)),
  })
  return Object.fromEntries(names.map((name) => [name, figures(name)])) as Record<
    Name,
    ReturnType<typeof figures>
  >
}

/**
 * Lists and searches over many rows: our repository, and the whole route, against the raw SQL of the same
 * question on a bare connection.
 * @param databaseUrl of the server at `serverUrl`
 */
export async function manyRows(databaseUrl: string, serverUrl: string) {
  await makeManyRows(databaseUrl)
  const database = openDatabase(databaseUrl)
  const { records, sites } = forOrganization(database, MANY_ORGANIZATION)
  const raw = new pg.Client({ connectionString: databaseUrl })
  await raw.connect()
  const sample = await openCrew(serverUrl)
  const route = (path: string) =>
    fetch(`${serverUrl}/api/organizations/${MANY_ORGANIZATION}/${path}`).then((answer) => answer.text())
  const filter = { q: '', verdict: '', siteId: '', since: '', before: '', sort: 'newest', ids: [] } as const
  const [deep] = (
    await raw.query(
      `SELECT finished_at, id FROM records WHERE organization_id = ${O} ORDER BY finished_at DESC, id ` +
        'DESC OFFSET 60000 LIMIT 1',
    )
  ).rows as { finished_at: Date; id: string }[]
  const at = deep?.finished_at.toISOString() ?? ''
  const after = Buffer.from(JSON.stringify({ at, id: deep?.id })).toString('base64url')
  const sitesSql = (
    where: string,
  ) => `SELECT s.id, s.name, s.place, a.areas, a.size, l.last::text FROM (SELECT id, name, place FROM
    sites WHERE organization_id = ${O} AND deleted_at IS NULL ${where} ORDER BY lower(name), id LIMIT 51) s
    CROSS JOIN LATERAL (SELECT count(*) AS areas, sum(size_m2) FILTER (WHERE document->>'use' =
      'turf') AS size FROM areas WHERE organization_id = ${O} AND site_id = s.id AND deleted_at IS NULL) a
    CROSS JOIN LATERAL (SELECT max(on_day) AS last FROM laid_down WHERE organization_id = ${O} AND
      site_id = s.id) l ORDER BY lower(s.name), s.id`
  const page = { limit: 51, after: undefined }
  const questions = [
    {
      name: 'records, newest',
      sql:
        `SELECT ${RECORD} FROM records WHERE organization_id = ${O} ORDER BY finished_at DESC, id DESC ` +
        'LIMIT 51',
      ours: () => records.page(filter, page),
      path: 'records',
    },
    {
      name: 'records, after 60,000',
      path: `records?after=${after}`,
      ours: () => records.page(filter, { limit: 51, after: { at, id: deep?.id ?? '' } }),
      sql:
        `SELECT ${RECORD} FROM records WHERE organization_id = ${O} AND (finished_at, id) < ` +
        `(CAST('${at}' AS timestamptz), CAST('${deep?.id}' AS uuid)) ORDER BY finished_at DESC, id DESC ` +
        'LIMIT 51',
    },
    {
      name: 'records, two words',
      sql:
        `SELECT ${RECORD} FROM records WHERE organization_id = ${O} AND search @@ to_tsquery('simple', ` +
        `'iron:* & quarry:*') ORDER BY finished_at DESC, id DESC LIMIT 51`,
      ours: () => records.page({ ...filter, q: 'iron quarry' }, page),
      path: 'records?q=iron%20quarry',
    },
    {
      name: 'records off by more than 10 %',
      sql:
        `SELECT ${RECORD} FROM records WHERE organization_id = ${O} AND verdict = 'off' ORDER BY ` +
        'finished_at DESC, id DESC LIMIT 51',
      ours: () => records.page({ ...filter, verdict: 'off' }, page),
      path: 'records?verdict=off',
    },
    { name: 'sites by name', sql: sitesSql(''), ours: () => sites.page('', page), path: 'sites' },
    {
      name: 'sites, one word',
      sql: sitesSql(`AND search @@ to_tsquery('simple', 'quarry:*')`),
      ours: () => sites.page('quarry', page),
      path: 'sites?q=quarry',
    },
  ]
  const results: object[] = []
  try {
    for (const { name, sql, ours, path } of questions) {
      const { bare, repository, whole } = await timedInTurn({
        bare: () => raw.query(sql),
        repository: ours,
        whole: () => route(path),
      })
      results.push({
        question: name,
        rawSqlMs: bare,
        repositoryMs: repository,
        routeMs: whole,
        repositoryOverRawP99: round(repository.p99 / bare.p99, 2),
        routeOverRawP99: round(whole.p99 / bare.p99, 2),
      })
    }
  } finally {
    await raw.end()
    await database.sequelize.close()
  }
  return {
    ...MANY,
    runs: RUNS,
    questions: results,
    todayOfTheSampleMs: (
      await timedInTurn({ today: () => fetch(`${sample}/today`).then((answer) => answer.text()) })
    ).today,
  }
}
