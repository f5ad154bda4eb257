import { keepFigures } from '../bench/figures'
import { openCrew } from '../bench/openCrew'
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, chmodSync, readFileSync, rmSync, statSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { gzipSync } from 'node:zlib'
import autocannon from 'autocannon'
import { chromium, type Browser } from 'playwright-core'
import { echoServer } from '../bench/echoServer'
import { percentile, round } from '../bench/statistics'
import { calibrationBench, doubtBench } from '../bench/calibration'
import { planInBrowser } from '../bench/ground'
import { replanInBrowser, unionInBrowser } from '../bench/corePage'
import { manyRows } from '../bench/library'
import { lanesBench } from '../bench/lanes'
import { seasonBench } from '../bench/season'
import { timeUnion } from '../bench/union'
import { largeDocument, largeRequest } from '../bench/workload'
import { SAMPLE_JOBS } from '../demo/sampleLinks'
import { planApplication } from '../core/plan/planApplication'
import { openWorkingBook } from '../core/working/working'
import { openCluster } from './setup/cluster.mjs'
import { ensureBuilt } from './setup/build.mjs'
import { mustRun } from './setup/command.mjs'
import { CHROMIUM, CHROMIUM_FLAGS, ensureChromium, ensurePostgres } from './setup/debian.mjs'
import { PROJECT } from './setup/paths.mjs'
import { freePort } from './setup/settings.mjs'

/** Measures what people wait for and writes docs/bench.json; nothing here is asserted. */
const say = (line: string) => process.stdout.write(`${line}\n`)
const CONTRACT_EXAMPLE = JSON.stringify(largeRequest(1, 1))

await ensurePostgres()
await ensureChromium()
await ensureBuilt()
const data = mkdtempSync(join(tmpdir(), 'hectarum-bench-'))
chmodSync(data, 0o711)
const port = await freePort()
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: CHROMIUM_FLAGS,
})
try {
  const firstStartSeconds = await startSeconds()
  const warmStartSeconds = await startSeconds('keep')
  const results = {
    measuredOn: { cores: cpus().length, cpu: cpus()[0]?.model, node: process.version },
    plansPerSecond: plansPerSecond(),
    replanInBrowserMs: await replanInBrowser(browser),
    keystrokeToFiguresMs: await keystrokes(browser),
    planRouteAgainstEcho: await planRoute(),
    calibration: calibrationBench(),
    doubtHeldTheTruth: doubtBench(),
    seasons: seasonBench(),
    lanes: lanesBench(),
    unionOfExclusions: { inBrowser: await unionInBrowser(browser), onServer: timeUnion() },
    plan: await planInBrowser(browser, `http://127.0.0.1:${port}`),
    firstLoadJavaScriptKb: await firstLoad(browser),
    firstStartSeconds,
    warmStartSeconds,
    manyRows: await manyRows(await databaseUrl(), `http://127.0.0.1:${port}`),
  }
  keepFigures(results)
  say(JSON.stringify(results, null, 2))
} finally {
  await browser.close()
  await stop()
  rmSync(data, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 })
}

function plansPerSecond() {
  const rate = (areas: number, products: number, book: 'with' | 'without') => {
    const request = largeRequest(areas, products)
    const run = () => planApplication(request, book === 'with' ? openWorkingBook() : undefined)
    for (let i = 0; i < 500; i++) run()
    const begun = performance.now()
    let count = 0
    while (performance.now() - begun < 2000) {
      for (let i = 0; i < 20; i++) run()
      count += 20
    }
    return Math.round(count / ((performance.now() - begun) / 1000))
  }
  return {
    oneAreaOneProduct: { withoutWorking: rate(1, 1, 'without'), withWorking: rate(1, 1, 'with') },
    fortyAreasSixProducts: { withoutWorking: rate(40, 6, 'without'), withWorking: rate(40, 6, 'with') },
  }
}

/** In the real page: from a key in the rate field to the next frame with all figures in place. */
async function keystrokes(chrome: Browser) {
  const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } })
  const id = '019df000-0000-7000-8000-0000000000b1'
  const document = largeDocument(40, 6)
  const crew = await openCrew(`http://127.0.0.1:${port}`)
  const answer = await fetch(`${crew}/jobs/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      version: 0,
      site: 'Bench',
      purpose: '',
      plannedFor: '',
      state: 'draft',
      siteId: null,
      applications: [{ id: '019df000-0000-7000-8000-0000000000b2', document }],
    }),
  })
  if (!answer.ok) throw new Error(await answer.text())
  await page.goto(`http://127.0.0.1:${port}/jobs/${id}?link=rate`)
  const rate = page.getByRole('textbox', { name: 'Rate' }).first()
  await rate.waitFor()
  // Whoever types does so after the page has come: what it fetches for later lies by.
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.waitForLoadState('networkidle')
  const times = await rate.evaluate(async (element) => {
    const input = element as HTMLInputElement
    const took: number[] = []
    for (let i = 0; i < 900; i++) {
      await new Promise((resolve) => {
        requestAnimationFrame(resolve)
      })
      const begun = performance.now()
      input.value = (2 + (i % 200) / 100).toFixed(2)
      input.dispatchEvent(new Event('input', { bubbles: true }))
      await Promise.resolve()
      await new Promise((resolve) => {
        queueMicrotask(() => resolve(undefined))
      })
      void globalThis.document.body.offsetHeight
      if (i >= 300) took.push(performance.now() - begun)
    }
    return took
  })
  await page.close()
  return {
    areas: 40,
    products: 6,
    p50: round(percentile(times, 0.5)),
    p99: round(percentile(times, 0.99)),
    runs: times.length,
  }
}

