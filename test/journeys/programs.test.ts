import { expect, test } from 'vitest'
import { SAMPLE_AREAS, SAMPLE_JOBS } from '../../demo/sampleLinks'
import { named } from '../../demo/typed'
import { expectQuiet, watchedPage } from '../support/browser'
import { pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()

test('a conflict of a lawn’s program is cleared by what is offered, and taken back', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/${SAMPLE_AREAS.green}`)
  const second = page.getByRole('listitem').filter({ hasText: 'Barrier, second half' }).last()
  await second.waitFor()
  await page.getByRole('button', { name: 'More of Light spring feed' }).click()
  await page.getByRole('menuitem', { name: 'Leave it out here' }).click()
  const feed = page.getByRole('listitem').filter({ hasText: 'Light spring feed' }).last()
  await feed.getByText('left out').waitFor()
  await page.getByRole('button', { name: 'More of Light spring feed' }).click()
  await page.getByRole('menuitem', { name: 'Take it in again' }).click()
  await feed.getByText('left out').waitFor({ state: 'detached' })
  // The step becomes a job with its lawn, its product and its rate of nitrogen.
  await page.getByRole('button', { name: /^Plan it.*Light spring feed$/ }).click()
  await page.waitForURL(/\/jobs\//)
  await page.getByText('Slow-feed 21-0-6 granule').first().waitFor()
  await page.getByText('Shared green').first().waitFor()
  expectQuiet(watched)
})

test('doses of the other school; something seen speaks beside the soil; a gap opens its repeat', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/${named('area Cooperage Row Front strips 1-3')}`)
  await page.getByRole('button', { name: 'Give it little and often' }).click()
  await page.getByRole('button', { name: 'Give it a few times' }).waitFor()
  await page.getByRole('button', { name: 'Note what was seen on this site' }).click()
  await pick(page.getByRole('combobox', { name: 'Seen' }), 'shrub bloom over')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByText('its bloom is over: seedlings are close behind').waitFor()

  await page.goto(`${on.url}/season/${named('area Marlow Terrace')}`)
  await page.getByRole('button', { name: 'What closes it?' }).click()
  await page
    .getByRole('button', { name: /^Plan it with / })
    .first()
    .click()
  await page.waitForURL(/\/jobs\//)
  await page.getByText('Terrace').first().waitFor()
  expectQuiet(watched)
})

test('what the money does not reach is left out; years of a station are looked at', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/buying`)
  await page
    .getByRole('button', { name: /^Leave them out on / })
    .first()
    .click()
  await page.getByText('within it').waitFor()
  await page.getByRole('link', { name: 'Weather' }).click()
  await page.getByRole('link', { name: 'Quarry Lane', exact: true }).click()
  await page.getByRole('img', { name: 'Days of Quarry Lane: air and rain' }).waitFor()
  await page.getByRole('button', { name: 'As a table' }).click()
  await page.getByRole('cell', { name: '2024-02' }).waitFor()
  await pick(page.getByRole('combobox', { name: 'By' }), 'hours')
  await page.getByRole('img', { name: 'Hours of Quarry Lane: air and rain' }).waitFor()
  expectQuiet(watched)
})

test('a program of one’s own: from a usual one, a step changed, put on a lawn, dated there', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/programs`)
  await page.getByRole('button', { name: 'New program' }).click()
  await page.getByRole('menuitem', { name: 'For a cool-season lawn' }).click()
  await page.waitForURL(/\/season\/programs\/./)
  await page.getByRole('textbox', { name: 'Name of the program' }).fill('Green of the school')
  await page.getByRole('button', { name: /Aerate/ }).click()
  await page.getByRole('textbox', { name: 'From', exact: true }).fill('10 May')
  await page.getByRole('textbox', { name: 'To', exact: true }).fill('12 May')
  await page.keyboard.press('Tab')
  await page.getByText('10 May to 12 May').first().waitFor()
  const lawn = page.getByRole('checkbox', { name: 'Playing field' })
  await expect.poll(() => lawn.isEnabled()).toBe(true)
  await lawn.click()
  await page.getByRole('link', { name: /^its dates.*Playing field$/ }).click()
  await page.getByRole('heading', { name: 'Green of the school' }).waitFor()
  await page.getByText('10 May to 12 May').waitFor()
  expectQuiet(watched)
})

test('a week is planned in one go: a work is moved, the jobs are made on their days', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/board`)
  await page.getByRole('link', { name: 'Plan the week' }).click()
  const make = page.getByRole('button', { name: /^Make \d+ jobs?$/ })
  await make.waitFor()
  const days = page.getByRole('combobox', { name: /^Day of / })
  await days.first().click()
  await page.getByRole('option', { name: 'not this week' }).click()
  await page.getByRole('heading', { name: 'Not this week' }).waitFor()
  const count = Number(/\d+/.exec(await make.innerText())?.[0])
  expect(count).toBeGreaterThan(0)
  await make.click()
  await page.waitForURL(/\/jobs$/)
  await page.getByText('Barrier, first half').first().waitFor()
  expectQuiet(watched)
})

test('which day: the best with their reasons, and the job is moved by a press', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/jobs/${SAMPLE_JOBS.stopped}`)
  await page.getByRole('button', { name: 'Which day?' }).click()
  await page.getByText('By the forecast of Tamsin Point pier.').waitFor()
  const best = page.getByRole('button', { name: /^Move it to / }).first()
  const day = /\d+ May/.exec((await best.getAttribute('aria-label')) ?? '')?.[0] ?? ''
  await best.click()
  await expect.poll(() => page.getByRole('textbox', { name: 'Day' }).inputValue()).toContain(day)
  expectQuiet(watched)
})

test('a station takes a simulated service; a calendar address is made, read and taken back', async () => {
  const watched = await watchedPage(on.browser)
  const { page } = watched
  await page.goto(`${on.url}/season/stations`)
  await page.getByRole('button', { name: 'New station' }).click()
  const form = page.getByRole('form', { name: 'Station' })
  await form.getByRole('textbox', { name: 'Name' }).fill('Far field')
  await form.getByRole('textbox', { name: /^Latitude/ }).fill('95')
  await page.getByText('Degrees from -90 to 90').waitFor()
  await form.getByRole('textbox', { name: /^Latitude/ }).fill('-34')
  await pick(form.getByRole('combobox', { name: 'Its readings come' }), 'Simulated: the southern half')
  await form.getByRole('button', { name: 'Keep it' }).click()
  await page.getByText('71 days').waitFor()

  await page.goto(`${on.url}/settings/calendars`)
  await page.getByRole('textbox', { name: 'Its name' }).fill('Office')
  await page.getByRole('button', { name: 'Make the address' }).click()
  const address = page.getByText(/\/api\/calendar\/[\w-]{32}\.ics/)
  await address.waitFor()
  const url = /http\S+\.ics/.exec(await address.innerText())?.[0] ?? ''
  expect(await (await fetch(url)).text()).toMatch(/^BEGIN:VCALENDAR/)
  await page.getByRole('button', { name: /^Take it back.*Office$/ }).click()
  await page.getByText('None yet.').waitFor()
  expect((await fetch(url)).status).toBe(404)
  expectQuiet(watched)
})
