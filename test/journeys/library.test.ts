import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_JOBS, SAMPLE_PRODUCTS, SAMPLE_SITES } from '../../demo/sampleLinks'
import { expectAccessible, expectContrast, expectQuiet, watchedPage } from '../support/browser'
import { changeCrew, fromMenu, openLink, openPart, pick, logAtOnce } from '../support/hands'
import { stage } from '../support/stage'
import { dressedIn } from '../support/views'

const on = stage()

const field = (page: Page, name: string) => page.getByLabel(name, { exact: true }).first()
const saved = (page: Page) =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: 10_000 })
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()

test('a new crew from nothing to its first record, through its library', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/today`)
  await changeCrew(page, 'Start an empty crew …')
  await field(page, 'Name of the crew').fill('Birch and Daughter')
  await press(page, 'Start')
  await page.getByText('From nothing to the first record').waitFor()
  await expectAccessible(page)

  await press(page, 'New site')
  await field(page, 'Name of the site').fill('Creek House')
  await saved(page)
  await press(page, 'Add an area')
  await field(page, 'Name of the area').fill('Front')
  await field(page, 'Length').fill('71')
  await field(page, 'Width').fill('38.5')
  await press(page, 'Take a shape away')
  await page.getByLabel('What it is', { exact: true }).first().fill('rose bed')
  await page.getByLabel('Length', { exact: true }).nth(1).fill('10')
  await page.getByLabel('Width', { exact: true }).nth(1).fill('8')
  // 71 x 38.5 - 10 x 8 = 2653.5 ft2
  await page.getByRole('button', { name: /^Net area 2,650/ }).waitFor()
  await saved(page)

  await page.goto(`${on.url}/equipment`)
  await press(page, 'Add a sprayer')
  await field(page, 'Name of the sprayer').fill('Backpack')
  await field(page, 'Tank holds').fill('3')
  await saved(page)
  await press(page, 'New calibration')
  await field(page, 'Course length').fill('40')
  await field(page, 'Sprayed width').fill('5.5')
  await field(page, 'Run 1: water used').fill('33 fl oz')
  await page.getByText('One run shows no spread').waitFor()
  await page.getByRole('button', { name: /One pass puts down 1\.172/ }).click()
  await page.getByText(/course 40 ft x 5\.5 ft/).waitFor()
  await page.keyboard.press('Escape')
  await saved(page)

  await page.goto(`${on.url}/products`)
  await press(page, 'New product')
  await field(page, 'Name of the product').fill('Iron of ours')
  await pick(field(page, 'Form'), 'solution')
  await field(page, 'Usual rate').fill('3.4 fl oz per 1,000 sq ft')
  await field(page, 'Highest').fill('5 fl oz/1000 ft2')
  await openPart(page, 'Timing')
  await field(page, 'at the latest').fill('4 weeks')
  await page.getByText('Nothing has been booked yet').waitFor()
  await field(page, 'Amount').fill('2.5 gal')
  await press(page, 'Book')
  await page.getByText('+2.5').waitFor()
  await saved(page)

  await page.goto(`${on.url}/sites`)
  await page.getByRole('link', { name: 'Creek House' }).click()
  await press(page, 'New job here')
  await openLink(page, 'Rate')
  await field(page, 'Product 1').fill('Iron of ours')
  // The only sprayer, its tank and its calibration come along: 3.4 x 2.6535 = 9.0219 fl oz
  await expect.poll(() => page.getByLabel('Totals').innerText()).toContain('9.02')
  await press(page, 'Plan this job')
  await press(page, 'Start run')
  await logAtOnce(page)
  await field(page, 'Spray left in tank, hose and boom').fill('4 fl oz')
  // The same log in a second tab, with another figure: one of the two is the record, the other is told.
  const second = await page.context().newPage()
  await second.goto(page.url())
  await field(second, 'Spray left in tank, hose and boom').fill('6 fl oz')
  await press(page, 'Put it on record')
  await page.getByText('Application record, Birch and Daughter').waitFor()
  await press(second, 'Put it on record')
  await second.getByText('This run went on record from another page while you typed.').waitFor()
  expect(await field(second, 'Spray left in tank, hose and boom').inputValue()).toBe('6')
  await expectAccessible(second)
  await second.getByRole('link', { name: 'See the record' }).click()
  await second.getByText('4 fl oz').first().waitFor()
  await second.close()
  // What was made and what came back is a calibration of the sprayer.
  await press(page, 'Keep as a calibration')
  await expect.poll(() => field(page, 'How it is measured').innerText()).toContain('measured back on a job')
  expect(await field(page, 'Notes').inputValue()).toContain('Measured back on a job')
  expect(await field(page, 'Ground treated').inputValue()).not.toBe('')

  await page.goto(`${on.url}/sites`)
  await page.getByRole('link', { name: 'Creek House' }).click()
  await page.getByText('Put down here').waitFor()
  await page.getByText('Iron of ours').waitFor()
  await page.goto(`${on.url}/today`)
  await page.getByText('No label interval is running out.').waitFor()
  expectQuiet(watched)
})

test('a label in two tabs: one field is asked, two fields merge, a reload loses nothing', async () => {
  const watched = await watchedPage(on.browser)
  const { page, context } = watched
  const second = await context.newPage()
  const address = `${on.url}/products/${SAMPLE_PRODUCTS.granule}`
  await Promise.all([page.goto(address), second.goto(address)])
  const rate = (tab: Page) => tab.getByLabel('Usual rate', { exact: true }).first()
  await Promise.all([openPart(page, 'Rate'), openPart(second, 'Rate')])
  await rate(second).fill('3.6')
  await saved(second)
  await rate(page).fill('3.1')
  const bar = page.getByRole('alert', { name: 'Changed elsewhere' })
  await bar.waitFor()
  expect(await bar.innerText()).toMatch(/lines 1, rate\s+3\.1 lb\/1000 ft2\s+3\.6 lb\/1000 ft2/)
  await expectAccessible(page)
  await bar.getByRole('button', { name: 'Take theirs' }).click()
  await expect.poll(() => rate(page).inputValue()).toBe('3.6')
  await page.reload()
  await openPart(page, 'Rate')
  await expect.poll(() => rate(page).inputValue()).toBe('3.6')
  // Different fields are no question: both stay, and it is said. An instant reload loses nothing.
  const name = (tab: Page) => tab.getByLabel('Name of the product')
  await name(second).fill('Slow-feed 21-0-6, coarse')
  await saved(second)
  await rate(page).fill('3.2')
  await page.getByText(/both changes are in/).waitFor()
  await expect.poll(() => name(page).inputValue()).toBe('Slow-feed 21-0-6, coarse')
  await saved(page)
  await name(page).fill('Slow-feed 21-0-6 granule')
  await page.reload()
  await expect.poll(() => name(page).inputValue()).toBe('Slow-feed 21-0-6 granule')
  await openPart(page, 'Rate')
  expect(await rate(page).inputValue()).toBe('3.2')
  await saved(page)
  // The planned job keeps the label it was planned with, and offers the replan.
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}`)
  await page.getByRole('button', { name: 'Replan with the new size' }).click()
  await expect.poll(() => page.getByRole('button', { name: 'Replan with the new size' }).count()).toBe(0)
  await saved(page)
  expectQuiet(watched)
})

