import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import type { TestProject } from 'vitest/node'
import { openCluster } from '../../scripts/setup/cluster.mjs'
import { startServer } from './server'

declare module 'vitest' {
  interface ProvidedContext {
    adminUrl: string
    /** Migrated and with the sample in it; test files begin on copies of it. */
    sampleDatabase: string
  }
}

const SAMPLE = 'sample'

/** A private cluster of its own for a test project; each test file makes its own database in it. */
export default async function setup(project: TestProject) {
  const data = mkdtempSync(join(tmpdir(), 'hectarum-test-'))
  chmodSync(data, 0o711)
  const cluster = await openCluster({ data, dataGiven: true })
  await makeSample(cluster.adminUrl)
  project.provide('adminUrl', cluster.adminUrl)
  project.provide('sampleDatabase', SAMPLE)
  return async () => {
    await cluster.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

/** The server makes the sample by itself when it first starts; once for all files is enough. */
async function makeSample(adminUrl: string): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl })
  await admin.connect()
  // Nobody pulls this machine's plug: what is written need not reach its disk before a test goes on.
  for (const setting of ['fsync', 'full_page_writes', 'synchronous_commit'])
    await admin.query(`ALTER SYSTEM SET ${setting} = off`)
  await admin.query('SELECT pg_reload_conf()')
  await admin.query(`CREATE DATABASE ${SAMPLE}`)
  await admin.end()
  const served = await startServer(adminUrl.replace(/\/postgres$/, `/${SAMPLE}`))
  await served.stop()
}
