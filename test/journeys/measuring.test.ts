import type { Page } from 'playwright-core'
import { expect, test } from 'vitest'
import { CEMETERY_PNG } from '../../demo/cemeteryPicture'
import { SAMPLE_SITES } from '../../demo/sampleLinks'
import { named } from '../../demo/typed'
import { expectAccessible, expectQuiet, saved, watchedPage } from '../support/browser'
import { pick } from '../support/hands'
import { stage } from '../support/stage'

const on = stage()
const SCHOOL = `/sites/${named('site St Brannock’s School')}`
const field = (page: Page, name: string) => page.getByLabel(name, { exact: true }).first()
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()
const map = (page: Page) => page.getByRole('application')
/** Presses the plan at a share of its width and height. */
async function at(page: Page, x: number, y: number) {
  const box = await map(page).boundingBox()
  if (!box) throw new Error('no plan on this page')
  return { x: box.x + box.width * x, y: box.y + box.height * y }
}
/** Two frames: the plan shows what was pressed. */
const drawn = (page: Page) =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
async function pressPlan(page: Page, x: number, y: number, times: 1 | 2 = 1) {
  const point = await at(page, x, y)
  await page.mouse.move(point.x, point.y)
  await page.mouse.click(point.x, point.y, { clickCount: times, delay: 20 })
  await drawn(page)
}
const net = async (page: Page) =>
  Number((await page.getByRole('button', { name: /^Net area/ }).innerText()).replaceAll(/[^\d.]/g, ''))
async function newArea(page: Page, siteUrl: string, name: string) {
  await page.goto(on.url + siteUrl)
  await press(page, 'Add an area')
  await field(page, 'Name of the area').fill(name)
}

