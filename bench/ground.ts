import { openCrew } from './openCrew'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import type { Browser, Page } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import { blankArea, blankPart } from '../core/ground/blankArea'
import type { Point } from '../core/ground/plane'
import { drawsFrom } from '../core/quantity/draws'
import { percentile, round } from './statistics'
import { wobbly } from './wobbly'

const TRACK_POINTS = 200_000
const DRAGGED_CORNERS = 2000

/** Gaps between frames of the page while something is done, ms. */
async function framesWhile(page: Page, work: () => Promise<void>) {
  // As text: what compiles this file leaves helpers in functions that a page does not have.
  await page.evaluate(`(() => {
    window.gaps = []
    window.going = true
    let last = performance.now()
    requestAnimationFrame(function tick(now) {
      window.gaps.push(now - last)
      last = now
      if (window.going) requestAnimationFrame(tick)
    })
  })()`)
  await work()
  const gaps = await page.evaluate<number[]>(`(window.going = false, window.gaps.slice(1))`)
  const sum = gaps.reduce((total, gap) => total + gap, 0)
  return {
    frames: gaps.length,
    perSecond: round((1000 * gaps.length) / sum),
    p50: round(percentile(gaps, 0.5)),
    p99: round(percentile(gaps, 0.99)),
    worst: round(Math.max(...gaps)),
  }
}

const json = { 'content-type': 'application/json' }

/**
 * A track of two hundred thousand points read in the real page, and a corner of an outline of two thousand
 * dragged.
 */
export async function planInBrowser(chrome: Browser, url: string) {
  const context = await chrome.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  const [siteId, areaId] = [uuid(), uuid()]
  const crew = await openCrew(url)
  const put = (path: string, body: unknown) =>
    fetch(`${crew}${path}`, { method: 'PUT', headers: json, body: JSON.stringify(body) })
  await put(`/library/sites/${siteId}`, {
    version: 0,
    name: 'Bench',
    place: '',
    document: {
      schema: 1,
      contact: '',
      notices: '',
      water: '',
      notes: '',
      anchor: { lat: 39, lon: -70, bearing: 0 },
    },
  })
  const points = wobbly(0, 0, 60, DRAGGED_CORNERS, drawsFrom(3)).map(([x, y]): Point => [
    Math.round(x * 1000) / 1000,
    Math.round(y * 1000) / 1000,
  ])
  const blank = blankPart(uuid(), 'add', 'outline', 'us-1000')
  await put(`/library/areas/${areaId}`, {
    version: 0,
    siteId,
    name: 'Dragged',
    position: 0,
    document: {
      ...blankArea(uuid(), 'us-1000'),
      parts: [{ ...blank, outline: { ...blank.outline, points } }],
    },
  })

  const draw = drawsFrom(2)
  const track = Array.from({ length: TRACK_POINTS }, (_, i) => {
    const at = (2 * Math.PI * i) / TRACK_POINTS
    return (
      `<trkpt lat="${(39 + 0.002 * Math.sin(at) + 5e-6 * (draw() - 0.5)).toFixed(7)}" ` +
      `lon="${(-70 + 0.003 * Math.cos(at) + 5e-6 * (draw() - 0.5)).toFixed(7)}"/>`
    )
  }).join('')
  // From the disk: handed over by the driver it would be decoded on the page's own thread.
  const path = join(mkdtempSync(join(tmpdir(), 'hectarum-track-')), 'long.gpx')
  const file = Buffer.from(`<gpx version="1.1"><trk><name>Long</name><trkseg>${track}</trkseg></trk></gpx>`)
  writeFileSync(path, file)
  await page.goto(`${url}/sites/${siteId}/map?tool=file`)
  await page.getByLabel('File of outlines').waitFor({ state: 'attached' })
  let importMs = 0
  const importFrames = await framesWhile(page, async () => {
    const begun = performance.now()
    await page.getByLabel('File of outlines').setInputFiles(path)
    await page.getByText(/corners kept/).waitFor({ timeout: 120_000 })
    importMs = performance.now() - begun
  })

  await page.goto(`${url}/sites/${siteId}/areas/${areaId}`)
  await page.locator('.marker-icon').first().waitFor()
  await page.waitForTimeout(1000)
  const handle = await page.locator('.marker-icon:not(.marker-icon-middle)').first().boundingBox()
  if (!handle) throw new Error('no corner to drag')
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
  await page.mouse.down()
  const dragFrames = await framesWhile(page, async () => {
    for (let i = 0; i < 180; i++) {
      await page.mouse.move(handle.x + 60 * Math.sin(i / 15), handle.y + 40 * Math.cos(i / 11))
      await page.waitForTimeout(12)
    }
  })
  await page.mouse.up()
  await context.close()
  return {
    trackImport: {
      points: TRACK_POINTS,
      megabytes: round(file.length / 1024 / 1024),
      ms: Math.round(importMs),
      pageFramesMs: importFrames,
    },
    drag: { corners: DRAGGED_CORNERS, framesMs: dragFrames },
  }
}
