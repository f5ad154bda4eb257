import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_JOBS } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, saved, watchedPage } from '../support/browser'
import { inUnits, openLink, logAtOnce } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()

const job = (id: string) => `${on.url}/jobs/${id}`

test('a stop is cleared in one press; figures follow in place, in any units', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(job(SAMPLE_JOBS.stopped))
  await page
    .getByText('is over the label’s highest rate')
    .or(page.getByText(/over the label's highest rate/))
    .waitFor()
  const foot = page.getByLabel('Totals')
  expect(await foot.innerText()).toContain('21.2')
  await expectAccessible(page)
  // Pressed with a stop in the way, the button says so, with the way out beside it.
  await page.getByRole('button', { name: /^(Plan this job|Start run)$/ }).click()
  const held = page.getByRole('alert', { name: /^Not (planned|started) yet$/ })
  await held.waitFor()
  await expectAccessible(page)
  await held.getByRole('button', { name: /Lower to the label’s highest/ }).click()
  await held.waitFor({ state: 'detached' })
  await expect.poll(() => foot.innerText()).toContain('18.24')
  expect(await page.getByText(/1 stop/).count()).toBe(0)
  await saved(page)

  await inUnits(page, '100 m²')
  await expect.poll(() => foot.innerText()).toContain('339')
  await openLink(page, 'Rate')
  expect(await page.getByRole('textbox', { name: 'Rate' }).first().inputValue()).toBe('5')
  await inUnits(page, '1,000 ft²')

  await foot.getByRole('button', { name: /Chelated iron/ }).click()
  await page.getByText('together = 18.2425 fl oz').waitFor()
  await expectAccessible(page)
  await page.keyboard.press('Escape')
  await page.keyboard.press('w')
  await page.getByText('net area 2548.5 ft2 = 236.763 m2').waitFor()
  await page.keyboard.press('Escape')
  await page.reload()
  await expect.poll(() => page.getByLabel('Totals').innerText()).toContain('18.24')
  expectQuiet(watched)
})

test('what is typed wrong is told at its field and kept through a reload; nothing is guessed', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(job(SAMPLE_JOBS.replan))
  await openLink(page, 'Rate')
  const rate = page.getByRole('textbox', { name: 'Rate' })
  await rate.fill('2,5')
  await rate.blur()
  await page
    .getByText(/could be read two ways/)
    .first()
    .waitFor()
  await openLink(page, 'Load')
  await page.getByText('What to measure stands here').waitFor()
  await saved(page)
  await openLink(page, 'Rate')
  await page.reload()
  await expect.poll(() => page.getByRole('textbox', { name: 'Rate' }).inputValue()).toBe('2,5')
  await page.getByRole('textbox', { name: 'Rate' }).fill('300')
  await page.getByRole('textbox', { name: 'Rate' }).blur()
  await page
    .getByText(/no label gives such a rate/)
    .first()
    .waitFor()
  await page.getByRole('textbox', { name: 'Rate' }).fill('113 lb/ac')
  await page.getByRole('textbox', { name: 'Rate' }).blur()
  await expect.poll(() => page.getByLabel('Totals').innerText()).toContain('35.2')
  expectQuiet(watched)
})

test('a second tab’s change is shown with both versions, and the choice is the user’s', async () => {
  const watched = await watchedPage(on.browser)
  const { page, context } = watched
  const second = await context.newPage()
  await Promise.all([page.goto(job(SAMPLE_JOBS.feed)), second.goto(job(SAMPLE_JOBS.feed))])
  const purpose = (tab: Page) => tab.getByRole('textbox', { name: 'Purpose' })
  await purpose(second).fill('feed, second tab')
  await saved(second)
  await purpose(page).fill('feed, first tab')
  const bar = page.getByRole('alert', { name: 'Changed elsewhere' })
  await bar.waitFor()
  expect(await bar.innerText()).toMatch(/feed, first tab[\s\S]*feed, second tab/)
  await bar.getByRole('button', { name: 'Keep mine' }).click()
  await saved(page)
  await second.reload()
  await expect.poll(() => purpose(second).inputValue()).toBe('feed, first tab')
  expectQuiet(watched)
})

test('the server away: what is typed stays on the device and is sent when it is back', async () => {
  const watched = await watchedPage(on.browser)
  const { page, context } = watched
  await page.goto(job(SAMPLE_JOBS.feed))
  await page.getByRole('textbox', { name: 'Purpose' }).waitFor()
  await context.setOffline(true)
  await page.getByRole('textbox', { name: 'Purpose' }).fill('typed without a network')
  await page.getByText(/kept on this device/).waitFor()
  await context.setOffline(false)
  await saved(page)
  // A ledger that can't be read is told, not passed over.
  await page.route('**/ledger', (route) => route.abort())
  await page.reload()
  await page.getByText(/What lies on these lawns could not be read/).waitFor()
  expect(await page.getByText('Inside every limit that has been entered.').count()).toBe(0)
  expect(watched.left).toEqual([])
})

test('phone: the running job is logged, put on record and corrected', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  await page.goto(job(SAMPLE_JOBS.running))
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Carry on with it' }).tap()
  await logAtOnce(page)
  await page.getByLabel('Spray left in tank, hose and boom', { exact: true }).fill('2.1')
  await page
    .getByText(/^acceptable: .+ % (under|over) plan$/)
    .first()
    .waitFor()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Put it on record' }).tap()
  await page.getByText('Application record, Tamsin Point Grounds').waitFor()
  await page.getByRole('button', { name: 'Correct' }).tap()
  await page.getByLabel('What is right', { exact: true }).fill('0.4')
  await page.getByLabel('Why', { exact: true }).fill('read the far mark')
  await page.getByRole('button', { name: 'Add the correction' }).tap()
  await page.getByText('read the far mark').waitFor()
  await page.getByText('2.1 gal').waitFor()
  await expectAccessible(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true)
  expectQuiet(watched)
})
