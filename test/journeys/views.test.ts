import { expect, test } from 'vitest'
import {
  SAMPLE_AREAS,
  SAMPLE_BENCH_TESTS,
  SAMPLE_CALIBRATION,
  SAMPLE_EQUIPMENT,
  SAMPLE_JOBS,
  SAMPLE_PRODUCTS,
  SAMPLE_SITES,
} from '../../demo/sampleLinks'
import { expectAccessible, expectContrast, expectQuiet, watchedPage } from '../support/browser'
import { stage } from '../support/stage'

const on = stage()

const VIEWS = [
  '/today',
  '/jobs',
  '/sites',
  '/equipment',
  '/products',
  '/records',
  '/rules',
  '/settings/house',
  '/settings/local',
  '/you',
  '/days/2026-05-07',
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
]
const OTHER_THEMES = ['dusk', 'sun'] as const

test.each([
  ['laptop', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }],
])(
  'every main view on a %s, in three themes: nothing by axe, nothing wider than the screen',
  async (_, size) => {
    const watched = await watchedPage(on.browser, size)
    const { page } = watched
    // Colours that are still on their way are nobody's.
    await page.emulateMedia({ reducedMotion: 'reduce' })
    for (const path of VIEWS) {
      await page.goto(on.url + path, { waitUntil: 'networkidle' })
      await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
      await expectAccessible(page)
      for (const theme of OTHER_THEMES) {
        await page.evaluate((name) => {
          document.documentElement.classList.remove('paper', 'dusk', 'sun')
          document.documentElement.classList.add(name)
        }, theme)
        await expectContrast(page)
      }
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(over, `${path} is wider than its screen`).toBeLessThanOrEqual(0)
    }
    expectQuiet(watched)
  },
)

test('at twice the size nothing runs out of the screen', async () => {
  // 1280 x 800 at 200 % leaves half of each.
  const watched = await watchedPage(on.browser, { width: 640, height: 400 })
  const { page } = watched
  const wide: string[] = []
  for (const path of VIEWS) {
    await page.goto(on.url + path, { waitUntil: 'networkidle' })
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    if (over > 0) wide.push(`${path}: ${over} px`)
  }
  expect(wide).toEqual([])
  expectQuiet(watched)
})
