import { expect, test } from 'vitest'
import { toEarth, type Anchor } from '../../ground/geodesy'
import type { LanePlan } from '../plan/lanePlan'
import { writeLanesGeoJson, writeLanesGpx } from './writeLanes'

const anchor: Anchor = { lat: 40, lon: -75, bearing: 30 }
const plan: LanePlan = {
  passes: [
    {
      direction: 0,
      lanes: [
        {
          number: 1,
          header: true,
          edge: true,
          line: [
            [0, 0],
            [0, 100],
          ],
          length: 100,
        },
        {
          number: 2,
          header: false,
          edge: false,
          line: [
            [3, 100],
            [3, 0],
          ],
          length: 100,
        },
      ],
    },
  ],
  distance: 200,
  turns: 1,
  seconds: 0,
  between: 0,
  reasons: [],
}
const lawns = [{ id: 'a', name: 'Front & side', plan }]

test('lanes as GeoJSON: a line each, where they lie on the earth', () => {
  const { features } = JSON.parse(writeLanesGeoJson(lawns, anchor)) as {
    features: { properties: object; geometry: { coordinates: number[][] } }[]
  }
  expect(features.map(({ properties }) => properties)).toEqual([
    { lawn: 'Front & side', pass: 1, lane: 1, header: true, length_m: 100 },
    { lawn: 'Front & side', pass: 1, lane: 2, header: false, length_m: 100 },
  ])
  const [lon, lat] = toEarth([0, 100], anchor)
  expect(features[0]?.geometry.coordinates[1]?.[0]).toBeCloseTo(lon, 7)
  expect(features[0]?.geometry.coordinates[1]?.[1]).toBeCloseTo(lat, 7)
})

test('lanes as GPX: a route each in walking order, names as XML takes them', () => {
  const gpx = writeLanesGpx(lawns, anchor)
  expect(gpx.match(/<rte>/g)).toHaveLength(2)
  expect(gpx).toContain('<name>Front &amp; side, lane 2, pass 1</name><number>2</number>')
  expect(gpx.match(/<rtept lat="[\d.]+" lon="-[\d.]+">/g)).toHaveLength(4)
})
