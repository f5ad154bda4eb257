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

/** Everything that must hold, with its own set-up; the last line counts it. */
await runMain(async () => {
  checkNode()
  await ensurePackages()
  await ensurePostgres()
  await ensureChromium()
  const results = mkdtempSync(join(tmpdir(), 'hectarum-results-'))
  const tally = { passed: 0, failed: 0 }
  const count = (/** @type {boolean} */ fine) => {
    tally[fine ? 'passed' : 'failed'] += 1
  }

  // With scripts ignored nothing has prepared Nuxt's types yet.
  count(await runs('Preparing types', ['nuxt', 'prepare']))
  count(await runs('Dependencies', ['node', 'scripts/dependencies.mjs']))
  count(await runs('Format', ['prettier', '--check', '.']))
  count(await runs('Lint', ['eslint', '.', '--max-warnings', '0']))
  count(await runs('Types', ['vue-tsc', '-b', '--noEmit']))
  count(
    await runs('Borders', [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      'core',
      'shared',
      'server',
      'app',
      'demo',
    ]),
  )
  await suite('unit', results, tally)
  await ensureBuilt()
  for (const project of ['api', 'journeys', 'start']) await suite(project, results, tally)

  rmSync(results, { recursive: true, force: true })
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
 * @param {{ passed: number, failed: number }} tally
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
    return
  }
  const report = JSON.parse(readFileSync(file, 'utf8'))
  tally.passed += report.numPassedTests
  // A file that could not even be loaded has no failed test in it, but the run has failed all the same.
  tally.failed += report.numFailedTests || (fine ? 0 : 1)
}
