import { expect, test } from 'vitest'
import { SAMPLE_AREAS } from '../../demo/sampleLinks'
import { expectQuiet, watchedPage } from '../support/browser'
import { pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()

test('a season is looked at lawn by lawn, a probe moves it, a job is planned from what is next', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/${SAMPLE_AREAS.bowlsGreen}`)
  await page.getByText('Growth regulator before the rebound').waitFor()
  const soil = () => page.locator('.today').innerText()
  await page.getByText('fitted to 4 probe readings').waitFor()
  const before = await soil()
  await page.getByRole('button', { name: 'Reading' }).click()
  await page.getByRole('textbox', { name: 'Soil' }).fill('72')
  await page.keyboard.press('Enter')
  await page.getByText('fitted to 5 probe readings').waitFor()
  await expect.poll(soil).not.toBe(before)

  await page.getByRole('button', { name: 'As a table' }).click()
  await page.getByRole('cell', { name: '1 January 2026' }).waitFor()

  await pick(page.getByRole('combobox', { name: 'Lawn' }), 'Cooperage Row, Shared green')
  await page.getByText('Barrier, second half').first().waitFor()
  await page.getByRole('button', { name: 'Plan it' }).first().click()
  await page.waitForURL(/\/jobs\//)
  await page.getByText('Shared green').first().waitFor()
  expectQuiet(watched)
})

test('a high and a low are typed; the wrong way round is told', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/${SAMPLE_AREAS.front}`)
  await page.getByRole('button', { name: 'Weather' }).click()
  await page.getByLabel('Low', { exact: true }).fill('50')
  await page.getByLabel('High', { exact: true }).fill('40')
  await page.keyboard.press('Enter')
  await page.getByText('The least of a day is not above its most.').waitFor()
  await page.getByLabel('High', { exact: true }).fill('64')
  await page.keyboard.press('Enter')
  await page.getByText('The day is kept.').waitFor()

  await page.getByRole('button', { name: 'Weather' }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'pier.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('date,min (C),max (C)\n2023-01-01,1,7\n2023-01-02,2,x\n2023-01-03,2,9\n'),
  })
  await page.getByText('2 days, 1 January 2023 to 3 January 2023').waitFor()
  await page.getByText('Line 3 max (C) is no figure: x.').waitFor()
  await page.getByRole('button', { name: 'Take them in' }).click()
  await page.getByText('2 days taken in.').waitFor()
  expectQuiet(watched)
})
