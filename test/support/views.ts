import type { Browser, Page } from 'playwright-core'
import { beforeAll, expect, test } from 'vitest'
import { drawn, expectAccessible, expectContrast, expectQuiet, watchedPage, type Watched } from './browser'

/** A page loaded once is looked at in each size: it follows its window, as it does under a turned phone. */
const LAPTOP = { width: 1280, height: 800 }
/** 1280 x 800 at 200 % leaves half of each. */
const MAGNIFIED = { width: 640, height: 400 }
const PHONE = { width: 390, height: 844 }

/**
 * Looks at views of the sample in turn, in one page: whole by axe on a laptop and on a phone, words
 * legible in all three themes, nothing wider than its screen, no error and nothing fetched from elsewhere.
 */
export function lookAtViews(on: { url: string; browser: Browser }, views: readonly string[]) {
  let watched: Watched
  beforeAll(async () => {
    watched = await watchedPage(on.browser, LAPTOP)
  })
  test.for(views)('%s in three sizes and themes', async (path) => {
    const { page } = watched
    const wide: string[] = []
    const fits = async (size: { width: number; height: number }) => {
      await page.setViewportSize(size)
      if (!(await isWithinScreen(page))) wide.push(`${size.width} x ${size.height}`)
    }
    await page.setViewportSize(LAPTOP)
    await page.goto(on.url + path, { waitUntil: 'networkidle' })
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
    await dressedIn(page, 'paper')
    await fits(LAPTOP)
    await expectAccessible(page)
    for (const theme of ['dusk', 'sun']) {
      await dressedIn(page, theme)
      await expectContrast(page)
    }
    await fits(MAGNIFIED)
    await fits(PHONE)
    await expectAccessible(page)
    expect(wide).toEqual([])
    expectQuiet(watched)
  })
}

/** Charts follow their window a moment later. */
const isWithinScreen = (page: Page): Promise<boolean> =>
  page
    .waitForFunction(() => document.documentElement.scrollWidth <= innerWidth, undefined, { timeout: 2000 })
    .then(
      () => true,
      () => false,
    )

/** Puts the page into a theme and lets it draw. */
export async function dressedIn(page: Page, theme: string): Promise<void> {
  await page.evaluate((name) => {
    document.documentElement.classList.remove('paper', 'dusk', 'sun')
    document.documentElement.classList.add(name)
  }, theme)
  await drawn(page)
}
