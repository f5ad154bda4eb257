import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_EQUIPMENT, SAMPLE_SITES } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()
const rowsOf = (page: Page, text: string) => page.getByRole('row').filter({ hasText: text })
const stops = (page: Page) => page.getByRole('listitem').filter({ hasText: 'Iron on' }).allInnerTexts()

test('several jobs move to another day at once, and back; a running one stays', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs`)
  await press(page, 'Choose')
  for (const name of ['Cooperage Row, 7 May 2026', 'Tamsin Point Bowls Club, 6 May 2026'])
    await page.getByRole('checkbox', { name }).click()
  await page.getByText('2 chosen').waitFor()
  await expectAccessible(page)
  await page.getByLabel('Move to', { exact: true }).fill('9 May 2026')
  await page.keyboard.press('Tab')
  await press(page, 'Move')
  await page.getByText('One job moved to 9 May 2026.').waitFor()
  await page.getByText(/Bowls Club: This job has been started: its plan is frozen/).waitFor()
  await rowsOf(page, '9 May 2026').getByText('Iron on the green').waitFor()
  await press(page, 'Undo')
  await rowsOf(page, '9 May 2026').waitFor({ state: 'detached' })

  await page.goto(`${on.url}/records`)
  await press(page, 'Choose')
  await page.getByRole('checkbox').nth(1).click()
  const link = await page
    .getByRole('group', { name: 'With the records chosen' })
    .getByRole('link', { name: 'JSON' })
    .getAttribute('href')
  const file = (await (await page.request.get(`${on.url}${link}`)).json()) as unknown[]
  expect(file).toHaveLength(1)
  expectQuiet(watched)
})

test('stops are dragged into another order and back by a press; one person’s day stands alone', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/days/2026-05-07`)
  await page.getByText('Iron on the green').waitFor()
  const before = await stops(page)
  const grips = page.locator('.grip')
  const [from, to] = [await grips.nth(1).boundingBox(), await grips.nth(2).boundingBox()]
  if (!from || !to) throw new Error('no grips to drag')
  await page.mouse.move(from.x + 8, from.y + 8)
  await page.locator('[data-ordered-by="hand"]').first().waitFor()
  await page.mouse.down()
  await page.mouse.move(to.x + 8, to.y + 20, { steps: 8 })
  await page.mouse.up()
  await page.getByText('is stop 3 now.').waitFor()
  expect(await stops(page)).not.toEqual(before)
  await press(page, 'Undo')
  await expect.poll(() => stops(page)).toEqual(before)

  await pick(page.getByRole('combobox', { name: 'Whose jobs', exact: true }), 'J. Lindqvist')
  await page.getByText('The Saltings').waitFor({ state: 'detached' })
  await expect.poll(async () => (await stops(page)).length).toBe(2)
  await page.goto(`${on.url}/today`)
  await page.getByRole('radio', { name: 'J. Lindqvist', checked: true }).waitFor()
  expect(await page.getByText('Spring feed, front strips').count()).toBe(0)
  expectQuiet(watched)
})

test('on the plan an area turns by a typed angle, or its shapes alone; the others stay', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/sites/${SAMPLE_SITES.saltings}/map`)
  const tools = page.getByRole('complementary', { name: 'Tools of the plan' })
  await tools.getByRole('button', { name: 'Centipede side' }).click()
  const angle = tools.getByLabel('Turned clockwise by')
  await angle.fill('north')
  await press(page, 'Turn')
  await page.getByText('An angle is a figure such as 12.5').waitFor()
  await angle.fill('30')
  await press(page, 'Turn')
  await page.getByRole('status').getByText('Saved', { exact: true }).waitFor()
  await page.reload()
  await tools.getByRole('button', { name: 'Centipede side' }).click()
  await expect.poll(() => angle.inputValue()).toBe('30')
  // The other area was not turned with it; a step of it is undone.
  await tools.getByRole('button', { name: 'Fescue front' }).click()
  await expect.poll(() => angle.inputValue()).toBe('0')
  await page.getByLabel('Move its shapes one by one').check()
  await press(page, 'right 15°')
  await expect.poll(() => angle.inputValue()).toBe('15')
  await press(page, 'Undo')
  await expect.poll(() => angle.inputValue()).toBe('0')
  expectQuiet(watched)
})

test('what is drawn has its figures behind it; a page left open over an upgrade says so', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/sites/${SAMPLE_SITES.cooperage}`)
  await press(page, 'As a table')
  await rowsOf(page, 'Shared green')
    .getByText(/what it wants/)
    .waitFor()
  await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.tow}`)
  await page.getByRole('img', { name: /How far each product of the last jobs/ }).waitFor()
  await press(page, 'As a table')
  await page.getByRole('table', { name: /How far each product/ }).waitFor()
  await expectAccessible(page)

  await page.route('**/api/health', (route) => route.fulfill({ json: { status: 'ok', version: '99.0.0' } }))
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')))
  await page.getByText('This tool was upgraded to 99.0.0.').waitFor()
  expectQuiet(watched)
})