test(
  'a stride is calibrated, and a green is measured by offsets in paces with it; its working holds every ' +
    'line',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/equipment/${named('equipment Taped stride')}`)
    await press(page, 'Another run')
    await field(page, 'Run 4').fill('38.3')
    await page.getByRole('button', { name: /2\.61 ft a pace, 4 runs within 0\.6 %/ }).waitFor()
    await saved(page)
    await newArea(page, `/sites/${SAMPLE_SITES.saltings}`, 'Creek strip')
    await pick(field(page, 'Measured with'), 'paces')
    await pick(field(page, 'Whose stride'), 'Taped stride')
    await page.getByText('2.61 ft a pace, 4 runs').waitFor()
    await pick(field(page, 'Measured as'), 'offsets from a baseline')
    await field(page, 'Step along the line').fill('5 paces')
    // Typed one after the other: Enter goes on and makes the next.
    await page.getByLabel(/^Width 1,/).click()
    for (const width of ['20 ft', '26 ft', '29 ft', '24 ft', '18 ft']) {
      await page.keyboard.type(width)
      await page.keyboard.press('Enter')
    }
    await press(page, 'Take the last away')
    await field(page, 'Worked by').click()
    await page.getByRole('option', { name: /^simpson/ }).click()
    // 5 paces of 100 / mean of 38.5, 38, 38.4, 38.3 ft = 13.058 ft;
    // Simpson 13.058 / 3 x (20 + 18 + 4 x 50 + 2 x 29) = 1288.4 ft2
    await page.getByRole('button', { name: /^Net area 1,290/ }).click()
    await page.getByText(/spacing 5 paces x 2\.61\d+ ft/).waitFor()
    await page.getByText(/scale of Taped stride/).waitFor()
    await page.keyboard.press('Escape')
    await saved(page)
    await expectAccessible(page)
    // An even number of widths is refused by Simpson's rule, in words, and nothing typed is lost.
    await press(page, 'Take the last away')
    await page.getByText(/Simpson’s rule needs an odd number of widths/).waitFor()
    await page.reload()
    expect(await page.getByLabel(/^Width 4,/).inputValue()).toBe('24 ft')
    expectQuiet(watched)
  },
)

test(
  'a perimeter is walked on the phone with the stand-in: paused, a corner undone, taken, and it survives ' +
    'a reload',
  async () => {
    const watched = await watchedPage(on.browser, { width: 390, height: 844 })
    const { page } = watched
    await newArea(page, SCHOOL, 'Back lawn')
    await pick(field(page, 'Measured as'), 'outline: drawn, walked, traced, file')
    await press(page, 'Walk it')
    await press(page, 'Walk with the stand-in')
    await page.getByText(/^(?:[5-9]|\d\d+) positions/).waitFor()
    await press(page, 'Corner here')
    await page.getByText(/, 1 corner/).waitFor()
    await press(page, 'Undo last corner')
    await press(page, 'Pause')
    // Every button of the walk is a thumb's size and lies in the lower half, the plan above it.
    for (const name of ['Take this outline', 'Walk on', 'Undo last corner']) {
      const box = await page.getByRole('button', { name, exact: true }).boundingBox()
      expect(box?.height, name).toBeGreaterThanOrEqual(56)
      expect(box?.y, name).toBeGreaterThan(300)
    }
    await expectAccessible(page)
    await press(page, 'Walk on')
    await page.getByText('The stand-in has come all the way round.').waitFor({ timeout: 30_000 })
    await press(page, 'Take this outline')
    const walked = await net(page)
    // The trial lawn is 38 x 27 less its bay: 10,100 ft2, seen by a phone.
    expect(walked).toBeGreaterThan(7000)
    expect(walked).toBeLessThan(13_000)
    await saved(page)
    await page.reload()
    expect(await net(page)).toBe(walked)
    expect(await field(page, 'The outline was').innerText()).toContain('walked')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    expectQuiet(watched)
  },
)

test(
  'a plan is traced: picture, two points, a distance, an outline over it; undo, a typed side, a crossing ' +
    'told',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/sites`)
    await press(page, 'New site')
    await field(page, 'Name of the site').fill('Traced house')
    await saved(page)
    const siteUrl = new URL(page.url()).pathname
    await page.goto(`${on.url}${siteUrl}/map?tool=picture`)
    await page
      .getByLabel('Picture of the site')
      .setInputFiles({ name: 'plan.png', mimeType: 'image/png', buffer: Buffer.from(CEMETERY_PNG, 'base64') })
    await page.getByText('No scale yet').waitFor()
    await press(page, 'Press two points')
    await pressPlan(page, 0.3, 0.3)
    await pressPlan(page, 0.6, 0.3)
    const kept = page.waitForResponse((answer) => answer.request().postData()?.includes('120 ft') ?? false)
    await field(page, 'Taped distance between them').fill('120 ft')
    await page.getByText(/One pixel is .* cm/).waitFor()
    await kept
    await newArea(page, siteUrl, 'Lawn')
    await pick(field(page, 'Measured as'), 'outline: drawn, walked, traced, file')
    await press(page, 'Draw')
    for (const [x, y] of [
      [0.3, 0.3],
      [0.7, 0.3],
      [0.7, 0.7],
      [0.3, 0.7],
    ] as const)
      await pressPlan(page, x, y)
    await pressPlan(page, 0.3, 0.3)
    await page.getByRole('button', { name: /^Net area/ }).waitFor()
    expect(await field(page, 'The outline was').innerText()).toContain('traced')
    const drawn = await net(page)
    await page.getByRole('button', { name: /^Net area/ }).click()
    await page.getByText(/scale of the picture, 120 ft between its two points/).waitFor()
    await page.keyboard.press('Escape')
    // A side by its typed length, and back again.
    await press(page, 'Type its sides')
    const side = page.getByLabel('Side 1', { exact: true })
    const before = Number((await side.inputValue()).replaceAll(',', ''))
    await side.fill(String(before * 2))
    await side.press('Tab')
    await expect.poll(() => net(page)).toBeGreaterThan(drawn * 1.2)
    await press(page, 'Undo')
    await expect.poll(() => net(page)).toBe(drawn)
    // Arrow keys move a corner; far enough, the outline crosses itself and says where.
    const corner = page.getByRole('button', { name: /^Corner 1:/ })
    await corner.focus()
    await page.keyboard.press('ArrowRight')
    await expect.poll(() => net(page)).not.toBe(drawn)
    for (let i = 0; i < 90; i++)
      await page.getByRole('button', { name: /^Corner 1:/ }).press('Shift+ArrowRight')
    await page
      .getByText(/The outline crosses itself between side/)
      .first()
      .waitFor()
    await saved(page)
    expectQuiet(watched)
  },
)

