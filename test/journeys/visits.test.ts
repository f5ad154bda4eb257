import { readFileSync } from 'node:fs'
import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_JOBS, SAMPLE_SITES } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { fromMenu, openLink, pick, logAtOnce } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()
const field = (page: Page, name: string) => page.getByLabel(name, { exact: true }).first()
const press = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click()
const saved = (page: Page) =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: 10_000 })
const totals = (page: Page) => page.getByLabel('Totals').innerText()

test(
  'a tank mix of three on four lawns, a stop cleared: loads that end with the lawns, an own rate, a ' +
    'check plot',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/sites/${SAMPLE_SITES.cooperage}`)
    await press(page, 'New job here')
    await openLink(page, 'Rate')
    await field(page, 'Product 1').fill('Liquid 16-4-6')
    await openLink(page, 'Calibrate')
    await page.getByRole('combobox', { name: 'Sprayer', exact: true }).fill('26 gal tow boom')
    await openLink(page, 'Rate')
    for (const [i, name] of ['Chelated iron 6 %', 'Non-ionic surfactant'].entries()) {
      await press(page, 'Add a product to the tank')
      await field(page, `Product ${i + 2}`).fill(name)
    }
    // A fourth lawn, measured here.
    await openLink(page, 'Measure')
    await press(page, 'Add a lawn')
    await page.getByLabel('Name', { exact: true }).last().fill('Verge by the lane')
    await page.getByLabel('Length', { exact: true }).last().fill('80')
    await page.getByLabel('Width', { exact: true }).last().fill('12.5')
    await page.getByText('Verge by the lane').first().waitFor()
    await press(page, /done Verge/)

    // Over the label's 5 fl oz: stopped, and cleared by its own way out.
    await openLink(page, 'Rate')
    await page.locator('[data-path="products.1.rate"]').fill('5.8')
    const stop = page.getByText(/Chelated iron 6 % at 5\.8 fl oz\/1,000 ft² is over the label's highest rate/)
    await stop.waitFor()
    await press(page, /Lower to the label’s highest: 5 fl oz/)
    await stop.waitFor({ state: 'detached' })
    await page.getByText(/iron and phosphate can clump/).waitFor()
    const untried = page.getByText(/Never mixed here before/)
    await untried.waitFor()
    await press(page, 'Tried: all of them mix')
    await untried.waitFor({ state: 'detached' })

    // The verge takes less iron, and the green stays untreated to show what it did.
    await openLink(page, 'Measure')
    await press(page, /edit Verge/)
    await page.getByLabel('Chelated iron 6 % here, if other', { exact: true }).last().fill('3')
    await press(page, /done Verge/)
    await press(page, /edit Shared green/)
    await pick(page.getByLabel('Today it is').last(), 'a check plot, untreated')
    await page.getByText('Shared green · check plot').waitFor()
    await press(page, /done Shared green/)
    await openLink(page, 'Load')
    await page.getByText('Mixed apart, each at its own rate').waitFor()
    await pick(page.getByRole('combobox', { name: 'Loads', exact: true }), 'ending where lawns end')
    // Strips of 1,930 and 1,950 ft2 and the verge of 1,000: 3,880 x 5 + 1,000 x 3 = 22.4 fl oz of iron.
    await expect.poll(() => totals(page)).toMatch(/22\.4\s*fl oz/)
    await page.getByText('Front strips 1-3, Front strips 4-6', { exact: true }).first().waitFor()
    await openLink(page, 'Walk')
    await page.getByText('Turf and weather').waitFor()
    await press(page, 'edit turf, weather and water')
    await pick(page.getByLabel('The turf is'), 'dormant')
    await page.getByText(/lb N\/1,000 ft² on turf that is dormant/).waitFor()
    await pick(page.getByLabel('The turf is'), 'growing')
    await page.getByLabel('Soil, at 2 in', { exact: true }).fill('47')
    await page.getByText(/Liquid 16-4-6 is mostly urea: at 47 °F of soil it is slow, not lost/).waitFor()
    await expectAccessible(page)

    await press(page, 'Plan this job')
    await page.getByText(/Planned for/).waitFor()
    await press(page, 'Load sheet')
    await page.getByText('check plot: leave untreated').waitFor()
    expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page\b/g)?.length).toBe(1)
    await page.getByRole('link', { name: 'Back to the job' }).click()
    await press(page, 'Start run')
    await logAtOnce(page)
    await field(page, 'Spray left in tank, hose and boom').fill('0.8')
    await press(page, 'Put it on record')
    await page.getByText('Shared green, untreated').waitFor()
    await page.getByText(/Front strips 1-3, Front strips 4-6 at .*; Verge by the lane at/).waitFor()
    expectQuiet(watched)
  },
)

test(
  'a day: stops put in order, one mix for two sites, what was left drives on and is booked where it was ' +
    'used',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/today`)
    await page.goto(`${on.url}/days/2026-05-07`)
    const stops = page.getByRole('listitem').filter({ hasText: /planned|draft/ })
    await page.getByText('One mix for 2 sites').waitFor()
    await page
      .getByText(/Chelated iron 6 % at 5\.8 fl oz\/1,000 ft² is over the label's highest rate/)
      .waitFor()
    await page.getByText('short: buy 1 of 1 gal').waitFor()
    await page.getByRole('button', { name: /^Later.*Saltings/ }).focus()
    await page.keyboard.press('Enter')
    await expect.poll(() => stops.first().innerText()).toContain('Cooperage Row')
    await page.getByText(/arrives with 0 gal, makes load 1, takes 9\.11 gal, drives on with/).waitFor()
    await press(page, /Drives on from Cooperage Row 5\.26/)
    await page.getByText(/^drives on with = 5\.262\d+ gal$/).waitFor()
    await page.keyboard.press('Escape')
    await expectAccessible(page)
    await press(page, 'Mix them apart')
    await page
      .getByText('Cooperage Row and St Brannock’s School are sprayed alike: one mix would do.')
      .waitFor()
    await press(page, 'Mix them as one')
    await page.getByText('One mix for 2 sites').waitFor()
    await page.reload()
    await expect.poll(() => stops.first().innerText()).toContain('Cooperage Row')

    await page.getByRole('link', { name: 'Cooperage Row' }).first().click()
    // The job's own sheet shows the common load, by the same figures as the day.
    await page.getByText('One mix for 2 sites').waitFor()
    await page.getByText(/load 1 made here, 9\.11 gal put down, 5\.26 gal driven on/).waitFor()
    await press(page, 'Start run')
    await logAtOnce(page)
    // The whole load was made here; 9.11 gal were meant to go, a little more did.
    await expect
      .poll(() => field(page, 'Spray in the tank here, carried and made').inputValue())
      .toMatch(/^14\.3/)
    await field(page, 'Spray left, to drive on to St Brannock’s School').fill('5')
    await press(page, 'Put it on record')
    await page.getByText('Application record').waitFor()
    await page.goto(`${on.url}/days/2026-05-07`)
    await page.getByRole('link', { name: 'St Brannock’s School' }).first().click()
    await press(page, 'Start run')
    await page.getByRole('heading', { name: 'Go or no-go' }).waitFor()
    const place = new URL(page.url())
    for (const words of [
      'People and pets are off the lawn',
      'No bees',
      'Notices are up',
      'Machine checked',
      'Protective gear is on',
      'Label at hand',
    ])
      await page.getByRole('group', { name: words }).getByRole('radio', { name: 'yes' }).click()
    await page.locator('[data-path="wind"]').fill('4')
    await press(page, /^Go/)
    // What the first site really left, not what the plan said.
    await page.getByRole('heading', { name: 'What is in the tank?' }).waitFor()
    await page.getByText('Cooperage Row left').waitFor()
    await page.getByRole('button', { name: /^Load 1 0\.262/ }).waitFor()
    await expectAccessible(page)
    await field(page, 'In the tank, if it is another figure').fill('5.1')
    await page.getByText(/A little less than its lawns take/).waitFor()
    // Half of it leaked on the road: the strength of the day stays, a load is made here.
    await field(page, 'In the tank, if it is another figure').fill('2.5')
    await page.getByText(/it is put right for what is there/).waitFor()
    await press(page, 'Take it')
    await page.getByRole('heading', { name: 'Spray what came along' }).waitFor()
    await press(page, 'The tank is out')
    await press(page, 'On to the next load')
    await page.getByRole('heading', { name: 'Mix load 1' }).waitFor()
    await page
      .getByText(/^2\.76/)
      .first()
      .waitFor()
    await page.goto(place.href.replace('/run', '/log'))
    await expect.poll(() => field(page, 'Spray in the tank here, carried and made').inputValue()).toBe('5.26')
    expectQuiet(watched)
  },
)

