import { join } from 'node:path'
import type { Browser, Page } from 'playwright-core'
import { build, type Rollup } from 'vite'
import { PROJECT } from '../scripts/setup/paths.mjs'
import { percentile, round } from './statistics'
import type { timeUnion } from './union'

/** The core with what times it, bundled as a page gets it. */
async function bundledCore(): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      minify: true,
      lib: {
        entry: join(PROJECT, 'bench/inBrowser.ts'),
        formats: ['iife'],
        name: 'bench',
        fileName: 'bench',
      },
    },
  })
  const [chunk] = (Array.isArray(built) ? built : [built as Rollup.RollupOutput]).flatMap(
    ({ output }) => output,
  )
  if (chunk?.type !== 'chunk') throw new Error('the bench bundle is empty')
  return chunk.code
}

/** What is timed in a page of its own, where nothing of the core has run before. */
async function inFreshPage<T>(chrome: Browser, code: string, time: (page: Page) => Promise<T>): Promise<T> {
  const page = await chrome.newPage()
  try {
    await page.evaluate(`${code}; globalThis.bench = bench`)
    return await time(page)
  } finally {
    await page.close()
  }
}

export async function replanInBrowser(chrome: Browser) {
  return inFreshPage(chrome, await bundledCore(), async (page) => {
    const timed = async (call: string) => {
      const times = await page.evaluate<readonly number[]>(`bench.${call}`)
      return { p50: round(percentile(times, 0.5)), p99: round(percentile(times, 0.99)), runs: times.length }
    }
    return {
      areas: 40,
      products: 6,
      ...(await timed('timeReplans()')),
      withChecksOf5000Applications: await timed(`timeRules('without')`),
      theSameWithWorking: await timed(`timeRules('with working')`),
    }
  })
}

const FRESH_PAGES = 5

/** Outlines are joined away from the page's thread, in the browser: a first time in each of several pages. */
export async function unionInBrowser(chrome: Browser) {
  const code = await bundledCore()
  const runs: ReturnType<typeof timeUnion>[] = []
  for (let i = 0; i < FRESH_PAGES; i++)
    runs.push(
      await inFreshPage(chrome, code, (page) =>
        page.evaluate<ReturnType<typeof timeUnion>>('bench.timeUnion()'),
      ),
    )
  const spread = (of: (run: ReturnType<typeof timeUnion>) => number) => ({
    best: Math.min(...runs.map(of)),
    worst: Math.max(...runs.map(of)),
  })
  return {
    exclusions: 500,
    corners: 200,
    first: spread((run) => run.firstMs),
    warm: spread((run) => run.warmMs),
  }
}
