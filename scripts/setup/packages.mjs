// @ts-check
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { mustRun } from './command.mjs'
import { PROJECT } from './paths.mjs'
import { say, step, Stop } from './say.mjs'

const STAMP = join(PROJECT, 'node_modules', '.hectarum-lock')

/** Installs the packages of the lock file when they are not what is there. */
export async function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(PROJECT, 'package-lock.json')))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return
  await step('Installing packages (npm ci, a minute or two)', async () => {
    await mustRun('Installing packages', 'npm', ['ci', '--no-fund', '--no-audit'], { cwd: PROJECT })
    writeFileSync(STAMP, lock)
  })
}

/** Refuses a Node this stack does not run on, before anything else fails less clearly. */
export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  const fits = (major === 20 && minor >= 19) || (major === 22 && minor >= 12) || major > 22
  if (!fits)
    throw new Stop(`Node ${process.versions.node} is too old: install Node 20.19 or newer and start again.`)
  if (major % 2 === 1) say(`Node ${process.versions.node} is not a long-term release; it usually works.`)
}