test(
  'outlines come from a dropped file: looked at, smoothed, named, added; then split, merged, sampled and ' +
    'written out again',
  async () => {
    const watched = await watchedPage(on.browser)
    const { page } = watched
    await page.goto(`${on.url}/sites`)
    await press(page, 'New site')
    await field(page, 'Name of the site').fill('From a file')
    await saved(page)
    await page.goto(`${on.url}${new URL(page.url()).pathname}/map?tool=file`)
    // 0.0005 degrees of longitude by 0.0003 of latitude at 39 north: 43.3 m by 33.3 m = 1,442 m2 = 15,520 ft2
    const corner = (lon: number, lat: number) => `<trkpt lat="${lat}" lon="${lon}"/>`
    const track = [
      [-70.4, 39],
      [-70.3995, 39],
      [-70.3995, 39.0003],
      [-70.4, 39.0003],
    ]
      .map(([lon, lat]) => corner(lon ?? 0, lat ?? 0))
      .join('')
    const drop = async (name: string, text: string) => {
      const data = await page.evaluateHandle(
        ([file, body]) => {
          const transfer = new DataTransfer()
          transfer.items.add(new File([body ?? ''], file ?? ''))
          return transfer
        },
        [name, text],
      )
      await page.locator('section.import').dispatchEvent('drop', { dataTransfer: data })
    }
    await drop('bad.gpx', '<!DOCTYPE gpx [<!ENTITY a "b">]><gpx>&a;</gpx>')
    await page.getByText('declares a document type or entities').waitFor()
    await drop(
      'lawn.gpx',
      `<gpx version="1.1"><trk><name>Big lawn</name><trkseg>${track}</trkseg></trk></gpx>`,
    )
    await page.getByText('GPX file lawn.gpx: 1 outline').waitFor()
    await field(page, 'Name of outline 1').fill('Great lawn')
    await expectAccessible(page)
    await press(page, 'Add as areas')
    await page.getByText(/15,5\d0 ft²/).waitFor()

    await press(page, 'Split')
    await page.getByLabel('So far in').fill('71 ft')
    await page.getByLabel('So far in').press('Tab')
    await page.getByLabel('Name of the part to the right of the line').fill('East half')
    await page.locator('.tools').getByRole('button', { name: 'Split', exact: true }).last().click()
    await page.getByText('East half').first().waitFor()
    await press(page, 'Soil samples')
    await press(page, 'Place them')
    await page.locator('.tools ol li').nth(14).waitFor()
    await press(page, 'Merge')
    await page
      .locator('.tools')
      .getByText(/Together 15,5\d0/)
      .waitFor()
    await page.locator('.tools').getByRole('button', { name: 'Merge', exact: true }).last().click()
    await expect.poll(() => page.locator('.plan-label').getByText('East half').count()).toBe(0)
    await press(page, 'Undo')
    await page.getByText('East half').first().waitFor()

    await press(page, 'Export')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'GeoJSON' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('from-a-file.geojson')
    const written = JSON.parse(
      await (await import('node:fs/promises')).readFile(await download.path(), 'utf8'),
    ) as { features: { properties: { name: string }; geometry: { type: string } }[] }
    expect(written.features.filter(({ geometry }) => geometry.type === 'MultiPolygon')).toHaveLength(2)
    expect(written.features.filter(({ geometry }) => geometry.type === 'Point').length).toBe(15)
    expectQuiet(watched)
  },
)
