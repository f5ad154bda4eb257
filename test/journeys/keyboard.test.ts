import { expect, test } from 'vitest'
import { expectQuiet, watchedPage } from '../support/browser'
import { stage } from '../support/stage'

const on = stage()

/** From an empty crew to a record with nothing but the keyboard: no click, no fill, no focus, no script. */
test('empty crew to first record, by keyboard alone', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  const { keyboard } = page
  const sees = (text: string | RegExp) =>
    page
      .getByText(text, { exact: typeof text === 'string' })
      .first()
      .waitFor({ timeout: 10_000 })
  let fields = 0
  /** Types into the field the sheet put the cursor in; Enter goes on to the next one missing. */
  const typeIn = async (text: string) => {
    fields++
    await keyboard.type(text)
    const left = await page.evaluateHandle(() => document.activeElement)
    await keyboard.press('Enter')
    await page.waitForFunction((before) => document.activeElement !== before, left)
  }

  await page.goto(`${on.url}/jobs`)
  await sees('Cooperage Row')
  await keyboard.press('Control+k')
  await page.getByPlaceholder('Find or do anything').waitFor()
  await keyboard.type('Start an empty')
  await page.getByRole('option', { name: /Start an empty/ }).waitFor()
  await keyboard.press('Enter')
  await page.getByLabel('Name of the crew').waitFor()
  await keyboard.type('Birch and Daughter')
  await keyboard.press('Enter')
  await sees('From nothing to the first record')
  await keyboard.press('n')
  await page.locator('[placeholder="Site or customer"]:focus').waitFor()

  await typeIn('The Saltings')
  await typeIn(`71'6"`)
  await typeIn('38.5')
  await typeIn('40')
  await typeIn('5.5')
  await typeIn('33 fl oz')
  await typeIn('3.4')
  await typeIn('3')
  expect(fields).toBeLessThanOrEqual(12)
  await sees('Full load')
  await sees('nothing in the way')
  await page.locator('[data-main-action]:focus').waitFor()
  await keyboard.press('Enter')
  await sees(/Planned for/)

  await keyboard.press('l')
  await page.waitForURL(/load-sheet/)
  await sees('Water to start, then agitate')
  await keyboard.press('Escape')
  await page.waitForURL(/jobs\/[0-9a-f-]{36}/)
  await page.getByRole('button', { name: 'Start run' }).waitFor()
  await keyboard.press('Control+Enter')
  await page.waitForURL(/run\?a=1$/)
  await sees('Go or no-go')
  await keyboard.press('l')
  await page.waitForURL(/log\?a=1$/)
  const left = page.getByLabel('Spray left in tank, hose and boom', { exact: true })
  await left.and(page.locator(':focus')).waitFor()
  await keyboard.type('4 fl oz')
  await keyboard.press('Tab')
  await sees(/^good: .+ % (under|over) plan$/)
  await keyboard.press('Control+Enter')
  await page.waitForURL(/records\//)
  await sees('Application record, Birch and Daughter')
  await sees(/^good: .+ % (under|over) plan$/)
  expectQuiet(watched)
})
