import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core'
import { expect, onTestFailed } from 'vitest'
import { CHROMIUM, CHROMIUM_FLAGS } from '../../scripts/setup/debian.mjs'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

const LAUNCH = {
  executablePath: CHROMIUM,
  args: CHROMIUM_FLAGS,
}

export const openBrowser = (): Promise<Browser> => chromium.launch(LAUNCH)

/** A phone whose browser keeps what it keeps in a folder, however often it is killed. */
export const openPhone = (folder: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    ...LAUNCH,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  })

/** A page that notes every request leaving loopback and every error the page makes. */
export interface Watched {
  readonly page: Page
  readonly context: BrowserContext
  readonly left: string[]
  readonly errors: string[]
}

export async function watchedPage(
  browser: Browser,
  size: { width: number; height: number } = { width: 1280, height: 800 },
): Promise<Watched> {
  const phone = size.width < 500
  const context = await browser.newContext({
    viewport: size,
    // Colours and places that are still on their way are nobody's.
    reducedMotion: 'reduce',
    // What is kept for no network has a journey of its own; here every answer is the server's.
    serviceWorkers: 'block',
    ...(phone ? { hasTouch: true, isMobile: true } : {}),
  })
  const left: string[] = []
  const errors: string[] = []
  const watch = (page: Page) => {
    page.on('request', (request) => {
      if (!/^(http:\/\/127\.0\.0\.1:|data:|blob:)/.test(request.url())) left.push(request.url())
    })
    page.on('pageerror', (error) => errors.push(error.message))
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        errors.push(message.text())
    })
  }
  context.on('page', watch)
  const page = await context.newPage()
  // What stood there when a look went wrong elsewhere is all there is to go by.
  if (expect.getState().currentTestName !== undefined)
    onTestFailed(async () => {
      console.error(page.url(), await page.locator('body').innerText().catch(String))
    })
  return { page, context, left, errors }
}

/** Nothing serious by axe on the page as it stands. */
export const expectAccessible = (page: Page): Promise<void> =>
  expectNothingBy(page, ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])

/** What was asked of the page is on the screen. */
export const drawn = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    for (let frames = 0; frames < 2; frames++)
      await new Promise((resolve) => {
        requestAnimationFrame(resolve)
      })
  })

/** Words can be read on their ground: what another theme may change. */
export const expectContrast = (page: Page): Promise<void> => expectNothingBy(page, ['color-contrast'])

async function expectNothingBy(page: Page, rules: readonly string[]): Promise<void> {
  // Evaluated through the debugger, so that the page's own policy against inline scripts stays in force.
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(AXE)
  await drawn(page)
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = globalThis as unknown as {
      axe: {
        run: (
          root: Document,
          options: object,
        ) => Promise<{
          violations: { id: string; impact: string; nodes: { target: unknown; failureSummary?: string }[] }[]
        }>
      }
    }
    // What a pinned bar happens to cover at this scroll says nothing of a target's size: one scrolls past it.
    const pinned = [...document.querySelectorAll<HTMLElement>('footer, header')].filter(
      (bar) => getComputedStyle(bar).position === 'sticky',
    )
    for (const bar of pinned) bar.style.position = 'static'
    const { violations } = await axe.run(document, { runOnly })
    for (const bar of pinned) bar.style.position = ''
    return violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(
        ({ id, nodes }) =>
          `${id}: ${nodes
            .slice(0, 4)
            .map(({ target, failureSummary }) => `${String(target)} ${failureSummary ?? ''}`)
            .join(' | ')}`,
      )
  }, rules)
  expect(found).toEqual([])
}

/** The whole journey stayed on this machine and the page made no error. */
export function expectQuiet({ left, errors }: Watched): void {
  expect(left).toEqual([])
  expect(errors).toEqual([])
}

/** Waits until the page says that what was typed is on the server. */
export const saved = (page: Page) =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: 10_000 })
