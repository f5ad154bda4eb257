import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import pg from 'pg'
import { Sequelize } from 'sequelize'
import { dumpDatabase, loadDump, schemaStanding } from '../../scripts/setup/dump.mjs'
import { migratorOf } from '../../server/database/migrate'
import { MIGRATIONS } from '../../server/database/migrations/all'
import { clientOf } from '../support/client'
import { freshDatabase, query, serve } from '../support/serve'

const folder = mkdtempSync(join(tmpdir(), 'hectarum-backup-test-'))
const file = join(folder, 'all.backup')
let url: string
beforeAll(async () => {
  url = await freshDatabase()
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

function run(script: 'backup' | 'restore', path: string, databaseUrl = url) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${script}.mjs`, path], {
    env: { ...process.env, DATABASE_URL: databaseUrl, HECTARUM_DATA: folder },
    encoding: 'utf8',
  })
  return { status, said: stdout + stderr }
}
async function exported(): Promise<string> {
  const served = await serve(url)
  const sample = clientOf(served.url)
  try {
    const pages = await Promise.all(
      [
        'records/export?format=json&sort=oldest',
        'library/products',
        'library/equipment',
        'sites',
        'jobs',
      ].map((path) =>
        sample
          .address(`/crew/${path}`)
          .then((address) => fetch(address))
          .then((answer) => answer.text()),
      ),
    )
    return pages.join('\n')
  } finally {
    await served.stop()
  }
}

test('an empty database is no backup; a file that is none is refused and harms nothing', () => {
  expect(run('backup', file)).toMatchObject({
    status: 1,
    said: expect.stringContaining('nothing to back up'),
  })
  const other = join(folder, 'other.tar')
  writeFileSync(other, 'not a backup')
  expect(run('restore', other).status).toBe(1)
  expect(run('restore', join(folder, 'absent')).said).toContain('There is no file')
})

test('backed up, wiped, restored: everything is as it was', async () => {
  const before = await exported()
  expect(before.length).toBeGreaterThan(100_000)
  expect(run('backup', file)).toMatchObject({ status: 0 })
  expect(statSync(file).mode & 0o077).toBe(0)
  expect(run('backup', file).said).toContain('is there already')
  await query(url, 'DROP SCHEMA public CASCADE')
  await query(url, 'CREATE SCHEMA public')
  const restored = run('restore', file)
  expect(restored, restored.said).toMatchObject({ status: 0 })
  expect(await exported()).toBe(before)
  const { rows } = await query(
    url.replace(/\/[^/]+$/, '/postgres'),
    `SELECT datname FROM pg_database WHERE datname LIKE '%\\_before\\_%'`,
  )
  expect(rows).toHaveLength(1)
  // The append-only triggers came back too.
  await expect(query(url, 'DELETE FROM laid_down')).rejects.toThrow('append-only')
})

test('a database of an older version is seen as such, and its copy is whole', async () => {
  const [older, copy] = [await freshDatabase(), await freshDatabase()]
  const sequelize = new Sequelize(older, { dialect: 'postgres', dialectModule: pg, logging: false })
  await migratorOf(sequelize).up({ to: '001-organizations-jobs-runs-records' })
  await sequelize.close()
  expect(await schemaStanding(older)).toEqual({ has: 1, known: MIGRATIONS.length })
  expect(await schemaStanding(copy)).toBeUndefined()
  const dump = join(folder, 'older.dump')
  await dumpDatabase(older, dump)
  await loadDump(dump, copy)
  expect(await schemaStanding(copy)).toEqual({ has: 1, known: MIGRATIONS.length })
})
