import { readFileSync } from 'node:fs'
import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_EQUIPMENT, SAMPLE_JOBS, SAMPLE_RECORDS } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, saved, watchedPage } from '../support/browser'
import { openLink, pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()
const field = (page: Page, name: string) => page.getByLabel(name, { exact: true }).first()
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()
async function typeList(page: Page, first: RegExp, figures: readonly string[]) {
  await page.getByLabel(first).click()
  for (const [i, figure] of figures.entries()) {
    await page.keyboard.type(figure)
    if (i < figures.length - 1) await page.keyboard.press('Enter')
  }
}

test('a job whose rate the calibrated setting does not give takes its dial from the curve', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}`)
  // 1.2 lb a pass lies between 10 (1.117) and 12 (1.705): the sheet answers the dial by itself.
  const dialed = page.getByRole('paragraph').filter({ hasText: /Each pass.*dial at 10\.\d/ })
  const told = /dial at (10\.\d)/.exec(await dialed.innerText())?.[1] ?? ''
  await page.getByText(new RegExp(`Setting ${told} is read off the curve`)).waitFor()
  // Overruled by hand it says so, and goes back with one press.
  await openLink(page, 'Walk')
  await field(page, 'Dial today, if other').fill('12')
  await openLink(page, 'Load')
  await page
    .getByRole('paragraph')
    .filter({ hasText: /Each pass.*dial at 12/ })
    .waitFor()
  await page.getByRole('button', { name: `Set the dial to ${told}` }).click()
  await dialed.waitFor()
  await saved(page)
  await page.reload()
  await dialed.waitFor()
  expectQuiet(watched)
})

test('a row of trays to an effective swath, taken over by the spreader', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.push}`)
  // 3.4 lb in two passes is 1.7 lb a pass: the three runs at setting 12 put down 1.705.
  await field(page, 'Rate, all passes').fill('3.4')
  await page.getByRole('button', { name: /^Setting 12\b/ }).waitFor()
  await page.getByText(/expect \d+ % either way, last tested 21 April 2026, 15 days ago/).waitFor()
  await field(page, 'Rate, all passes').fill('40')
  await page.getByText('beyond what was tested').waitFor()
  await press(page, 'New tray test')
  await field(page, 'Tray to tray, middles').fill('2 ft')
  await typeList(page, /^Tray 1,/, ['0', '1', '2.5', '4', '5', '5.5', '5', '4', '2.5', '1', '0'])
  await page.getByText('Left and right are even.').waitFor()
  await page.getByRole('button', { name: /^Effective swath/ }).click()
  await page.getByText(/the widest within 20 %/).waitFor()
  await page.keyboard.press('Escape')
  await page
    .getByRole('img', { name: /Deposit across the throw/ })
    .locator('svg')
    .waitFor()
  await pick(field(page, 'Lanes'), 'all one way')
  await page.getByRole('button', { name: /^Take .* as this spreader’s swath/ }).click()
  await page.getByRole('button', { name: /is this spreader’s swath/ }).waitFor()
  await saved(page)
  await expectAccessible(page)
  const told = await page.getByRole('button', { name: /^Effective swath/ }).innerText()
  await page.getByRole('link', { name: '80 lb broadcast push spreader' }).click()
  await expect.poll(() => field(page, 'Swath').inputValue()).toBe(told.replaceAll(/[^\d.]/g, ''))
  await page
    .getByText(/swath \d+(\.\d+)? ft/)
    .first()
    .waitFor()
  expectQuiet(watched)
})

test('a new calibration knows the nozzles of its machine, together and one by one', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.tow}`)
  await press(page, 'New calibration')
  await field(page, 'Nozzle set').waitFor()
  const wide = Number(await field(page, 'Sprayed width').inputValue())
  await pick(field(page, 'How it is measured'), 'catch every nozzle')
  const apart = Number(await field(page, 'Nozzle spacing').inputValue())
  const nozzles = await page.getByLabel(/^Nozzle \d+,/).count()
  expect(nozzles).toBeGreaterThan(1)
  expect(wide / apart).toBeCloseTo(nozzles, 6)
  expectQuiet(watched)
})

test('on the phone: nozzles caught, a course timed', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.tow}`)
  await press(page, 'New nozzle check')
  await press(page, 'Start the stopwatch')
  await page.waitForTimeout(1200)
  await press(page, 'Stop')
  expect(Number(await field(page, 'Caught for').inputValue())).toBeGreaterThanOrEqual(1)
  await field(page, 'Caught for').fill('30')
  await typeList(page, /^Nozzle 1,/, ['19.84', '19.84', '19.84', '19.84', '22', '19.84', '19.84'])
  await page.getByText('Clean and catch again: nozzle 5.').waitFor()
  await page.getByLabel(/^Nozzle 5,/).fill('19.84')
  await page.getByText('All within 5 % of the mean.').waitFor()
  await field(page, 'Course length').fill('132')
  await field(page, 'Time 1').fill('29.03')
  await press(page, 'Another run')
  await field(page, 'Time 2').fill('29.04')
  await field(page, 'Carrier wanted').fill('1')
  // 0.31 GPM a nozzle, 3.1 mph, 20 in: 29.7 gal/ac = 0.682 gal/1,000 ft2; 1 gal asks for 3.1 x 0.682 = 2.11
  // mph.
  await page.getByRole('button', { name: /^Carrier 0\.682/ }).waitFor()
  await page.getByRole('button', { name: /^Speed for the carrier wanted 2\.11/ }).waitFor()
  await page.getByText('Far from the speed timed').waitFor()
  await pick(field(page, 'What I want to know'), 'the spacing')
  // 20 in at 0.682 gal: 1 gal asks for 13.6 in, 1.136 ft.
  await page.getByRole('button', { name: /^Spacing for the carrier wanted 1\.136/ }).waitFor()
  await pick(field(page, 'What I want to know'), 'the speed')
  await saved(page)
  await expectAccessible(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.reload()
  await page.getByRole('button', { name: /^Carrier 0\.682/ }).waitFor()
  expectQuiet(watched)
})

