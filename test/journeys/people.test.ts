import type { BrowserContext, Page } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import { expect, test } from 'vitest'
import type { OrganizationChoice } from '../../shared/schemas/organization'
import { expectAccessible, expectQuiet, watchedPage } from '../support/browser'
import { newJob } from '../support/jobs'
import { changeCrew, logAtOnce } from '../support/hands'
import { stage } from '../support/stage'

const CODE = 'AAAA-BBBB-CCCC'
const on = stage({ HECTARUM_OWNER_CODE: CODE })
const press = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click()
const passphrase = (page: Page) => page.getByRole('textbox', { name: 'Passphrase' })
const saved = (page: Page) =>
  page.getByRole('status').getByText('saved', { exact: true }).waitFor({ timeout: 10_000 })

async function beOwner(page: Page, crew: string, name: string): Promise<void> {
  await page.goto(`${on.url}/records`)
  await changeCrew(page, 'Start an empty crew …')
  await page.getByLabel('Name of the crew').fill(crew)
  await press(page, 'Start')
  await page.waitForURL('**/today')
  await page.goto(`${on.url}/settings/people`)
  await page.getByLabel('Your name, as on records').fill(name)
  await page.getByLabel('Name to sign in with').fill(name)
  await passphrase(page).fill('too short')
  await page.getByLabel('Code for the first owner').fill('not the code')
  await press(page, 'Become the owner')
  // Each mistake at its field or above the button; nothing typed is lost.
  await page.getByText('A name to sign in with has no blanks').waitFor()
  await page.getByLabel('Name to sign in with').fill(name.toLowerCase().replace(' ', '.'))
  await press(page, 'Become the owner')
  await page.getByText('This is not the code that was printed').waitFor()
  await page.getByLabel('Code for the first owner').fill(CODE)
  await press(page, 'Become the owner')
  await page.getByText('At least 12').waitFor()
  await page.getByText('A passphrase has at least 12 characters').waitFor()
  await passphrase(page).fill('eleven geese in clover')
  await press(page, 'Become the owner')
  await page.getByRole('button', { name: 'Make an invitation' }).waitFor()
}

async function invited(page: Page, role: string): Promise<string> {
  await page.goto(`${on.url}/settings/people`)
  await page.getByRole('combobox', { name: 'Invite as' }).click()
  await page.getByRole('option', { name: role }).click()
  await press(page, 'Make an invitation')
  const words = await page.getByRole('status').filter({ hasText: 'Hand this over' }).innerText()
  return /http\S+/.exec(words)?.[0] ?? ''
}

/** A job that is planned already, as the one who is signed in. */
async function planned(context: BrowserContext): Promise<string> {
  const { current } = (await (
    await context.request.get(`${on.url}/api/organizations`)
  ).json()) as OrganizationChoice
  const id = uuid()
  const answer = await context.request.put(`${on.url}/api/organizations/${current.id}/jobs/${id}`, {
    data: newJob(),
  })
  expect(answer.status()).toBe(200)
  return id
}

test('first owner, invitation on a phone, an apprentice’s run, the counter-signature', async () => {
  const owner = await watchedPage(on.browser)
  await beOwner(owner.page, 'Green Crew', 'Rosa Field')
  await expectAccessible(owner.page)
  const link = await invited(owner.page, 'apprentice')
  await expectAccessible(owner.page)
  const id = await planned(owner.context)

  const apprentice = await watchedPage(on.browser, { width: 390, height: 844 })
  const { page } = apprentice
  await page.goto(link)
  await expectAccessible(page)
  await page.getByLabel('Your name, as on records').fill('Ali Learner')
  await page.getByLabel('Name to sign in with').fill('ali.learner')
  await passphrase(page).fill('a heron by the weir')
  await press(page, 'Join')
  await page.waitForURL('**/today')
  await page.goto(`${on.url}/you`)
  await page.getByRole('heading', { name: 'Ali Learner' }).waitFor()

  // What others planned can't be changed, but it can be carried out.
  await page.goto(`${on.url}/jobs/${id}`)
  await page.getByRole('textbox', { name: 'Purpose' }).waitFor()
  expect(await page.getByRole('textbox', { name: 'Purpose' }).isDisabled()).toBe(true)
  await press(page, 'Start run')
  await logAtOnce(page)
  await page.getByLabel('Left in the hopper', { exact: true }).fill('3')
  expect(await page.getByLabel('Done by').inputValue()).toBe('Ali Learner')
  await press(page, 'Put it on record')
  await page.getByText('An apprentice carried this out').waitFor()
  expect(await page.getByRole('button', { name: 'Counter-sign' }).count()).toBe(0)

  // Without a licence nobody counter-signs; with one the name stands on the record.
  await owner.page.goto(page.url())
  await press(owner.page, 'Counter-sign')
  await owner.page.getByText(/needs a licence that is valid today/).waitFor()
  await owner.page.goto(`${on.url}/you`)
  await owner.page.getByLabel('Licence number').fill('T-77')
  await press(owner.page, 'Save')
  await owner.page.getByText('Saved.').waitFor()
  await expectAccessible(owner.page)
  await owner.page.goto(page.url())
  await press(owner.page, 'Counter-sign')
  await owner.page.getByText(/Rosa Field, licence T-77/).waitFor()
  await page.reload()
  await page.getByText(/Rosa Field, licence T-77/).waitFor()
  expectQuiet(owner)
  expectQuiet(apprentice)
})

test('signed out, a deep link asks and leads back; two crews in two tabs stay apart', async () => {
  const watched = await watchedPage(on.browser)
  const { page, context } = watched
  await beOwner(page, 'Blue Crew', 'Odo Bluff')
  await page.goto(`${on.url}/you`)
  await press(page, 'Sign out here')
  await page.waitForURL('**/sign-in')
  await expectAccessible(page)
  await page.getByLabel('Name to sign in with').fill('odo.bluff')
  await passphrase(page).fill('quite another one')
  await press(page, 'Sign in')
  await page.getByText('don’t belong together').waitFor()
  await passphrase(page).fill('eleven geese in clover')
  await press(page, 'Sign in')
  await page.waitForURL('**/today')

  const second = await context.newPage()
  await second.goto(`${on.url}/today`)
  await page.goto(`${on.url}/settings`)
  await page.getByLabel('Licence number, as on records').waitFor()
  await changeCrew(second, 'Tamsin Point Grounds')
  await second.getByText(/sample data/).waitFor()
  await page.getByLabel('Licence number, as on records').fill('BLUE-1')
  await saved(page)
  await second.goto(`${on.url}/settings`)
  expect(await second.getByLabel('Licence number, as on records').inputValue()).not.toBe('BLUE-1')

  // The session ends while a page is open: the way back leads to where one was.
  await context.clearCookies({ name: 'hectarum-session' })
  await page.getByLabel('Poison centre or emergency line').fill('555-0100')
  await page.waitForURL('**/sign-in?next=/settings')
  await page.getByLabel('Name to sign in with').fill('odo.bluff')
  await passphrase(page).fill('eleven geese in clover')
  await press(page, 'Sign in')
  await page.waitForURL('**/settings')
})
