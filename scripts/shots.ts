import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { chromium, type Page } from 'playwright-core'
import {
  SAMPLE_AREAS,
  SAMPLE_RECORDS,
  SAMPLE_EQUIPMENT,
  SAMPLE_JOBS,
  SAMPLE_PRODUCTS,
  SAMPLE_SITES,
} from '../demo/sampleLinks'
import { ensureBuilt } from './setup/build.mjs'
import { openCluster } from './setup/cluster.mjs'
import { CHROMIUM, CHROMIUM_FLAGS, ensureChromium, ensurePostgres } from './setup/debian.mjs'
import { PROJECT, SERVER_ENTRY } from './setup/paths.mjs'
import { freePort } from './setup/settings.mjs'

/** Takes the pictures of docs/screenshots from the sample data, each main view once. */
interface Shot {
  readonly name: string
  readonly path: string
  readonly theme?: 'paper' | 'dusk' | 'sun'
  readonly phone?: 'phone'
  readonly before?: (page: Page) => Promise<unknown>
}

const job = (id: string) => `/jobs/${id}`
/** Too much wind, and somebody on the lawn. */
async function windy(page: Page): Promise<void> {
  await page.locator('[data-path="wind"]').fill('11.5')
  await page.getByRole('group', { name: 'People and pets' }).getByRole('radio', { name: 'no' }).tap()
  await page.locator('[data-path="air"]').scrollIntoViewIfNeeded()
}
/** Through the gate and the first lanes, to a rest that is more than it should be. */
async function toTheCheckpoint(page: Page): Promise<void> {
  const press = (name: string | RegExp) => page.getByRole('button', { name }).first().tap()
  await press('Start run')
  await page.getByRole('heading', { name: 'Go or no-go' }).waitFor()
  await press(/^Go/)
  await press('It is in the hopper')
  await press('I am at the checkpoint')
  await page.locator('[data-path="left"]').fill('13.6')
  await page.getByText('behind').first().waitFor()
}
/** A look at what it did, three weeks on. */
async function lookedAt(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Look at what it did' }).click()
  await page.getByLabel('In words').fill('even colour, no burn along the path')
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.getByText('even colour').waitFor()
}
const SHOTS: readonly Shot[] = [
  { name: 'today', path: '/today' },
  { name: 'season', path: `/season/${SAMPLE_AREAS.green}` },
  { name: 'season-board', path: '/season/board' },
  { name: 'site', path: `/sites/${SAMPLE_SITES.cooperage}` },
  {
    name: 'plan',
    path: `/sites/${SAMPLE_SITES.cemetery}/map?tool=samples`,
    before: (page) => page.getByRole('button', { name: 'Place them' }).click(),
  },
  {
    name: 'machine',
    path: `/equipment/${SAMPLE_EQUIPMENT.push}`,
    before: (page) => page.getByLabel('Rate, all passes', { exact: true }).fill('3.4'),
  },
  { name: 'product', path: `/products/${SAMPLE_PRODUCTS.fungicide}` },
  { name: 'job-sheet-wet', path: job(SAMPLE_JOBS.stopped) },
  {
    name: 'lanes',
    path: `${job(SAMPLE_JOBS.replan)}?link=walk`,
    before: (page) =>
      page
        .getByText(/^Direction /)
        .first()
        .waitFor(),
  },
  {
    name: 'coverage',
    path: `${job(SAMPLE_JOBS.replan)}/coverage`,
    before: (page) => page.getByText(/^Better [AB]/).waitFor(),
  },
  { name: 'load-sheet', path: `${job(SAMPLE_JOBS.stopped)}/load-sheet` },
  { name: 'record', path: `/records/${SAMPLE_RECORDS.dry}`, before: lookedAt },
  { name: 'records', path: '/records' },
  {
    name: 'what-if',
    path: `${job(SAMPLE_JOBS.feed)}/what-if`,
    theme: 'dusk',
    before: (page) => page.locator('[data-path="products.0.rate"]').fill('2.6'),
  },
  { name: 'day', path: '/days/2026-05-07' },
  { name: 'job-sheet-phone', path: job(SAMPLE_JOBS.stopped), phone: 'phone', theme: 'sun' },
  { name: 'run-gate', path: `${job(SAMPLE_JOBS.running)}/run`, phone: 'phone', before: windy },
  { name: 'run-load', path: `${job(SAMPLE_JOBS.mixing)}/run`, phone: 'phone' },
  // The last: it begins a run of the sample.
  { name: 'run-check', path: job(SAMPLE_JOBS.feed), phone: 'phone', theme: 'sun', before: toTheCheckpoint },
]

await ensurePostgres()
await ensureChromium()
await ensureBuilt()
const data = mkdtempSync(join(tmpdir(), 'hectarum-shots-'))
chmodSync(data, 0o711)
const cluster = await openCluster({ data, dataGiven: true })
const port = await freePort()
const server = spawn(process.execPath, [SERVER_ENTRY], {
  env: { ...process.env, DATABASE_URL: cluster.url, NITRO_PORT: String(port), NITRO_HOST: '127.0.0.1' },
  stdio: 'ignore',
})
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: CHROMIUM_FLAGS,
})
try {
  while (
    !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ))
  )
    await wait(100)
  mkdirSync(join(PROJECT, 'docs/screenshots'), { recursive: true })
  // Those that are named, else all: npm run shots today season
  const wanted = process.argv.slice(2)
  for (const shot of SHOTS) if (wanted.length === 0 || wanted.includes(shot.name)) await take(shot)
} finally {
  await browser.close()
  server.kill('SIGTERM')
  await wait(500)
  await cluster.stop()
  rmSync(data, { recursive: true, force: true })
}

async function take({ name, path, theme = 'paper', phone, before }: Shot): Promise<void> {
  const context = await browser.newContext(
    phone
      ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block' }
      : { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' },
  )
  await context.addInitScript((chosen) => localStorage.setItem('hectarum-theme', chosen), theme)
  const page = await context.newPage()
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle' })
  // A slow machine is waited for: a blank page is no picture.
  await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
  await before?.(page)
  await wait(700)
  await page.screenshot({ path: join(PROJECT, 'docs/screenshots', `${name}.png`) })
  await context.close()
  process.stdout.write(`${name}\n`)
}
