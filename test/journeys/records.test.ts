import { expect, test } from 'vitest'
import { SAMPLE_JOBS } from '../../demo/sampleLinks'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { stage } from '../support/stage'

const on = stage()

const TABLE = `Date,Site,Lawns,Treated,Product,Used,Rate,Done by,Carrier
6 May 2025,Cooperage Row,Shared green,"8,000 ft2",Slow-feed 21-0-6 granule,28 lb,3.4 lb/1000 ft2,R. Okafor,
2 June 2025 1:30 pm,Elm House,Front,0.5 ac,Leaf spot cover,40 fl oz,,T. Arkwright,2 gal/1000 ft2
12 June 2025,Elm House,Front,0.5 ac,Leaf spot cover,40,,T. Arkwright,2 gal/1000 ft2
`

test('records kept elsewhere: looked at, taken in once, found among the others', async () => {
  const watched = await watchedPage(on.browser, { width: 1280, height: 800 })
  const { page } = watched
  await page.goto(`${on.url}/records`)
  await page.getByRole('button', { name: 'More with records' }).click()
  await page.getByRole('menuitem', { name: 'Take in earlier records' }).click()
  const choose = async () => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Choose a table (CSV)' }).click(),
    ])
    await chooser.setFiles({ name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) })
  }
  await choose()
  await page.getByText('Line 4, used:').waitFor()
  await page.getByText('Known by name alone: Elm House, Leaf spot cover.').waitFor()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Take in 2 records' }).click()
  await page.getByText('2 records taken in.').waitFor()
  await choose()
  await page.getByRole('heading', { name: '2 records, 2 here already' }).waitFor()
  await page.goto(`${on.url}/records?sort=oldest&q=elm`)
  await page.getByRole('link', { name: 'Elm House' }).click()
  await page.getByText('no planned rate was noted, so none is judged').waitFor()
  // 40 fl oz on half an acre.
  const actual = page.getByRole('button', { name: /Actual rate, Leaf spot cover/ })
  expect(await actual.innerText()).toContain('80.0')
  await page.goto(`${on.url}/records?from=2025-05-06&to=2025-05-06&q=okafor`)
  await page.getByText('6 May 2025', { exact: true }).first().waitFor()
  expectQuiet(watched)
})

test('what was used, told another way, and the same as a file', async () => {
  const watched = await watchedPage(on.browser, { width: 1280, height: 800 })
  const { page } = watched
  await page.goto(`${on.url}/records`)
  await page.getByRole('link', { name: 'What was used' }).click()
  await page.getByRole('heading', { name: 'What was used' }).waitFor()
  await page.getByText('propiconazole').first().waitFor()
  // 14.3 % of what 25.1 fl oz weigh, with its working.
  await page.getByRole('button', { name: /^propiconazole in Propiconazole/ }).click()
  await page.getByText(/14\.3 % of .* kg is/).waitFor()
  await page.keyboard.press('Escape')
  await page.getByRole('combobox', { name: 'Told by' }).click()
  await page.getByRole('option', { name: 'by person' }).click()
  await page.getByText('M. Osei').first().waitFor()
  expect(page.url()).toContain('by=person')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^use-2026-01-01-2026-05-06\.csv$/)
  expectQuiet(watched)
})

test('work that was done without its run is entered with its day, and teaches its machine', async () => {
  const watched = await watchedPage(on.browser, { width: 1280, height: 800 })
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.feed}`)
  await page.getByRole('button', { name: 'More of this job' }).click()
  await page.getByRole('menuitem', { name: 'It is done already' }).click()
  await page.getByRole('button', { name: 'Enter what was done' }).click()
  await page.locator('[data-path="left"]').fill('3')
  await page.getByRole('textbox', { name: 'Day' }).fill('5 May')
  await page.locator('[data-path="done.from"]').fill('7')
  await page.locator('[data-path="done.to"]').fill('8:20 am')
  await page.getByText('is not a time: write it as 14:30 or 2:30 pm').waitFor()
  await page.locator('[data-path="done.from"]').fill('7:10')
  expect(await page.getByRole('checkbox', { name: /^Keep it as a calibration of/ }).isChecked()).toBe(true)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Put it on record' }).click()
  await page.waitForURL(/\/records\//)
  await page.getByText('5 May 2026, 07:10').waitFor()
  await page.getByText('Entered afterwards, not step by step.').waitFor()
  await page.getByRole('heading', { name: 'Ground treated' }).waitFor()
  await page.goto(`${on.url}/equipment`)
  await page.getByRole('link', { name: '80 lb broadcast push spreader' }).click()
  await page.getByRole('heading', { name: 'Last held' }).waitFor()
  await page.getByRole('button', { name: 'It is cleaned out' }).click()
  await page.getByText('Cleaned out on 6 May 2026').waitFor()
  await page.getByRole('link', { name: '5 May 2026' }).first().waitFor()
  expectQuiet(watched)
})

test('a label brought to a product is at hand at the gate', async () => {
  const watched = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = watched
  const papers = page.getByRole('region', { name: 'Label and safety sheet' })
  await page.goto(`${on.url}/products`)
  await page.getByRole('link', { name: /^Chelated iron/ }).click()
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    papers.getByRole('button', { name: 'Add the label' }).tap(),
  ])
  await chooser.setFiles({
    name: 'iron.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from('%PDF-1.4\n%sample\n'),
  })
  await papers.getByRole('link', { name: 'iron.pdf' }).waitFor()
  await page.getByText('saved', { exact: true }).first().waitFor()
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.running}/run?step=gate`)
  const link = page.getByRole('link', { name: /^Chelated iron.*: label$/ })
  await link.waitFor()
  const answer = await page.request.get(on.url + (await link.getAttribute('href'))!)
  expect(answer.headers()['content-type']).toBe('application/pdf')
  expectQuiet(watched)
})
