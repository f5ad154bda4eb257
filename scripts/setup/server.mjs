// @ts-check
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, linkSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { get as httpGet } from 'node:http'
import { get as httpsGet } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { isAlive } from './cluster.mjs'
import { SERVER_ENTRY } from './paths.mjs'
import { say, Stop } from './say.mjs'

/** The server says by this exit code that starting it again would not help; it has printed why. */
const EXIT_WILL_NOT_HELP = 78
const LONGEST_BACK_OFF = 5000
/** The first start makes the sample: a slow disk takes minutes for it. */
const HEALTHY_WITHIN_MS = 300_000

/**
 * @typedef {object} Notes what a starter leaves for the next one
 * @property {number} starter
 * @property {number} server
 * @property {string} address
 */

/** @param {string} data */
const notesFile = (data) => join(data, 'running.json')

/**
 * What runs already on this data: another starter is reported, a server without its starter is ended, to be
 * replaced.
 * @param {string} data
 * @returns {Promise<string | undefined>} the address of a starter that lives
 */
export async function takeOver(data) {
  if (!existsSync(notesFile(data))) return undefined
  /** @type {Notes} */
  let notes
  try {
    notes = JSON.parse(readFileSync(notesFile(data), 'utf8'))
  } catch {
    return undefined
  }
  if (isOurs(notes.starter, 'start.mjs')) return notes.address
  if (isOurs(notes.server, SERVER_ENTRY)) {
    say('Taking over from an earlier start that was killed.')
    process.kill(notes.server, 'SIGTERM')
    for (let tries = 0; tries < 50 && isAlive(notes.server); tries++) await wait(100)
    if (isAlive(notes.server)) process.kill(notes.server, 'SIGKILL')
  }
  return undefined
}

/**
 * One starter at a time on one folder of data: a second one is told, instead of both making a cluster.
 * @param {string} data
 * @returns {() => void} lets go of it
 */
export function claimStart(data) {
  const name = createHash('sha256').update(data).digest('hex').slice(0, 16)
  const file = join(tmpdir(), `hectarum-start-${name}.pid`)
  // Linked with its number in it, so that nobody can read it while it is still empty.
  const own = `${file}.${process.pid}`
  writeFileSync(own, String(process.pid))
  try {
    return claim(file, own)
  } finally {
    rmSync(own, { force: true })
  }
}

/**
 * @param {string} file
 * @param {string} own
 */
function claim(file, own) {
  for (let tries = 0; ; tries++) {
    try {
      linkSync(own, file)
      const release = () => rmSync(file, { force: true })
      process.once('exit', release)
      return release
    } catch (error) {
      if (/** @type {NodeJS.ErrnoException} */ (error).code !== 'EEXIST' || tries > 0) throw error
      if (isOurs(Number(readFileSync(file, 'utf8')), 'start.mjs'))
        throw new Stop('Hectarum is being started already: another npm start is at it.')
      rmSync(file, { force: true })
    }
  }
}

/**
 * Whether a process lives and is the program we think, not another that got its number.
 * @param {number} pid
 * @param {string} program
 */
function isOurs(pid, program) {
  if (!pid || pid === process.pid || !isAlive(pid)) return false
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program)
  } catch {
    return false
  }
}

/**
 * Runs the server and starts it again, with back-off, for as long as nobody stops it.
 * @param {{
 *   data: string, host: string, port: number, databaseUrl: string, secrets: import("./secrets.mjs").Secrets
 *,
 *   tls?: { cert: string, key: string }
 * }} settings
 */
export function superviseServer({ data, host, port, databaseUrl, secrets, tls }) {
  const address = `${tls ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`
  let stopping = false
  /** @type {import('node:child_process').ChildProcess | undefined} */
  let child
  /** @type {(error: Stop) => void} */
  let giveUp = () => {}
  const gaveUp = new Promise((_, reject) => {
    giveUp = reject
  })
  let backOff = 250

  const run = () => {
    const begun = Date.now()
    child = spawn(process.execPath, [SERVER_ENTRY], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        DATABASE_URL: databaseUrl,
        HOST: host,
        PORT: String(port),
        NITRO_HOST: host,
        NITRO_PORT: String(port),
        NUXT_SESSION_PASSWORD: secrets.session,
        HECTARUM_OWNER_CODE: secrets.ownerCode,
        ...(tls && { NITRO_SSL_CERT: tls.cert, NITRO_SSL_KEY: tls.key }),
      },
      stdio: 'inherit',
    })
    writeFileSync(notesFile(data), JSON.stringify({ starter: process.pid, server: child.pid ?? 0, address }))
    child.once('exit', (code) => {
      if (stopping) return
      if (code === EXIT_WILL_NOT_HELP)
        return giveUp(new Stop('The server will not start; the sentence above says what to do.'))
      if (Date.now() - begun > 10_000) backOff = 250
      say(`The server ended (code ${code ?? 'killed'}): starting it again.`)
      setTimeout(() => {
        if (!stopping) run()
      }, backOff)
      backOff = Math.min(backOff * 2, LONGEST_BACK_OFF)
    })
  }
  run()
  return {
    address,
    /** Resolves when the server is healthy; fails when it gave up. */
    healthy: () => Promise.race([gaveUp, untilHealthy(address)]),
    /** Fails when the server gives up; else never ends. */
    gaveUp,
    stop: async () => {
      stopping = true
      child?.kill('SIGTERM')
      for (let tries = 0; tries < 120 && child?.exitCode === null && child.signalCode === null; tries++)
        await wait(100)
      child?.kill('SIGKILL')
      rmSync(notesFile(data), { force: true })
    },
  }
}

/** @param {string} address */
async function untilHealthy(address) {
  const begun = Date.now()
  while (Date.now() - begun < HEALTHY_WITHIN_MS) {
    const ok = await isHealthy(address)
    if (ok) return
    await wait(100)
  }
  throw new Stop(
    'The server runs but does not become healthy within five minutes; what it printed above says why.',
  )
}

/** Asked on this machine: our own certificate need not be known to it. @param {string} address */
function isHealthy(address) {
  const ask = address.startsWith('https:') ? httpsGet : httpGet
  return new Promise((resolve) => {
    ask(`${address}/api/health`, { rejectUnauthorized: false }, (answer) => {
      answer.resume()
      resolve(answer.statusCode === 200)
    }).once('error', () => resolve(false))
  })
}
