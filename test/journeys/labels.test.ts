import { readFileSync } from 'node:fs'
import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { SAMPLE_SITES } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { openLink, openPart, pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()
const field = (page: Page, name: string) => page.getByLabel(name, { exact: true }).first()
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()
const saved = (page: Page) =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: 10_000 })

test('a label typed as printed stops a job that comes too soon; leaving the lawn out clears it', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/products`)
  await page.getByRole('link', { name: 'Bifenthrin granule' }).click()
  await field(page, 'Or paste it as printed').fill(
    '2.3-4.6 lb per 1,000 sq ft, repeat in 7-10 days; no more than 2 applications per year; wear gloves',
  )
  await page.getByText('repeat from 7 d').waitFor()
  await page.getByText('Not understood: wear gloves').waitFor()
  await press(page, 'Put it in')
  await page.getByRole('button', { name: /^Timing Again after 7 to 10 d, at most 2 times a year/ }).click()
  expect(await field(page, 'Repeat from').inputValue()).toBe('7')
  expect(await field(page, 'Times a year').inputValue()).toBe('2')
  await openPart(page, 'Actives')
  await field(page, 'Active ingredient').fill('Carbaryl')
  await page.getByText(/The table says group 1A: .*IRAC/).waitFor()
  await field(page, 'Active ingredient').fill('bifenthrin')
  await saved(page)
  await expectAccessible(page)

  await page.goto(`${on.url}/sites/${SAMPLE_SITES.saltings}`)
  await press(page, 'New job here')
  await openLink(page, 'Rate')
  await field(page, 'Product 1').fill('Bifenthrin granule')
  await openLink(page, 'Calibrate')
  await page.getByRole('combobox', { name: 'Spreader', exact: true }).fill('80 lb broadcast push spreader')
  // Two lawns were treated with it yesterday, 5 May.
  const stop = page.getByText(
    /Bifenthrin granule last went down on .* on 5 May 2026, a day before; the label asks for 7 days\. /,
  )
  await stop.waitFor()
  await page.getByText('with this product').first().waitFor()
  await page
    .getByRole('listitem')
    .filter({ has: stop })
    .getByRole('button', { name: 'working', exact: true })
    .click()
  await page.getByText('free from = 12 May 2026').waitFor()
  await page.keyboard.press('Escape')
  // Another day is one way out, the lawns are another.
  await press(page, 'Plan it for 12 May 2026')
  await stop.waitFor({ state: 'detached' })
  await field(page, 'Day').fill('6 May 2026')
  await field(page, 'Day').blur()
  await stop.waitFor()
  for (const name of ['Fescue front', 'Centipede side']) {
    const out = page.getByRole('button', { name: `Leave out ${name}`, exact: true }).first()
    if (await out.isVisible()) await out.click()
  }
  await stop.waitFor({ state: 'detached' })
  expectQuiet(watched)
})

test('a premix’s directions are pasted; its second active meets what lies there: the job stops', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/products`)
  await page.getByRole('link', { name: 'Bifenthrin granule' }).click()
  await page.getByText('sample label, made up: not for use').waitFor()
  const original = page.url()
  await page.keyboard.press('c')
  await page.waitForURL((url) => url.href !== original)
  await field(page, 'Name of the product').fill('Two-way granule')
  await openPart(page, 'Actives')
  await field(page, 'Active ingredient').fill('clothianidin')
  await field(page, 'Content').fill('0.25 %')
  await press(page, 'Add an active ingredient')
  await page.getByLabel('Active ingredient', { exact: true }).nth(1).fill('BIFENTHRIN, technical')
  expect(await page.getByLabel('Group', { exact: true }).nth(1).inputValue()).toBe('3A')
  await page.getByLabel('Active ingredient', { exact: true }).nth(1).fill('bifenthrin')
  await page.getByLabel('Content', { exact: true }).nth(1).fill('0.2 %')
  await field(page, 'Or paste it as printed').fill(
    'Surface insects: apply 2.7 lb per 1,000 sq ft. ' +
      'Do not apply more than 4 lb per 1,000 sq ft per year. ' +
      'Water in with 1/4 inch within 24 hours. Keep children off until dry.',
  )
  await page.getByText('Not understood: Keep children off until dry').waitFor()
  const stored = page.waitForResponse(
    (response) =>
      response.request().method() === 'PUT' &&
      (response.request().postData() ?? '').includes('"text":"0.25"'),
  )
  await press(page, 'Put it in')
  await openPart(page, 'Rate')
  expect(await field(page, 'Usual rate').inputValue()).toBe('2.7')
  await stored
  await saved(page)

  await page.goto(`${on.url}/sites/${SAMPLE_SITES.saltings}`)
  await press(page, 'New job here')
  await openLink(page, 'Rate')
  await field(page, 'Product 1').fill('Two-way granule')
  await openLink(page, 'Calibrate')
  await page.getByRole('combobox', { name: 'Spreader', exact: true }).fill('80 lb broadcast push spreader')
  // 4 lb hold as much bifenthrin as the year may bring; the single granule put 2.7 lb on its lawns the day
  // before.
  const stop = page.getByText(/bifenthrin under all names: .* lies on .* with this it would be /)
  await stop.waitFor()
  await page
    .getByRole('listitem')
    .filter({ has: stop })
    .getByRole('button', { name: 'working', exact: true })
    .click()
  await page
    .getByText(/together = /)
    .first()
    .waitFor()
  expectQuiet(watched)
})

