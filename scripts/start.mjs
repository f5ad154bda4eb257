// @ts-check
import { setTimeout as wait } from 'node:timers/promises'
import { chmodSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuilt } from './setup/build.mjs'
import { openCluster } from './setup/cluster.mjs'
import { ensurePostgres } from './setup/debian.mjs'
import { countPeople, dumpDatabase, schemaStanding } from './setup/dump.mjs'
import { checkGivenDatabase } from './setup/givenDatabase.mjs'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { runMain, say, step, Stop } from './setup/say.mjs'
import { secretsOf } from './setup/secrets.mjs'
import { claimStart, superviseServer, takeOver } from './setup/server.mjs'
import { portState, readSettings } from './setup/settings.mjs'

await runMain(async () => {
  checkNode()
  const settings = readSettings()
  const { host, port, data } = settings
  const running = await takeOver(data)
  if (running) throw new Stop(`Hectarum is already running at ${running}.`)
  const release = claimStart(data)
  await refuseTakenPort(host, port)
  await ensurePackages()
  if (settings.databaseUrl) await checkGivenDatabase(settings.databaseUrl)
  else await ensurePostgres()
  await ensureBuilt()

  const cluster = settings.databaseUrl ? undefined : await openCluster(settings)
  if (!cluster) mkdirSync(data, { recursive: true })
  const databaseUrl = cluster?.url ?? settings.databaseUrl ?? ''
  if (settings.beyond && (await countPeople(databaseUrl)) === 0) {
    await cluster?.stop()
    throw new Stop(
      'HOST or HECTARUM_HOSTS lets other machines in, and nobody signs in yet. Start once without them, ' +
        'begin a crew, and become its owner under Settings, People.',
    )
  }
  await dumpBeforeMigrating(databaseUrl, data)
  const secrets = secretsOf(data)
  const server = superviseServer({
    data,
    host,
    port,
    databaseUrl,
    secrets,
    ...(settings.tls && { tls: settings.tls }),
  })
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    say('\nStopping …')
    await server.stop()
    await cluster?.stop()
    process.exit(0)
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  cluster?.watch(() => !stopping).catch((error) => say(String(error)))
  try {
    await server.healthy()
    release()
    const people = await countPeople(databaseUrl)
    say(`\nHectarum is at ${server.address}  (Ctrl-C stops it)`)
    if (people === 0)
      say(`Nobody signs in yet. Code for the first owner of a crew of yours: ${secrets.ownerCode}`)
    say('')
    await server.gaveUp
  } catch (error) {
    if (stopping) return
    stopping = true
    await server.stop()
    await cluster?.stop()
    throw error
  }
})

/**
 * An older database is dumped before this version changes it.
 * @param {string} url
 * @param {string} data
 */
async function dumpBeforeMigrating(url, data) {
  const standing = await schemaStanding(url)
  if (!standing || standing.has === 0 || standing.has >= standing.known) return
  const file = join(
    data,
    `before-migration-${standing.known}-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.dump`,
  )
  await step(`The database is of an older version: keeping a copy in ${file}`, () => dumpDatabase(url, file))
  chmodSync(file, 0o600)
}

/**
 * A server of ours that was just killed may hold the port for a moment longer.
 * @param {string} host
 * @param {number} port
 */
async function refuseTakenPort(host, port) {
  for (let tries = 0; tries < 10; tries++) {
    const state = await portState(host, port)
    if (state === 'free') return
    if (state === 'refused')
      throw new Stop(
        `This machine can't listen on ${host}:${port}: check HOST and PORT (ports under 1024 need root).`,
      )
    await wait(200)
  }
  throw new Stop(
    `Port ${port} is taken by another program: stop that, or choose another with  PORT=${port + 1} npm ` +
      'start.',
  )
}
