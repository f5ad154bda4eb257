// @ts-check
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from './setup/build.mjs'
import { ensureChromium, ensurePostgres } from './setup/debian.mjs'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { PROJECT } from './setup/paths.mjs'
import { runMain, say } from './setup/say.mjs'

/** @typedef {readonly [what: string, command: string, ...args: string[]]} Step */

/** What is looked at as it is written, cheapest first. @type {readonly Step[]} */
const CHECKS = [
  ['Dependencies', process.execPath, 'scripts/dependencies.mjs'],
  ['Borders', 'depcruise', '--config', '.dependency-cruiser.cjs', 'core', 'shared', 'server', 'app', 'demo'],
  ['Unused', 'knip', '--no-progress'],
  ['Format', 'prettier', '--check', '.'],
  ['Types', 'tsc', '-b', 'demo', 'scripts', '.nuxt/tsconfig.server.json', '.nuxt/tsconfig.node.json'],
  ['Types of pages', 'vue-tsc', '--noEmit', '-p', '.nuxt/tsconfig.app.json'],
  ['Lint', 'eslint', '.', '--max-warnings', '0'],
]

let passed = 0
let failed = 0
/** @type {string[]} */
const red = []
/** @type {(readonly [what: string, seconds: number])[]} */
const took = []
const results = mkdtempSync(join(tmpdir(), 'hectarum-results-'))

/**
 * Everything that must hold, with its own set-up, in two lanes: what is written, and what is built of it;
 * whichever is free takes what still waits. The last line counts it.
 */
await runMain(async () => {
  checkNode()
  await timed('Packages', ensurePackages)
  await timed('PostgreSQL and Chromium', async () => {
    await ensurePostgres()
    await ensureChromium()
  })
  // With scripts ignored nothing has prepared Nuxt's types yet.
  await check('Preparing types', 'nuxt', 'prepare')

  // The build has a folder of its own: the checks read the types that were prepared.
  const built = timed('Build', () => ensureBuilt({ HECTARUM_BUILD_DIR: '.cache/nuxt' }))
  const waiting = [
    ...CHECKS.map((step) => () => check(...step)),
    () => suite('Unit tests', 'core', 'app'),
    async () => {
      await built
      await suite('Starting for real', 'start')
    },
  ]
  /** One after the other for as long as something waits. */
  const lane = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await next()
  }
  const application = async () => {
    await built
    await suite('API and journeys', 'served')
    await lane()
  }
  await Promise.all([lane(), application()])

  rmSync(results, { recursive: true, force: true })
  for (const [what, seconds] of took) say(`${seconds.toFixed(0).padStart(5)} s  ${what}`)
  // Once more at the end: who reads the last lines alone sees what is red.
  for (const what of red) say(`FAILED: ${what}`)
  say(`${passed} passed, ${failed} failed`)
  process.exit(failed === 0 ? 0 : 1)
})

/** @param {Step} step */
async function check(...step) {
  if (await runs(...step)) passed += 1
  else {
    failed += 1
    red.push(step[0])
  }
}

/**
 * Some projects of vitest; their own report says how many.
 * @param {string} what
 * @param {readonly string[]} projects
 */
async function suite(what, ...projects) {
  const file = join(results, `${projects[0]}.json`)
  const fine = await runs(
    what,
    'vitest',
    'run',
    ...projects.flatMap((project) => ['--project', project]),
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  )
  if (!existsSync(file)) {
    failed += 1
    red.push(what)
    return
  }
  const report = JSON.parse(readFileSync(file, 'utf8'))
  passed += report.numPassedTests
  // A file that could not even be loaded has no failed test in it, but the run has failed all the same.
  failed += report.numFailedTests || (fine ? 0 : 1)
  if (!fine && report.numFailedTests === 0) red.push(what)
  for (const { name, assertionResults } of report.testResults)
    for (const { status, fullName, failureMessages } of assertionResults)
      if (status === 'failed') red.push(`${name}: ${fullName}\n${failureMessages.join('\n')}`)
}

/**
 * Runs a command of the project; what it prints is shown when it has ended, for another runs beside it.
 * @param {Step} step
 */
async function runs(...[what, command, ...args]) {
  const folder = join(PROJECT, 'node_modules', '.bin')
  /** @type {Buffer[]} */
  const printed = []
  const code = await timed(
    what,
    () =>
      new Promise((resolve) => {
        const child = spawn(command, args, {
          cwd: PROJECT,
          env: { ...process.env, PATH: `${folder}:${process.env.PATH}` },
          stdio: ['ignore', 'pipe', 'pipe'],
        })
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => printed.push(chunk))
        child.once('error', (error) => printed.push(Buffer.from(`${error.message}\n`)))
        child.once('close', resolve)
      }),
  )
  say(`\n${what}\n${Buffer.concat(printed)}`)
  if (code !== 0) say(`${what}: FAILED`)
  return code === 0
}

/**
 * @template T
 * @param {string} what
 * @param {() => Promise<T>} work
 */
async function timed(what, work) {
  const begun = Date.now()
  say(`${what} …`)
  const result = await work()
  const seconds = (Date.now() - begun) / 1000
  took.push([what, seconds])
  say(`${what}: ${seconds.toFixed(0)} s`)
  return result
}