test(
  'the shelf goes out as a table and comes back; rules of the place are the crew’s own and stop what ' +
    'they forbid',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/products`)
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export as CSV' }).click(),
    ])
    await page
      .getByLabel('Take in a file')
      .setInputFiles({ name: 'products.csv', mimeType: 'text/csv', buffer: readFileSync(await file.path()) })
    await press(page, 'Take them in')
    await page.getByText(/0 taken in, \d+ were here already/).waitFor()
    const made =
      'name,kind,form,use,rate,n\nLime by the bag,soil conditioner,granule,acid ground,50 lb/1000 ' +
      'ft2,\nBroken,soil conditioner,paste,any,1,\n'
    await page
      .getByLabel('Take in a file')
      .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(made) })
    await page.getByRole('alert').getByText('Line 3, form: “paste” is not known here').waitFor()
    await page.getByLabel('Take in a file').setInputFiles({
      name: 'mine.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(made.split('\n').slice(0, 2).join('\n')),
    })
    await page.getByText('1 product: Lime by the bag.').waitFor()
    await press(page, 'Take them in')
    await page.getByRole('link', { name: 'Lime by the bag' }).waitFor()

    await page.goto(`${on.url}/settings/local`)
    await press(page, 'Add a rule')
    await pick(page.getByLabel('Rule', { exact: true }).last(), 'no application')
    await page.getByLabel('From', { exact: true }).last().fill('1 May')
    await page.getByLabel('to', { exact: true }).last().fill('May 31')
    await page.getByLabel('Where it stands', { exact: true }).last().fill('the harbour board')
    // A limit in metric, of a nutrient other than nitrogen: it stops nothing here, and it saves itself.
    await press(page, 'Add a rule')
    await pick(page.getByLabel('Rule', { exact: true }).last(), 'phosphorus in one go')
    await pick(page.getByLabel('in', { exact: true }).last(), 'g / m²')
    await page.getByLabel('Limit', { exact: true }).last().fill('2')
    await saved(page)
    await expectAccessible(page)
    await page.reload()
    await expect.poll(() => page.getByLabel('in', { exact: true }).last().innerText()).toContain('g / m²')
    await page.goto(`${on.url}/jobs`)
    await page
      .getByRole('link', { name: /Cooperage Row/ })
      .first()
      .click()
    await page.getByText('Nothing may be applied in these days, 1 May to 31 May.').waitFor()
    await page.getByText('the harbour board').waitFor()
    expectQuiet(watched)
  },
)

test(
  'names typed before the shelf has come find their label, machine and site when it does; a rate typed ' +
    'meanwhile stays',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    for (const late of ['**/library/products', '**/sites?*']) {
      await page.route(late, async (route) => {
        await page.waitForTimeout(3000)
        await route.continue()
      })
    }
    await page.goto(`${on.url}/jobs`)
    await press(page, 'New job')
    await field(page, 'Site').fill('The Saltings')
    await openLink(page, 'Rate')
    await field(page, 'Product 1').fill('Chelated iron 6 %')
    await page.locator('[data-path="products.0.rate"]').fill('5.8')
    await openLink(page, 'Calibrate')
    await page.getByRole('combobox', { name: 'Sprayer', exact: true }).fill('3 gal pump backpack')
    await page
      .getByText(/Chelated iron 6 % at 5\.8 fl oz\/1,000 ft² is over the label's highest rate/)
      .waitFor()
    await page.getByText('Fescue front').first().waitFor()
    await page.getByText('at 2.60 mph').waitFor()
    expectQuiet(watched)
  },
)
