import { test } from 'vitest'
import { SAMPLE_JOBS } from '../../demo/sampleLinks'
import { expectQuiet, watchedPage } from '../support/browser'
import { pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()

test('lanes are turned by hand with what it costs, and walked on a phone', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}?link=walk`)
  await page
    .getByText(/^Direction .* less than at|no other that was tried is quicker/)
    .first()
    .waitFor()
  await page.getByLabel('Direction, ° from north').fill('33')
  await page.getByText('Direction 33° as it was asked for.').waitFor()
  await page.getByText(/^By hand: /).waitFor()
  await page.getByRole('button', { name: 'Take the tool’s own again' }).click()
  await page.getByText('Direction 33° as it was asked for.').waitFor({ state: 'detached' })
  await page.getByLabel('Direction, ° from north').fill('far')
  await page.getByText('A direction is degrees from north, 0 to 360: 45.').first().waitFor()
  await page.getByLabel('Direction, ° from north').fill('')
  // Lanes twice as near lay twice as much at the tested setting: all of the sheet reads the new spacing.
  await page.locator('[data-path="lanes.apart"]').fill('5.5')
  await page.getByText('5.50').first().waitFor()
  await page.locator('[data-path="lanes.apart"]').fill('')
  await pick(page.getByRole('combobox', { name: 'Laps round the edges' }), 'none')
  await page.getByText('No header lanes: slanted ends').first().waitFor()
  await page.getByRole('button', { name: 'More with these lanes' }).click()
  // A lawn known only by its dimensions has no place on the earth: that is said, and no file is written.
  await page.getByRole('menuitem', { name: 'Lanes as GeoJSON' }).click()
  await page.getByText('No file was written.').waitFor()

  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('link', { name: 'Lane by lane' }).click()
  await page.getByRole('button', { name: 'Next lane' }).click()
  await page.getByText(/^Lane 2/).waitFor()
  await page.reload()
  await page.getByText(/^Lane 2/).waitFor()
  // The keys of the lane and the key of its page both hold.
  await page.keyboard.press('ArrowRight')
  await page.getByText(/^Lane 3/).waitFor()
  await page.keyboard.press('Escape')
  await page.waitForURL(/link=walk/)
  // In an open list letters look for an entry: they are no keys of the screen.
  await page.locator('[data-path="lanes.windFrom"]').press('Enter')
  await page.keyboard.type('the w')
  await page.keyboard.press('Enter')
  await page.getByText('Wind from the west carries over the east edge').waitFor()
  expectQuiet(watched)
})

test('two ways over a lawn side by side say which is better; stripes name their cause', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}/coverage`)
  const verdict = page.getByText(/^Better [AB] \(/)
  await verdict.waitFor({ timeout: 60_000 })
  await page.getByRole('img', { name: 'How much of the lawn gets how much of what is meant' }).waitFor()
  await page.getByRole('button', { name: 'Change B' }).click()
  await page.locator('[data-path="b.apart"]').fill('16')
  await page.getByText('B: one pass, lanes 16 ft apart').waitFor()
  await page.reload()
  await page.getByText('B: one pass, lanes 16 ft apart').waitFor()
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}/stripes`)
  await page.getByLabel('Stripes apart', { exact: true }).fill('22')
  await page.getByText('Two lanes apart: one side of the throw lays more').waitFor()
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.replan}/lane-sheet`)
  await page.getByRole('columnheader', { name: 'should be left' }).waitFor()
  expectQuiet(watched)
})
