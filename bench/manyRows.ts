import pg from 'pg'

export const MANY_ORGANIZATION = '019df000-0000-7000-8000-0000000000c0'
export const MANY = { records: 100_000, sites: 2_000 } as const

const O = `'${MANY_ORGANIZATION}'::uuid`
const PRODUCTS =
  `(ARRAY['Slow-feed 21-0-6 granule', 'Chelated iron 6 %, Non-ionic surfactant', 'Prodiamine 65 %', ` +
  `'Propiconazole 14.3 %', 'Wetting agent'])`

/** A crew of many years: made in SQL, because only its size matters. */
export async function makeManyRows(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    await client.query('BEGIN')
    await client.query(
      `INSERT INTO organizations (id, name, kind, units, time_zone) VALUES (${O}, 'Crew of many ` +
        `years', 'own', 'us-1000', 'America/New_York')`,
    )
    await client.query(
      `INSERT INTO sites (organization_id, id, name, place, document, version) SELECT ${O}, ` +
        `gen_random_uuid(), 'Lawn ' || n || ' ' || ` +
        `(ARRAY['Mill','Quarry','Harbour','Creek','Orchard'])[1 + n % 5] || ' Road', 'District ' || n % ` +
        `40, '{}', 1 FROM generate_series(1, ${MANY.sites}) n`,
    )
    await client.query(
      'INSERT INTO areas (organization_id, id, site_id, name, position, size_m2, sd_m2, document, ' +
        `version) SELECT ${O}, gen_random_uuid(), s.id, 'Area ' || n, n, 300, 5, '{"use":"turf"}', 1 ` +
        `FROM sites s, generate_series(1, 3) n WHERE s.organization_id = ${O}`,
    )
    await client.query(
      'INSERT INTO jobs (organization_id, id, site, site_id, purpose, planned_for, state, version) ' +
        `SELECT ${O}, gen_random_uuid(), name, id, 'upkeep', DATE '2020-01-01', 'done', 1 FROM sites ` +
        `WHERE organization_id = ${O}`,
    )
    await client.query(
      `INSERT INTO applications (organization_id, id, job_id, position, document) SELECT ${O}, ` +
        `gen_random_uuid(), j.id, n, '{}' FROM jobs j, generate_series(1, ${MANY.records / MANY.sites}) ` +
        `n WHERE j.organization_id = ${O}`,
    )
    await client.query(`INSERT INTO records (organization_id, id, job_id, site, site_id, products,
      finished_at, size_m2, verdict, document, done_by, targets)
      SELECT ${O}, a.id, j.id, j.site, j.site_id, ${PRODUCTS}[1 + (row_number() OVER (ORDER BY
        a.id)) % 5], TIMESTAMPTZ '2019-01-01' + (row_number() OVER (ORDER BY a.id)) * interval '37 minutes',
        400, (ARRAY['good','good','good','acceptable','off'])[1 + (row_number() OVER (ORDER BY a.id)) % 5],
        '{}', 'T. Arkwright', 'upkeep'
      FROM applications a JOIN jobs j ON j.organization_id = a.organization_id AND j.id = a.job_id
        WHERE a.organization_id = ${O}`)
    await client.query('COMMIT')
    await client.query('ANALYZE')
  } finally {
    await client.end()
  }
}
