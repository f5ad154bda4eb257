// @ts-check
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { command, mustRun } from './command.mjs'
import { step, Stop } from './say.mjs'

const POSTGRES_ROOT = '/usr/lib/postgresql'
/** The build without a window: it draws the same pages with half the work. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell'

/** Headless, and talking to nobody but the page that is asked for. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Newest installed PostgreSQL first. */
export function postgresVersions() {
  if (!existsSync(POSTGRES_ROOT)) return []
  return readdirSync(POSTGRES_ROOT)
    .filter((name) => existsSync(join(POSTGRES_ROOT, name, 'bin', 'postgres')))
    .sort((a, b) => Number(b) - Number(a))
}

/** @param {string} version */
export const postgresBin = (version) => join(POSTGRES_ROOT, version, 'bin')

/** Debian's PostgreSQL, without letting it start a cluster of its own on port 5432. */
export async function ensurePostgres() {
  if (postgresVersions().length > 0) return
  await step('Installing PostgreSQL from Debian', async () => {
    const apt = await aptFor('postgresql')
    await apt(['update', '-qq'])
    await apt(['install', '-y', '-qq', 'postgresql-common'])
    await keepDebianFromStartingOne()
    await apt(['install', '-y', '-qq', 'postgresql'])
  })
  if (postgresVersions().length === 0)
    throw new Stop(
      `PostgreSQL was installed but its programs are not under ${POSTGRES_ROOT}: install Debian's ` +
        'package postgresql by hand.',
    )
}

/** Debian's Chromium, for the journeys. */
export const ensureChromium = () => ensurePackage(CHROMIUM, 'chromium-headless-shell')

/** Debian's independent readers of map files and of XML, for `npm run interop`. */
export async function ensureReaders() {
  await ensurePackage('/usr/bin/ogrinfo', 'gdal-bin')
  await ensurePackage('/usr/bin/xmllint', 'libxml2-utils')
}

/**
 * @param {string} program
 * @param {string} name
 */
async function ensurePackage(program, name) {
  if (existsSync(program)) return
  await step(`Installing ${name} from Debian`, async () => {
    const apt = await aptFor(name)
    await apt(['update', '-qq'])
    await apt(['install', '-y', '-qq', '--no-install-recommends', name])
  })
}

async function keepDebianFromStartingOne() {
  const line = 'create_main_cluster = false\n'
  const folder = '/etc/postgresql-common/createcluster.d'
  if (process.getuid?.() === 0) {
    mkdirSync(folder, { recursive: true })
    writeFileSync(join(folder, 'hectarum.conf'), line)
    return
  }
  await mustRun('Telling Debian not to start a cluster', 'sudo', [
    '-n',
    'sh',
    '-c',
    `mkdir -p ${folder} && printf '${line.trim()}\\n' > ${folder}/hectarum.conf`,
  ])
}

/**
 * apt-get as root, or through sudo where it asks for no password; else the command to type.
 * @param {string} wanted
 */
async function aptFor(wanted) {
  const byHand =
    `Debian's package ${wanted} is missing. Type:  sudo apt-get update && sudo apt-get install -y ` +
    `${wanted}  and start again.`
  if (!existsSync('/usr/bin/apt-get'))
    throw new Stop(`This is not a Debian machine: install ${wanted} by hand and start again.`)
  const root = process.getuid?.() === 0
  if (!root && (await command('sudo', ['-n', 'true'])).code !== 0) throw new Stop(byHand)
  return async (/** @type {readonly string[]} */ args) => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    const { code, output } = root
      ? await command('apt-get', args, { env })
      : await command('sudo', ['-n', '--preserve-env=DEBIAN_FRONTEND', 'apt-get', ...args], { env })
    if (code === 0) return
    if (/No space left/i.test(output))
      throw new Stop(`Installing ${wanted} failed because the disk is full: free some space and start again.`)
    throw new Stop(`${byHand}\nWhat apt-get said:\n${output.trim().split('\n').slice(-8).join('\n')}`)
  }
}
