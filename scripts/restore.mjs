// @ts-check
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { mustRun } from './setup/command.mjs'
import { loadDump, schemaStanding } from './setup/dump.mjs'
import { openDatabase } from './setup/openDatabase.mjs'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { runMain, say, Stop } from './setup/say.mjs'
import { takeOver } from './setup/server.mjs'
import { readSettings } from './setup/settings.mjs'

/**
 * `npm run restore file`: what a backup holds takes the place of what is there. It is loaded beside it first
 * and then changed over, so that a broken file harms nothing; what was there is kept under another name.
 */
await runMain(async () => {
  checkNode()
  await ensurePackages()
  const settings = readSettings()
  const [given] = process.argv.slice(2)
  if (given === undefined) throw new Stop('Name the file to restore:  npm run restore -- hectarum-….backup')
  const file = resolve(given)
  if (!existsSync(file)) throw new Stop(`There is no file ${file}.`)
  const running = await takeOver(settings.data)
  if (running) throw new Stop(`Hectarum is running at ${running}: stop it first.`)
  const folder = mkdtempSync(join(tmpdir(), 'hectarum-restore-'))
  try {
    await mustRun('Reading the backup', 'tar', ['-xf', file, '-C', folder, '--no-same-owner'])
    const manifest = readManifest(folder)
    const database = await openDatabase(settings, 'stop it after')
    try {
      await changeOver(database.url, join(folder, 'database.dump'), manifest.migrations)
      keepSecrets(folder, settings)
    } finally {
      await database.close()
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
})

/** @param {string} folder @returns {{ migrations: number }} */
function readManifest(folder) {
  try {
    const manifest = JSON.parse(readFileSync(join(folder, 'manifest.json'), 'utf8'))
    if (manifest.kind === 'hectarum-backup' && manifest.schema === 1) return manifest
  } catch {
    // Said below.
  }
  throw new Stop('This file is not a backup of Hectarum, or of a newer version than this.')
}

/**
 * @param {string} url
 * @param {string} dump
 * @param {number} migrations
 */
async function changeOver(url, dump, migrations) {
  const name = decodeURIComponent(new URL(url).pathname.slice(1))
  const at = (/** @type {string} */ database) =>
    Object.assign(new URL(url), { pathname: `/${database}` }).href
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(/\D/g, '')
  const [fresh, before] = [`${name}_restoring`, `${name}_before_${stamp}`]
  const { default: pg } = await import('pg')
  const admin = new pg.Client({ connectionString: at('postgres') })
  await admin.connect()
  try {
    await admin.query(`DROP DATABASE IF EXISTS "${fresh}"`)
    await admin.query(`CREATE DATABASE "${fresh}"`)
    await loadDump(dump, at(fresh))
    const standing = await schemaStanding(at(fresh))
    if (standing?.has !== migrations || standing.has > standing.known)
      throw new Stop('The backup is of a newer version than this, or not whole: nothing was changed.')
    await admin.query('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1', [name])
    await admin.query(`ALTER DATABASE "${name}" RENAME TO "${before}"`)
    await admin.query(`ALTER DATABASE "${fresh}" RENAME TO "${name}"`)
    say(`Restored. What was there before is kept as the database ${before}.`)
  } finally {
    await admin.query(`DROP DATABASE IF EXISTS "${fresh}"`).catch(() => undefined)
    await admin.end()
  }
}

/**
 * The cluster here keeps its own password; every other secret comes from the backup.
 * @param {string} folder
 * @param {import('./setup/settings.mjs').Settings} settings
 */
function keepSecrets(folder, settings) {
  const [kept, own] = [join(folder, 'secret.json'), join(settings.data, 'secret.json')]
  if (settings.databaseUrl || !existsSync(kept) || !existsSync(own)) return
  const { password } = JSON.parse(readFileSync(own, 'utf8'))
  writeFileSync(own, JSON.stringify({ ...JSON.parse(readFileSync(kept, 'utf8')), password }), { mode: 0o600 })
}