test(
  'what is deleted comes back with one press; records are searched, and the question stands in the ' +
    'address',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/sites/${SAMPLE_SITES.saltings}`)
    await page.getByText('Put down here').waitFor()
    await fromMenu(page, /More of this/, 'Delete')
    await page.waitForURL(/\/sites$/)
    await page.getByText('The site is deleted.').waitFor()
    expect(await page.getByRole('link', { name: 'The Saltings' }).count()).toBe(0)
    // What brings it back is read in every theme.
    for (const theme of ['dusk', 'sun', 'paper']) {
      await dressedIn(page, theme)
      await expectContrast(page)
    }
    await press(page, 'Undo')
    await page.waitForURL(new RegExp(SAMPLE_SITES.saltings))
    await page.getByText('Fescue front').first().waitFor()

    await page.goto(`${on.url}/records`)
    await page.getByRole('searchbox').fill('iron salt')
    await page.waitForURL(/q=iron/)
    await expect.poll(() => page.getByRole('row').count()).toBe(5)
    await page.reload()
    await expect.poll(() => page.getByRole('row').count()).toBe(5)
    await page.getByLabel('To', { exact: true }).fill('30 May 2025')
    await page.getByLabel('To', { exact: true }).blur()
    await expect.poll(() => page.getByRole('row').count()).toBe(3)
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      fromMenu(page, /More with records/, 'As CSV'),
    ])
    expect(download.suggestedFilename()).toBe('records-2026-05-06.csv')

    await page.keyboard.press('Control+k')
    await page.getByPlaceholder('Find or do anything').fill('croquet')
    await page
      .getByRole('option', { name: /Croquet lawn/ })
      .first()
      .waitFor()
    await page.keyboard.press('Enter')
    await page.waitForURL(/\/areas\//)
    expectQuiet(watched)
  },
)

test('phone: the library fits the hand', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  for (const path of [
    '/today',
    `/sites/${SAMPLE_SITES.cooperage}`,
    `/products/${SAMPLE_PRODUCTS.fungicide}`,
    '/equipment',
    '/records',
  ]) {
    await page.goto(on.url + path)
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' })
    await page.waitForLoadState('networkidle')
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390)
  }
  await expectAccessible(page)
  expectQuiet(watched)
})
