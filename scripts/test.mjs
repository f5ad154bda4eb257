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

/** @typedef {{ passed: number, failed: number, red: string[] }} Tally */

/** Everything that must hold, with its own set-up; the last line counts it. */
await runMain(async () => {
  checkNode()
  await ensurePackages()
  await ensurePostgres()
  await ensureChromium()
  const results = mkdtempSync(join(tmpdir(), 'hectarum-results-'))
  /** @type {Tally} */
  const tally = { passed: 0, failed: 0, red: [] }
  const count = (/** @type {string} */ what, /** @type {boolean} */ fine) => {
    tally[fine ? 'passed' : 'failed'] += 1
    if (!fine) tally.red.push(what)
  }
  const check = async (/** @type {string} */ what, /** @type {readonly string[]} */ args) =>
    count(what, await runs(what, args))

  // With scripts ignored nothing has prepared Nuxt's types yet.
  await check('Preparing types', ['nuxt', 'prepare'])
  await check('Dependencies', ['node', 'scripts/dependencies.mjs'])
  await check('Format', ['prettier', '--check', '.'])
  await check('Lint', ['eslint', '.', '--max-warnings', '0'])
  await check('Types', ['vue-tsc', '-b', '--noEmit'])
  await check('Borders', [
    'depcruise',
    '--config',
    '.dependency-cruiser.cjs',
    'core',
    'shared',
    'server',
    'app',
    'demo',
  ])
  await suite('unit', results, tally)
  await ensureBuilt()
  for (const project of ['api', 'journeys', 'start']) await suite(project, results, tally)

  rmSync(results, { recursive: true, force: true })
  // Once more at the end: who reads the last lines alone sees what is red.
  for (const what of tally.red) say(`FAILED: ${what}`)
  say(`${tally.passed} passed, ${tally.failed} failed`)
  process.exit(tally.failed === 0 ? 0 : 1)
})

/**
 * @param {string} what
 * @param {readonly string[]} args
 */
async function runs(what, args) {
  say(`\n${what}`)
  const code = await new Promise((resolve) => {
    spawn('npx', [...args], { cwd: PROJECT, stdio: 'inherit' }).once('close', resolve)
  })
  if (code !== 0) say(`${what}: FAILED`)
  return code === 0
}

/**
 * One project of vitest; its own report says how many.
 * @param {string} project
 * @param {string} results
 * @param {Tally} tally
 */
async function suite(project, results, tally) {
  const file = join(results, `${project}.json`)
  const fine = await runs(`Tests: ${project}`, [
    'vitest',
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  if (!existsSync(file)) {
    tally.failed += 1
    tally.red.push(project)
    return
  }
  const report = JSON.parse(readFileSync(file, 'utf8'))
  tally.passed += report.numPassedTests
  // A file that could not even be loaded has no failed test in it, but the run has failed all the same.
  tally.failed += report.numFailedTests || (fine ? 0 : 1)
  if (!fine && report.numFailedTests === 0) tally.red.push(project)
  for (const { name, assertionResults } of report.testResults)
    for (const { status, fullName, failureMessages } of assertionResults)
      if (status === 'failed') tally.red.push(`${name}: ${fullName}\n${failureMessages.join('\n')}`)
}