test(
  'a spreader nobody knows: weighed on a simulated scale over a bad cable, three runs, a calibration ' +
    'that a job trusts',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.push}`)
    await press(page, 'New calibration')
    await field(page, 'Course length').fill('50 ft')
    await field(page, 'Setting').fill('11')
    await field(page, 'Product in the hopper').fill('Slow-feed 21-0-6 granule')
    await page.getByText('Practise with a machine').click()
    await press(page, 'Charge the hopper')
    await pick(field(page, 'Cable'), 'bad: noise and drops')
    await page.getByText(/unreadable lines? passed over/).waitFor({ timeout: 20_000 })
    await press(page, 'Take it: Run 1: weighed in')
    expect(await field(page, 'Run 1: weighed in').inputValue()).toBe('5000')
    for (const run of [1, 2, 3]) {
      if (run > 1) await press(page, 'Add a run')
      await press(page, 'Spread the course at setting 11')
      await page
        .getByRole('button', { name: `Take it: Run ${run}: weighed back`, exact: true })
        .and(page.locator(':enabled'))
        .waitFor({ timeout: 20_000 })
      await page.keyboard.press('Control+.')
      await expect.poll(() => field(page, `Run ${run}: weighed back`).inputValue()).not.toBe('')
    }
    await press(page, 'Time it on a course')
    await field(page, 'Timed over').fill('50 ft')
    await field(page, 'Time 1').fill('11')
    await page.getByText(/The 3 runs agree within/).waitFor()
    await page.getByRole('button', { name: /^One pass puts down/ }).click()
    await page.getByText(/run 3:/).waitFor()
    await page.keyboard.press('Escape')
    await saved(page)
    await expectAccessible(page)
    // The next setting over the same course: the cursor waits for its number, the hopper is weighed in.
    const left = await field(page, 'Run 3: weighed back').inputValue()
    const here = page.url()
    await press(page, 'Next setting, same course')
    await page.waitForURL((url) => url.href !== here)
    await expect.poll(() => field(page, 'Run 1: weighed in').inputValue()).toBe(left)
    await expect
      .poll(() => field(page, 'Setting').evaluate((one) => one === document.activeElement))
      .toBe(true)
    await page.getByRole('link', { name: '80 lb broadcast push spreader' }).click()
    await page.getByRole('table').getByRole('link', { name: '6 May 2026' }).first().waitFor()
    // Out as a file and in again: all are known already.
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export as CSV' }).click(),
    ])
    await page.getByLabel('Take in a file').setInputFiles({
      name: 'calibrations.csv',
      mimeType: 'text/csv',
      buffer: readFileSync(await file.path()),
    })
    await press(page, 'Take them in')
    await page.getByText(/0 taken in, \d+ were here already/).waitFor()
    await page
      .getByLabel('Take in a file')
      .setInputFiles({ name: 'else.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') })
    await page.getByRole('alert').getByText('is no such table').waitFor()
    expectQuiet(watched)
  },
)

test('a boom by a 128th of an acre, and a finished job kept as a calibration', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  await page.goto(`${on.url}/equipment/${SAMPLE_EQUIPMENT.tow}`)
  await press(page, 'New calibration')
  await pick(field(page, 'How it is measured'), 'a 128th of an acre')
  await field(page, 'Nozzle spacing').fill('20 in')
  // 43,560 / 128 ft2 over 20 in: 204.2 ft.
  await page.getByText(/Walk 204 ?ft/).waitFor()
  await field(page, 'Run 1: caught').fill('30 fl oz')
  await field(page, 'Run 1: time on the course').fill('46.4')
  // 30 gal/ac = 0.6887 gal on 1,000 ft2.
  await page.getByRole('button', { name: /^One pass puts down 0\.689/ }).waitFor()
  await saved(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}`)
  await page.getByText('Nitrogen this year').waitFor()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.goto(`${on.url}/records/${SAMPLE_RECORDS.dry}`)
  await page.getByRole('button', { name: 'Keep as a calibration' }).click()
  await page.getByRole('heading', { name: 'Calibration of 80 lb broadcast push spreader' }).waitFor()
  expect(await field(page, 'How it is measured').innerText()).toContain('weighed back on a job')
  // 6.25 lb on 2,600 ft2 in two passes.
  await page.getByRole('button', { name: /^One pass puts down 1\.2/ }).waitFor()
  await saved(page)
  expectQuiet(watched)
})
