import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import {
  SAMPLE_AREAS,
  SAMPLE_BENCH_TESTS,
  SAMPLE_CALIBRATION,
  SAMPLE_EQUIPMENT,
  SAMPLE_JOBS,
  SAMPLE_PRODUCTS,
  SAMPLE_PROGRAM,
  SAMPLE_SITES,
} from '../../demo/sampleLinks'
import { SHORE_STATION } from '../../demo/sampleWeather'
import { expectAccessible, expectContrast, expectQuiet, watchedPage } from '../support/browser'
import { stage } from '../support/stage'

const on = stage()

const VIEWS = {
  places: [
    '/today',
    '/jobs',
    '/sites',
    '/equipment',
    '/products',
    '/records',
    '/records/use',
    '/records/earlier',
    '/settings/calendars',
    '/rules',
    '/settings/house',
    '/settings/local',
    '/you',
    '/days/2026-05-07',
  ],
  things: [
    `/sites/${SAMPLE_SITES.cooperage}`,
    `/sites/${SAMPLE_SITES.cooperage}/map`,
    `/sites/${SAMPLE_SITES.cooperage}/areas/${SAMPLE_AREAS.green}`,
    `/equipment/${SAMPLE_EQUIPMENT.push}`,
    `/equipment/${SAMPLE_EQUIPMENT.push}/tests/${SAMPLE_BENCH_TESTS.pattern}`,
    `/equipment/${SAMPLE_EQUIPMENT.push}/calibrations/${SAMPLE_CALIBRATION}`,
    `/products/${SAMPLE_PRODUCTS.fungicide}`,
    `/jobs/${SAMPLE_JOBS.stopped}`,
    `/jobs/${SAMPLE_JOBS.stopped}/load-sheet`,
    `/jobs/${SAMPLE_JOBS.running}/log`,
    `/jobs/${SAMPLE_JOBS.feed}/what-if`,
  ],
  lanes: [
    `/jobs/${SAMPLE_JOBS.replan}?link=walk`,
    `/jobs/${SAMPLE_JOBS.replan}/lanes`,
    `/jobs/${SAMPLE_JOBS.replan}/lane-sheet`,
    `/jobs/${SAMPLE_JOBS.replan}/coverage`,
    `/jobs/${SAMPLE_JOBS.replan}/stripes?spacing=22`,
  ],
  run: [
    ...['gate', 'mix-1', 'spray-1', 'cover-1', 'rest', 'rinse', 'notice', 'record'].map(
      (step) => `/jobs/${SAMPLE_JOBS.running}/run?step=${step}`,
    ),
    `/jobs/${SAMPLE_JOBS.running}/notice`,
    '/kept',
  ],
  season: [
    `/season/${SAMPLE_AREAS.bowlsGreen}`,
    `/season/${SAMPLE_AREAS.green}`,
    '/season/board',
    '/season/week',
    '/season/programs',
    `/season/programs/${SAMPLE_PROGRAM}`,
    '/season/buying',
    '/season/stations',
    `/season/stations/${SHORE_STATION}`,
  ],
} as const
const OTHER_THEMES = ['dusk', 'sun'] as const

/** A page loaded once is looked at in each size: it follows its window, as it does under a turned phone. */
const SIZES = [
  { name: 'laptop', width: 1280, height: 800 },
  // 1280 x 800 at 200 % leaves half of each.
  { name: 'laptop at 200 %', width: 640, height: 400 },
  { name: 'phone', width: 390, height: 844 },
] as const

test.each(Object.entries(VIEWS))(
  '%s in three sizes and themes: nothing by axe, nothing wider than its screen',
  async (_, views) => {
    const watched = await watchedPage(on.browser, SIZES[0])
    const { page } = watched
    // Colours that are still on their way are nobody's.
    await page.emulateMedia({ reducedMotion: 'reduce' })
    const wide: string[] = []
    for (const path of views) {
      await page.setViewportSize(SIZES[0])
      await page.goto(on.url + path, { waitUntil: 'networkidle' })
      await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
      for (const { name, ...size } of SIZES) {
        await page.setViewportSize(size)
        await dressedIn(page, 'paper')
        // Charts follow their window a moment later.
        const fits = await page
          .waitForFunction(() => document.documentElement.scrollWidth <= innerWidth, undefined, {
            timeout: 2000,
          })
          .then(
            () => true,
            () => false,
          )
        if (!fits) wide.push(`${path} on a ${name}`)
        if (name === 'laptop at 200 %') continue
        await expectAccessible(page)
        for (const theme of OTHER_THEMES) {
          await dressedIn(page, theme)
          await expectContrast(page)
        }
      }
    }
    expect(wide).toEqual([])
    expectQuiet(watched)
  },
)

/** Puts the page into a theme and lets it draw. */
const dressedIn = (page: Page, theme: string): Promise<void> =>
  page.evaluate(async (name) => {
    document.documentElement.classList.remove('paper', 'dusk', 'sun')
    document.documentElement.classList.add(name)
    for (let frames = 0; frames < 2; frames++)
      await new Promise((resolve) => {
        requestAnimationFrame(resolve)
      })
  }, theme)
