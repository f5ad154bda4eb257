// @ts-check
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { mustRun } from './command.mjs'
import { PROJECT, SERVER_ENTRY } from './paths.mjs'
import { step } from './say.mjs'

const STAMP = join(PROJECT, '.output', 'built-from')
const SOURCES = [
  'app',
  'core',
  'demo',
  'public',
  'server',
  'shared',
  'nuxt.config.ts',
  'package.json',
  'package-lock.json',
]

/**
 * Builds the application when its sources are not those of the last build.
 * @param {NodeJS.ProcessEnv} more what the build's environment holds besides
 */
export async function ensureBuilt(more = {}) {
  const sources = fingerprint()
  if (existsSync(SERVER_ENTRY) && existsSync(STAMP) && readFileSync(STAMP, 'utf8') === sources) return
  await step('Building the application (one to two minutes)', async () => {
    rmSync(STAMP, { force: true })
    await mustRun('Building', 'npx', ['nuxt', 'build'], {
      cwd: PROJECT,
      env: { ...process.env, NODE_ENV: 'production', ...more },
    })
    writeFileSync(STAMP, sources)
  })
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const source of SOURCES) addTo(hash, join(PROJECT, source))
  return hash.digest('hex')
}

/**
 * @param {import('node:crypto').Hash} hash
 * @param {string} path
 */
function addTo(hash, path) {
  if (!existsSync(path)) return
  if (!statSync(path).isDirectory()) {
    if (!path.endsWith('.test.ts') && !path.endsWith('.csv'))
      hash.update(path.slice(PROJECT.length)).update(readFileSync(path))
    return
  }
  for (const name of readdirSync(path).sort()) addTo(hash, join(path, name))
}
