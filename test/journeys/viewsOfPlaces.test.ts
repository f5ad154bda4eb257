import { expect, test } from 'vitest'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { stage } from '../support/stage'
import { lookAtViews } from '../support/views'

const on = stage()

lookAtViews(on, [
  '/today',
  '/jobs',
  '/sites',
  '/equipment',
  '/products',
  '/records',
  '/records/use',
  '/records/earlier',
  '/settings',
  '/settings/calendars',
  '/settings/house',
  '/settings/local',
  '/rules',
  '/you',
  '/days/2026-05-07',
])

test('help by a key', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/today`)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  await page.keyboard.press('?')
  await page.getByText('Single keys rest').waitFor()
  await expectAccessible(page)
  expect(await page.getByRole('dialog').count()).toBe(1)
  expectQuiet(watched)
})
