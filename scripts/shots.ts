import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { chromium, type Page } from 'playwright-core'
import { sampleId } from '../demo/typed'
import { ensureBuilt } from './setup/build.mjs'
import { openCluster } from './setup/cluster.mjs'
import { CHROMIUM, ensureChromium, ensurePostgres } from './setup/debian.mjs'
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

const job = (count: number) => `/jobs/${sampleId(count)}`
const SHOTS: readonly Shot[] = [
  { name: 'jobs', path: '/jobs' },
  { name: 'job-sheet-wet', path: job(3) },
  { name: 'job-sheet-dry', path: job(1) },
  { name: 'job-sheet-new', path: '/jobs', before: async (page) => { await page.keyboard.press('n'); await page.getByPlaceholder('Site or customer').waitFor() } },
  { name: 'job-sheet-dusk', path: job(2), theme: 'dusk' },
  { name: 'working', path: job(3), before: (page) => page.getByLabel('Totals').getByRole('button', { name: /Chelated iron/ }).click() },
  { name: 'load-sheet', path: `${job(3)}/load-sheet` },
  { name: 'log', path: `${job(2)}/log`, before: (page) => page.getByLabel('Spray left in tank, hose and boom', { exact: true }).fill('0.9') },
  { name: 'records', path: '/records' },
  { name: 'record', path: `/records/${sampleId(106)}` },
  { name: 'palette', path: '/jobs', before: async (page) => { await page.keyboard.press('Control+k'); await page.getByPlaceholder('Find or do anything').fill('salt') } },
  { name: 'job-sheet-phone', path: job(3), phone: 'phone', theme: 'sun' },
  { name: 'log-phone', path: `${job(2)}/log`, phone: 'phone', theme: 'sun', before: (page) => page.getByLabel('Spray left in tank, hose and boom', { exact: true }).fill('0.9') },
  { name: 'record-phone', path: `/records/${sampleId(105)}`, phone: 'phone' },
]

await ensurePostgres()
await ensureChromium()
await ensureBuilt()
const data = mkdtempSync(join(tmpdir(), 'hectarum-shots-'))
chmodSync(data, 0o711)
const cluster = await openCluster({ data, dataGiven: true })
const port = await freePort()
const server = spawn(process.execPath, [SERVER_ENTRY], { env: { ...process.env, DATABASE_URL: cluster.url, NITRO_PORT: String(port), NITRO_HOST: '127.0.0.1' }, stdio: 'ignore' })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
try {
  while (!(await fetch(`http://127.0.0.1:${port}/api/health`).then((answer) => answer.ok, () => false))) await wait(100)
  mkdirSync(join(PROJECT, 'docs/screenshots'), { recursive: true })
  for (const shot of SHOTS) await take(shot)
}
finally {
  await browser.close()
  server.kill('SIGTERM')
  await wait(500)
  await cluster.stop()
  rmSync(data, { recursive: true, force: true })
}

async function take({ name, path, theme = 'paper', phone, before }: Shot): Promise<void> {
  const context = await browser.newContext(phone ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : { viewport: { width: 1280, height: 800 } })
  await context.addInitScript((chosen) => localStorage.setItem('hectarum-theme', chosen), theme)
  const page = await context.newPage()
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle' })
  await before?.(page)
  await wait(700)
  await page.screenshot({ path: join(PROJECT, 'docs/screenshots', `${name}.png`) })
  await context.close()
  process.stdout.write(`${name}\n`)
}
