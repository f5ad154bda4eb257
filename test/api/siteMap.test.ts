import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { blankPart } from '../../core/ground/blankArea'
import type { LawnPart } from '../../core/ground/areaShape'
import type { Point } from '../../core/ground/plane'
import { CEMETERY_PNG } from '../../demo/cemeteryPicture'
import { CEMETERY_PICTURE } from '../../demo/sampleGround'
import { named, typed } from '../../demo/typed'
import type { Area, AreaSize, SaveArea, Site } from '../../shared/schemas/ground'
import { clientOf, type Client } from '../support/client'
import { anArea, aSite } from '../support/rows'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
let other: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
  other = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'Measurers', units: 'us-1000' })
  await other.post('/api/organizations', { id: uuid(), name: 'Others', units: 'us-1000' })
})
afterAll(() => served.stop())

const outline = (points: readonly Point[], sign: LawnPart['sign'] = 'add'): LawnPart => ({
  ...blankPart(uuid(), sign, 'outline', 'us-1000'),
  outline: { from: 'walked', points, pointError: typed('2', 'm'), origin: 'a walk' },
})
const box = (x: number, y: number, w: number, h: number): readonly Point[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
const drawn = (siteId: string, name: string, parts: readonly LawnPart[]): SaveArea => ({
  ...anArea(siteId, name),
  document: { ...anArea(siteId).document, parts },
})
const site = async (document: Partial<Site['document']> = {}) => {
  const id = uuid()
  const row = aSite('Plan & Co <site>')
  expect(
    (await client.put(`/crew/library/sites/${id}`, { ...row, document: { ...row.document, ...document } }))
      .status,
  ).toBe(200)
  return id
}
const areasOf = async (siteId: string) =>
  (await client.get(`/crew/library/areas?siteId=${siteId}`)).body as Area[]
const picture = async (body: Uint8Array<ArrayBuffer>, id = uuid(), type = 'image/png') =>
  fetch(await client.address(`/crew/attachments/${id}`), {
    method: 'PUT',
    body,
    headers: { 'content-type': type },
  })

test('several areas change as one, or none does; a repeat changes nothing', async () => {
  const siteId = await site()
  const [first, second] = [uuid(), uuid()]
  const body = {
    areas: [
      { id: first, ...drawn(siteId, 'West', [outline(box(0, 0, 20, 10))]) },
      { id: second, ...drawn(siteId, 'East', [outline(box(20, 0, 10, 10))]) },
    ],
    removed: [],
  }
  expect((await client.post(`/crew/sites/${siteId}/map`, body)).body).toMatchObject([
    { sizeM2: 200, version: 1 },
    { sizeM2: 100 },
  ])
  expect((await client.post(`/crew/sites/${siteId}/map`, body)).body).toMatchObject([
    { version: 1 },
    { version: 1 },
  ])
  // A merge whose second half is stale leaves the first half alone too.
  const merged = {
    id: first,
    ...drawn(siteId, 'Both', [outline(box(0, 0, 20, 10)), outline(box(20, 0, 10, 10))]),
    version: 1,
  }
  expect(
    (
      await client.post(`/crew/sites/${siteId}/map`, {
        areas: [merged],
        removed: [{ id: second, version: 9 }],
      })
    ).status,
  ).toBe(409)
  expect((await areasOf(siteId)).map(({ name }) => name).toSorted()).toEqual(['East', 'West'])
  const done = { areas: [merged], removed: [{ id: second, version: 1 }] }
  expect((await client.post(`/crew/sites/${siteId}/map`, done)).body).toMatchObject([
    { name: 'Both', sizeM2: 300, version: 2 },
  ])
  expect((await client.post(`/crew/sites/${siteId}/map`, done)).status).toBe(200)
  expect((await areasOf(siteId)).map(({ name }) => name)).toEqual(['Both'])
  expect(
    ((await client.get(`/crew/areas/${first}/sizes`)).body as AreaSize[]).map(({ sizeM2 }) => sizeM2),
  ).toEqual([300])
  expect(
    (
      await client.post(`/crew/sites/${siteId}/map`, {
        areas: [{ id: uuid(), ...drawn(await site(), 'Astray', []) }],
        removed: [],
      })
    ).status,
  ).toBe(400)
  expect((await other.post(`/crew/sites/${siteId}/map`, { areas: [], removed: [] })).status).toBe(404)
})

test('an outline that crosses itself is kept as drawn and has no size', async () => {
  const siteId = await site()
  const id = uuid()
  const saved = await client.put(
    `/crew/library/areas/${id}`,
    drawn(siteId, 'Tie', [
      outline([
        [0, 0],
        [9, 9],
        [9, 0],
        [0, 9],
      ]),
    ]),
  )
  expect(saved.body).toMatchObject({
    sizeM2: null,
    document: { parts: [{ outline: { points: { length: 4 } } }] },
  })
})

test('a site is copied with its areas and without its past; a repeat finds the copy', async () => {
  const siteId = await site({ anchor: { lat: 39, lon: -70, bearing: 0 } })
  await client.put(`/crew/library/areas/${uuid()}`, drawn(siteId, 'West', [outline(box(0, 0, 20, 10))]))
  const copy = { id: uuid(), name: 'The copy' }
  expect((await client.post(`/crew/sites/${siteId}/copy`, copy)).body).toMatchObject({
    id: copy.id,
    name: 'The copy',
    document: { anchor: { lat: 39 } },
  })
  expect((await client.post(`/crew/sites/${siteId}/copy`, copy)).status).toBe(200)
  expect(await areasOf(copy.id)).toMatchObject([{ name: 'West', sizeM2: 200 }])
  expect((await other.post(`/crew/sites/${siteId}/copy`, { id: uuid(), name: 'Theirs' })).status).toBe(404)
})

test('files for other programs: only with a position; the table always', async () => {
  const bare = await site()
  await client.put(`/crew/library/areas/${uuid()}`, anArea(bare))
  const file = async (id: string, format: string) => {
    const answer = await fetch(await client.address(`/crew/sites/${id}/export?format=${format}`))
    return {
      status: answer.status,
      type: answer.headers.get('content-type'),
      name: answer.headers.get('content-disposition'),
      text: await answer.text(),
    }
  }
  expect(await file(bare, 'kml')).toMatchObject({
    status: 422,
    text: expect.stringContaining('not-anchored'),
  })
  expect((await file(bare, 'csv')).text).toMatch(/^area,use,size_m2,.*\r\nFront,turf,464\.51/)
  expect((await file(bare, 'doc')).status).toBe(400)
  const anchored = await site({ anchor: { lat: 39, lon: -70, bearing: 0 } })
  expect((await file(anchored, 'gpx')).text).toContain('No area of this site is drawn')
  await client.put(
    `/crew/library/areas/${uuid()}`,
    drawn(anchored, '=Front', [outline(box(0, 0, 20, 10)), outline(box(5, 5, 3, 2), 'subtract')]),
  )
  expect(await file(anchored, 'geojson')).toMatchObject({
    status: 200,
    type: 'application/geo+json',
    name: 'attachment; filename="plan-co-site.geojson"',
  })
  expect((await file(anchored, 'kml')).text).toContain('<name>Plan &amp; Co &lt;site&gt;</name>')
  expect((await file(anchored, 'csv')).text).toContain("'=Front")
})

test('pictures are known by their content, kept once, served as they are', async () => {
  const png = new Uint8Array(Buffer.from(CEMETERY_PNG, 'base64'))
  const id = uuid()
  const kept = await picture(png, id)
  expect(await kept.json()).toEqual({ id, type: 'image/png', width: 700, height: 520 })
  expect((await picture(png, id)).status).toBe(200)
  const jpegNamed = await picture(png, uuid(), 'image/jpeg')
  expect(await jpegNamed.json()).toMatchObject({ type: 'image/png' })
  expect((await picture(new Uint8Array(Buffer.from('<svg onload="alert(1)"/>')))).status).toBe(400)
  expect((await picture(png.slice(0, 20))).status).toBe(400)
  expect((await picture(new Uint8Array(10 * 1024 * 1024 + 1))).status).toBe(413)
  expect((await picture(png, uuid(), 'text/html')).status).toBe(415)
  const changed = png.slice()
  changed[30] = 1
  expect((await picture(changed, id)).status).toBe(409)
  const back = await fetch(await client.address(`/crew/attachments/${id}`))
  expect(back.headers.get('content-type')).toBe('image/png')
  expect(back.headers.get('x-content-type-options')).toBe('nosniff')
  expect(Buffer.from(await back.arrayBuffer()).equals(Buffer.from(png))).toBe(true)
  expect((await other.get(`/crew/attachments/${id}`)).status).toBe(404)
  const plan = await fetch(await clientOf(served.url).address(`/crew/attachments/${CEMETERY_PICTURE}`))
  expect(plan.status).toBe(200)
})

test('the sample’s plans read: traced, walked, by offsets', async () => {
  const sample = clientOf(served.url)
  const rows = (await sample.get(`/crew/library/areas?siteId=${named('site Quarry Lane Cemetery')}`))
    .body as Area[]
  expect(rows.find(({ name }) => name === 'West slope')).toMatchObject({
    sizeM2: expect.any(Number),
    document: { parts: expect.arrayContaining([expect.objectContaining({ shape: 'outline' })]) },
  })
})
