import { v7 as uuid } from 'uuid'
import pg from 'pg'
import { expect, test } from 'vitest'
import { Sequelize } from 'sequelize'
import { schemaStanding } from '../../scripts/setup/dump.mjs'
import { migrate, migratorOf } from '../../server/database/migrate'
import { MIGRATIONS } from '../../server/database/migrations/all'
import type { Migration } from '../../server/database/migrations/migration'
import { freshDatabase, query } from '../support/serve'

test('a migration killed in the middle leaves nothing behind, and the next start goes on', async () => {
  const url = await freshDatabase()
  const sequelize = new Sequelize(url, { dialect: 'postgres', dialectModule: pg, logging: false })
  await migratorOf(sequelize).up({ to: MIGRATIONS.at(-2)?.name ?? '' })
  const last = MIGRATIONS.at(-1)!
  const cut: Migration = {
    ...last,
    up: async (context, transaction) => {
      await last.up(context, transaction)
      // The server's end of the connection dies here, as under a kill of either process.
      await sequelize.query('SELECT pg_terminate_backend(pg_backend_pid())', { transaction })
    },
  }
  await expect(migratorOf(sequelize, [...MIGRATIONS.slice(0, -1), cut]).up()).rejects.toThrow()
  await sequelize.close()
  expect(await schemaStanding(url)).toEqual({ has: MIGRATIONS.length - 1, known: MIGRATIONS.length })
  await migrate(url)
  expect(await schemaStanding(url)).toEqual({ has: MIGRATIONS.length, known: MIGRATIONS.length })
})

test.each(MIGRATIONS.map(({ name }, i) => [name, i] as const))(
  'a crew kept since %s is upgraded whole',
  async (name) => {
    const url = await freshDatabase()
    const sequelize = new Sequelize(url, { dialect: 'postgres', dialectModule: pg, logging: false })
    await migratorOf(sequelize).up({ to: name })
    const [crew, job] = [uuid(), uuid()]
    await query(
      url,
      `INSERT INTO organizations (id, name, kind, units, time_zone)
       VALUES ('${crew}', 'Kept', 'own', 'us-1000', 'America/Chicago')`,
    )
    await query(
      url,
      `INSERT INTO jobs (organization_id, id, site, purpose, state, version)
       VALUES ('${crew}', '${job}', 'Kept since', '', 'draft', 1)`,
    )
    await query(
      url,
      `INSERT INTO applications (organization_id, id, job_id, position, document)
       VALUES ('${crew}', '${uuid()}', '${job}', 0, '{}')`,
    )
    await sequelize.close()
    await migrate(url)
    const { rows } = await query(url, 'SELECT site, version FROM jobs')
    expect(rows).toEqual([{ site: 'Kept since', version: 1 }])
  },
)

test('a clean-out that had its day alone counts to the end of it, on the clock of its place', async () => {
  const url = await freshDatabase()
  const sequelize = new Sequelize(url, { dialect: 'postgres', dialectModule: pg, logging: false })
  const migrator = migratorOf(sequelize)
  await migrator.up({ to: '014-common-mix' })
  const crew = uuid()
  await query(
    url,
    `INSERT INTO organizations (id, name, kind, units, time_zone)
     VALUES ('${crew}', 'Kept', 'own', 'us-1000', 'America/Chicago')`,
  )
  for (const document of ['{"cleaned":"2026-05-06"}', '{"cleaned":""}', '{}'])
    await query(
      url,
      `INSERT INTO equipment (organization_id, id, name, kind, document, version)
       VALUES ('${crew}', '${uuid()}', 'Boom', 'sprayer', '${document}', 1)`,
    )
  const cleaned = async () =>
    (await query(url, `SELECT document->>'cleaned' AS cleaned FROM equipment ORDER BY cleaned`)).rows
  await migrator.up()
  // Midnight of Chicago in May is five o'clock of the next day in UTC.
  expect(await cleaned()).toEqual([{ cleaned: '' }, { cleaned: '2026-05-07T04:59:59Z' }, { cleaned: null }])
  await migrator.down({ to: '015-clean-out-hour' })
  expect(await cleaned()).toEqual([{ cleaned: '' }, { cleaned: '2026-05-06' }, { cleaned: null }])
  await sequelize.close()
})

test('migrations go down and up again', async () => {
  const url = await freshDatabase()
  const sequelize = new Sequelize(url, { dialect: 'postgres', dialectModule: pg, logging: false })
  const migrator = migratorOf(sequelize)
  await migrator.up()
  await migrator.down({ to: 0 })
  const { rows } = await query(
    url,
    `SELECT table_name FROM information_schema.tables WHERE table_schema = 'public' AND table_name <> ` +
      `'migrations'`,
  )
  expect(rows).toEqual([])
  await migrator.up()
  await sequelize.close()
})