test('what if: a variant stands beside the job with its differences marked, and is kept', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.feed}`)
  await page.getByText('Charge and passes').waitFor()
  await page.keyboard.press('v')
  await page.getByText('Nothing differs yet.').waitFor()
  await page.locator('[data-path="products.0.rate"]').fill('2.6')
  await page.getByText(/\d of \d+ figures differ\./).waitFor()
  await page.getByRole('row', { name: /Slow-feed 21-0-6 granule differs/ }).waitFor()
  // The variant's rate asks for another dial, and gets it by itself.
  await page.getByRole('row', { name: /^Dial/ }).filter({ hasText: '10.6' }).waitFor()
  await expectAccessible(page)
  await page.keyboard.press('Control+Enter')
  await page.waitForURL(`**/jobs/${SAMPLE_JOBS.feed}*`)
  await openLink(page, 'Rate')
  await expect.poll(() => page.locator('[data-path="products.0.rate"]').inputValue()).toBe('2.6')

  // Said as people say it: what is in the bag.
  await press(page, /edit label of Slow-feed/)
  await field(page, 'Or say the rate').fill('use up 15 lb')
  await page.getByText(/15 lb on .* is 3\.8\d+ lb/).waitFor()
  await press(page, 'Take it')
  await expect.poll(() => page.locator('[data-path="products.0.rate"]').inputValue()).toMatch(/^3\.8/)
  await field(page, 'Or say the rate').fill('enough N for 0.6 lb per 1,000 sq ft')
  await page.getByText('0.6 lb/1,000 ft² of nitrogen (N).').waitFor()
  await press(page, 'Take it')
  await expect.poll(() => field(page, 'The rate counts').innerText()).toContain('N')
  await saved(page)

  // Out as a file and in again, as another draft.
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    fromMenu(page, /More of this job/, 'JSON'),
  ])
  await page.goto(`${on.url}/jobs`)
  const take = page.getByLabel('Take in a job from a file')
  await take.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"job"'),
  })
  await page.getByText('The file is not whole JSON').waitFor()
  await take.setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: readFileSync(await file.path()),
  })
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}/)
  await openLink(page, 'Rate')
  await expect.poll(() => page.locator('[data-path="products.0.rate"]').inputValue()).toBe('0.6')
  expectQuiet(watched)
})

test('on a phone: each grass at its own line of the label, weighed apart', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.grasses}`)
  await page.getByText('Weighed and spread apart, each at its own rate').waitFor()
  // 2,550 ft2 at 3.4 and 1,100 at 2.4 lb, in steps of the bathroom scale.
  await expect
    .poll(() => page.getByRole('table', { name: 'Lawns with rates of their own' }).innerText())
    .toMatch(/Dial, Centipede side\s*10\.\d/)
  await openLink(page, 'Measure')
  await press(page, /edit Centipede/)
  await pick(page.getByLabel('Line of the label for Centipede side'), 'by the same line of the label')
  await openLink(page, 'Load')
  await page.getByText('Weighed and spread apart, each at its own rate').waitFor({ state: 'detached' })
  await openLink(page, 'Measure')
  await pick(page.getByLabel('Line of the label for Centipede side'), 'fine fescue, centipede: light')
  await openLink(page, 'Load')
  await page.getByText('Weighed and spread apart, each at its own rate').waitFor()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  // Nothing lies half under the head that stays.
  await page.evaluate(() => scrollTo(0, 0))
  await expectAccessible(page)
  // The dial has its working, and the load sheet fits the hand.
  await press(page, /Dial, Centipede side/)
  await page.getByText(/^setting 10\.\d+$/).waitFor()
  await page.keyboard.press('Escape')
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.grasses}/load-sheet`)
  await page.getByText('Weighed and spread apart').waitFor()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  // Weighed back apart: 14.2 lb less 3 are 11.2, of which 8.8 went on the fescue; the centipede got 2.4 of
  // 2.64.
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.grasses}`)
  await press(page, 'Start run')
  await logAtOnce(page)
  await expect.poll(() => field(page, 'Of it on Fescue front').inputValue()).toBe('8.6')
  await field(page, 'Left in the hopper').fill('3')
  await field(page, 'Of it on Fescue front').fill('11.2')
  await field(page, 'Of it on Fescue front').blur()
  await page.getByText(/nothing of it would be left for the other lawns/).waitFor()
  await field(page, 'Of it on Fescue front').fill('8.8')
  await page.getByRole('row', { name: /on Centipede side.*2\.40.*−9\.\d %.*acceptable/ }).waitFor()
  await press(page, /Actual rate, on Centipede side/)
  await page.getByText(/^the rest of 11\.2 lb: 2\.4 lb$/).waitFor()
  await page.keyboard.press('Escape')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  await expectAccessible(page)
  await press(page, 'Put it on record')
  await page.getByText('Application record').waitFor()
  await page.getByRole('row', { name: /on Fescue front.*8\.80/ }).waitFor()
  expectQuiet(watched)
})
