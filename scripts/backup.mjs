// @ts-check
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdtempSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { mustRun } from './setup/command.mjs'
import { dumpDatabase, schemaStanding } from './setup/dump.mjs'
import { openDatabase } from './setup/openDatabase.mjs'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { runMain, say, Stop } from './setup/say.mjs'
import { takeOver } from './setup/server.mjs'
import { readSettings } from './setup/settings.mjs'

/**
 * `npm run backup [file]`: database and secrets into one file, readable by its owner alone. The application
 * may go on running.
 */
await runMain(async () => {
  checkNode()
  await ensurePackages()
  const settings = readSettings()
  const file = resolve(
    process.argv[2] ?? `hectarum-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.backup`,
  )
  if (existsSync(file)) throw new Stop(`${file} is there already: name another file.`)
  const running = await takeOver(settings.data)
  const database = await openDatabase(settings, running ? 'it runs' : 'stop it after')
  const folder = mkdtempSync(join(tmpdir(), 'hectarum-backup-'))
  try {
    const standing = await schemaStanding(database.url)
    if (!standing) throw new Stop('There is nothing to back up: this database is empty.')
    await dumpDatabase(database.url, join(folder, 'database.dump'))
    writeFileSync(
      join(folder, 'manifest.json'),
      JSON.stringify({
        kind: 'hectarum-backup',
        schema: 1,
        migrations: standing.has,
        made: new Date().toISOString(),
      }),
    )
    const secret = join(settings.data, 'secret.json')
    const members = ['manifest.json', 'database.dump']
    if (!settings.databaseUrl && existsSync(secret)) {
      copyFileSync(secret, join(folder, 'secret.json'))
      members.push('secret.json')
    }
    // Written beside its place and renamed: a file of that name is a whole one.
    await mustRun('Writing the backup', 'tar', ['-cf', `${file}.new`, '-C', folder, ...members])
    chmodSync(`${file}.new`, 0o600)
    renameSync(`${file}.new`, file)
    say(
      `Backed up to ${file} (${Math.ceil(statSync(file).size / 1024)} KiB). It holds everything, ` +
        'secrets too: keep it where only you can read it.',
    )
  } finally {
    rmSync(folder, { recursive: true, force: true })
    rmSync(`${file}.new`, { force: true })
    await database.close()
  }
})
