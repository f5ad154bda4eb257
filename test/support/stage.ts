import type { Browser } from 'playwright-core'
import { afterAll, beforeAll } from 'vitest'
import { openBrowser } from './browser'
import { serve } from './serve'
import type { Served } from './server'

/**
 * A server on fresh sample data and a browser, up for all tests of one file.
 * @param more what the server's environment holds besides
 */
export function stage(more: Readonly<Record<string, string>> = {}): {
  readonly url: string
  readonly browser: Browser
} {
  let served: Served
  let browser: Browser
  beforeAll(async () => {
    ;[served, browser] = await Promise.all([serve(undefined, more), openBrowser()])
  })
  afterAll(async () => {
    await browser.close()
    await served.stop()
  })
  return {
    get url() {
      return served.url
    },
    get browser() {
      return browser
    },
  }
}
