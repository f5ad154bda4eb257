import type { Locator, Page } from 'playwright-core'

/** What hands do on every screen, said once. */

/** Chooses one of a list by its words. */
export async function pick(list: Locator, words: string): Promise<void> {
  await list.click()
  await list.page().getByRole('option', { name: words, exact: true }).click()
}

/** Opens a link of the chain: on the tape, or in the list of a phone. */
export async function openLink(page: Page, name: string): Promise<void> {
  const phone = (page.viewportSize()?.width ?? 0) < 761
  await (
    phone
      ? page.getByRole('list', { name: 'The sheet so far' })
      : page.getByRole('navigation', { name: 'The chain of this job' })
  )
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click()
}

/** Something that waits in a menu. */
export async function fromMenu(page: Page, menu: RegExp, name: string): Promise<void> {
  await page.getByRole('button', { name: menu }).first().click()
  await page.getByRole('menuitem', { name, exact: true }).click()
}

/** Another system of units, from the button at the foot of the shell. */
export async function inUnits(page: Page, name: string): Promise<void> {
  const foot = page.getByRole('button', { name: /crew, units, theme/ })
  await foot.click()
  await page.getByRole('radio', { name }).click()
  await page.keyboard.press('Escape')
}

/** Another crew, or a new one, from the same button. */
export async function changeCrew(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /crew, units, theme/ }).click()
  await pick(page.getByRole('combobox', { name: 'Crew', exact: true }), name)
}

/** Opens a part of a label that is told back in a sentence. */
export async function openPart(page: Page, title: string): Promise<void> {
  const part = page.getByRole('button', { name: new RegExp(`^${title} `) }).first()
  await part.waitFor()
  if ((await part.getAttribute('aria-expanded')) === 'false') await part.click()
}

/** From the run straight to the log of what it took. */
export async function logAtOnce(page: Page): Promise<void> {
  await page.waitForURL(/\/run\?/)
  await fromMenu(page, /More for this run/, 'Log the outcome')
}