async function planRoute() {
  const echoPort = await freePort()
  const echo = await echoServer(echoPort)
  const load = async (url: string, method: 'GET' | 'POST' = 'POST') => {
    const { requests, latency, non2xx } = await autocannon({
      url,
      method,
      ...(method === 'POST' && {
        body: CONTRACT_EXAMPLE,
        headers: { 'content-type': 'application/json' },
      }),
      connections: 10,
      duration: 5,
    })
    return { perSecond: Math.round(requests.average), p50: latency.p50, p99: latency.p99, refused: non2xx }
  }
  const bare = await load(`http://127.0.0.1:${echoPort}/`)
  // A list that never changes, from the same built server: what a request costs before anything is computed.
  const trivial = await load(`http://127.0.0.1:${port}/api/devices`, 'GET')
  const plan = await load(`http://127.0.0.1:${port}/api/plan`)
  echo.close()
  return {
    echo: bare,
    trivial,
    plan,
    share: round(plan.perSecond / bare.perSecond),
    shareOfTrivial: round(plan.perSecond / trivial.perSecond),
  }
}

/** Scripts together, gzipped as they are served. */
function kilobytes(scripts: ReadonlySet<string>, built: string): number {
  const bytes = [...scripts].map((name) => {
    const file = join(built, '.output/public/_nuxt', name)
    return existsSync(`${file}.gz`) ? statSync(`${file}.gz`).size : gzipSync(readFileSync(file)).length
  })
  return round(bytes.reduce((sum, size) => sum + size, 0) / 1000, 4)
}

/** The bare page of this stack, built and served as it is: what our own first load is held against. */
async function bareServer() {
  const folder = join(PROJECT, 'bench/bare')
  await mustRun('Building the bare page', 'npx', ['nuxt', 'build', folder], {
    cwd: PROJECT,
    env: { ...process.env, NODE_ENV: 'production' },
  })
  const at = await freePort()
  const child = spawn(process.execPath, [join(folder, '.output/server/index.mjs')], {
    env: { ...process.env, NITRO_PORT: String(at), NITRO_HOST: '127.0.0.1' },
    stdio: 'ignore',
  })
  const answers = () =>
    fetch(`http://127.0.0.1:${at}/`).then(
      (answer) => answer.ok,
      () => false,
    )
  while (!(await answers())) {
    await new Promise((resolve) => {
      setTimeout(resolve, 50)
    })
  }
  return { port: at, folder, stop: () => child.kill('SIGTERM') }
}

/** Every script that a few pages ask for on a first visit, gzipped as it is served. */
async function firstLoad(chrome: Browser) {
  const bare = await bareServer()
  const measure = async (path: string, at = port, built = PROJECT) => {
    const context = await chrome.newContext()
    const page = await context.newPage()
    const scripts = new Set<string>()
    page.on('response', (response) => {
      if (/\.js$/.test(new URL(response.url()).pathname))
        scripts.add(basename(new URL(response.url()).pathname))
    })
    await page.goto(`http://127.0.0.1:${at}${path}`, { waitUntil: 'networkidle' })
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
    await page.waitForLoadState('networkidle')
    await context.close()
    return kilobytes(scripts, built)
  }
  try {
    return {
      bare: await measure('/', bare.port, bare.folder),
      today: await measure('/today'),
      jobs: await measure('/jobs'),
      jobSheet: await measure(`/jobs/${SAMPLE_JOBS.running}`),
    }
  } finally {
    bare.stop()
  }
}

/** Seconds from `npm start`'s script to a healthy server; with `keep` it stays up for what comes next. */
async function startSeconds(keep?: 'keep'): Promise<number> {
  const begun = performance.now()
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: PROJECT,
    env: { ...process.env, PORT: String(port), HECTARUM_DATA: data, DATABASE_URL: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  child.stdout?.on('data', (chunk: Buffer) => {
    said = (said + chunk.toString()).slice(-4000)
  })
  while (
    !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ))
  ) {
    if (child.exitCode !== null) throw new Error(`the start ended: ${said}`)
    await new Promise((resolve) => {
      setTimeout(resolve, 20)
    })
  }
  const seconds = round((performance.now() - begun) / 1000)
  if (!keep) {
    child.kill('SIGTERM')
    await new Promise((resolve) => {
      child.once('exit', resolve)
    })
  }
  return seconds
}

/** The cluster that the start made still runs: opening it finds it. */
async function databaseUrl(): Promise<string> {
  return (await openCluster({ data, dataGiven: true })).url
}

async function stop() {
  const notes = join(data, 'running.json')
  if (!existsSync(notes)) return
  const { starter } = JSON.parse(readFileSync(notes, 'utf8')) as { starter: number }
  process.kill(starter, 'SIGTERM')
  for (let tries = 0; tries < 100 && existsSync(notes); tries++)
    await new Promise((resolve) => {
      setTimeout(resolve, 100)
    })
  await new Promise((resolve) => {
    setTimeout(resolve, 1500)
  })
}
