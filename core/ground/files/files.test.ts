import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Polygon } from '../clipping'
import { polygonArea } from '../combineOutlines'
import { ringToPlan, toEarth, type Position } from '../geodesy'
import { ringArea, type Ring } from '../plane'
import { MOST_BYTES } from './foundGround'
import { readGroundText } from './readGroundText'
import { writeGeoJson, writeGpx, writeKml, type WrittenArea } from './writeGround'

const anchor = { lat: 39.02, lon: -76.41, bearing: 0 }
const L: Ring = [
  [0, 0],
  [30, 0],
  [30, 12],
  [18, 12],
  [18, 25],
  [0, 25],
]
const hole: Ring = [
  [4, 4],
  [4, 8],
  [9, 8],
  [9, 4],
]
const area = (net: readonly Polygon[], name = 'Front & <side>'): WrittenArea => ({
  id: '019df000-0000-7000-8001-000000000001',
  name,
  net,
  sizeM2: polygonArea(net),
  sdM2: 2,
  samples: [
    [3, 3],
    [20, 5],
  ],
})
const read = (text: string, near?: Position) => readGroundText(text, text.length, near)
const kindOf = (text: string, near?: Position) => {
  const found = read(text, near)
  return found.ok ? found.value.kind : found.error.kind
}

describe('round trips', () => {
  const WRITERS = {
    GeoJSON: writeGeoJson,
    KML: (areas: readonly WrittenArea[], at: typeof anchor) => writeKml('A & B', areas, at),
    GPX: (areas: readonly WrittenArea[], at: typeof anchor) => writeGpx('A & B', areas, at),
  } as const

  test.each(Object.entries(WRITERS))(
    '%s: written, read, and the same ground to a ten-thousandth',
    (kind, write) => {
      const radius = fc.integer({ min: 8, max: 90 })
      fc.assert(
        fc.property(
          fc.array(radius, { minLength: 4, maxLength: 15 }),
          fc.integer({ min: 0, max: 359 }),
          (radii, bearing) => {
            const ring = radii.map(
              (r, i) =>
                [
                  r * Math.cos((2 * Math.PI * i) / radii.length),
                  r * Math.sin((2 * Math.PI * i) / radii.length),
                ] as const,
            )
            const back = read(write([area([[ring]])], { ...anchor, bearing }))
            expect(back.ok && back.value.kind).toBe(kind)
            if (!back.ok) return
            expect(back.value.shapes[0]?.name).toBe('Front & <side>')
            expect(
              ringArea(ringToPlan(back.value.shapes[0]?.places ?? [], anchor)) / ringArea(ring),
            ).toBeCloseTo(1, 3)
          },
        ),
      )
    },
  )

  test('holes, several pieces and samples keep their kind', () => {
    const net: readonly Polygon[] = [
      [L, hole],
      [
        [
          [50, 0],
          [60, 0],
          [60, 10],
          [50, 10],
        ],
      ],
    ]
    const geo = read(writeGeoJson([area(net)], anchor))
    expect(geo.ok && geo.value.shapes.map(({ holes }) => holes.length)).toEqual([1, 0])
    expect(geo.ok && geo.value.skipped).toBe(2)
    const kml = read(writeKml('A', [area(net)], anchor))
    expect(kml.ok && kml.value).toMatchObject({
      skipped: 2,
      shapes: [{ kind: 'ring', holes: [{ length: 4 }] }, { holes: [] }],
    })
    const gpx = read(writeGpx('A', [area(net)], anchor))
    expect(gpx.ok && gpx.value.shapes).toHaveLength(3)
  })

  test('outlines run against the clock and holes with it, as RFC 7946 wants', () => {
    const { features } = JSON.parse(writeGeoJson([area([[L.toReversed(), hole]])], anchor)) as {
      features: { geometry: { coordinates: number[][][][] } }[]
    }
    const turn = (ring: number[][]) =>
      ring.reduce(
        (sum, [x = 0, y = 0], i) =>
          sum + x * (ring[(i + 1) % ring.length]?.[1] ?? 0) - (ring[(i + 1) % ring.length]?.[0] ?? 0) * y,
        0,
      )
    const [outer, inner] = features[0]?.geometry.coordinates[0] ?? []
    expect(turn(outer?.map(([x = 0, y = 0]) => [x + 76.41, y - 39.02]) ?? [])).toBeGreaterThan(0)
    expect(turn(inner?.map(([x = 0, y = 0]) => [x + 76.41, y - 39.02]) ?? [])).toBeLessThan(0)
    expect(outer?.[0]).toEqual(outer?.at(-1))
  })
})

test('files of others: a recorded track, a route, a multi-track, nested collections', () => {
  const places = L.map((point) => toEarth(point, anchor))
  const coords = places.map(([lon, lat]) => `<gx:coord>${lon} ${lat} 12</gx:coord>`).join('')
  const track = read(
    '<kml xmlns="http://www.opengis.net/kml/2.2" ' +
      `xmlns:gx="x"><Document><Folder><Placemark><name>Round</name><gx:MultiTrack><gx:Track>${coords}` +
      '</gx:Track></gx:MultiTrack></Placemark></Folder></Document></kml>',
  )
  expect(track.ok && track.value.shapes).toMatchObject([
    { name: 'Round', kind: 'line', places: { length: 6 } },
  ])
  const route = read(
    `\uFEFF<?xml version="1.0"?><gpx ` +
      'version="1.0"><rte><name>7</name>' +
      `${places.map(([lon, lat]) => `<rtept lat="${lat}" lon="${lon}"/>`).join('')}</rte></gpx>`,
  )
  expect(route.ok && route.value.shapes).toMatchObject([{ name: '7', places: { length: 6 } }])
  const nested = read(
    JSON.stringify({
      type: 'GeometryCollection',
      geometries: [
        {
          type: 'MultiLineString',
          coordinates: [
            places,
            [
              [0, 0],
              [1, 1],
            ],
          ],
        },
      ],
    }),
  )
  expect(nested.ok && nested.value).toMatchObject({ shapes: { length: 1 }, skipped: 1 })
})

test.each([
  ['empty', ' \n', 'empty'],
  ['cut short JSON', '{"type":"FeatureCollection","features":[', 'notRead'],
  ['other JSON', '{"a":1}', 'notRead'],
  ['cut short XML', '<gpx><trk><trkseg><trkpt lat="1" lon="2">', 'notRead'],
  ['other XML', '<svg></svg>', 'notRead'],
  ['a packed file', 'PK\u0003\u0004', 'notRead'],
  ['prose', 'Hello', 'notRead'],
  [
    'entities that grow without end',
    '<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx>&b;</gpx>',
    'hostile',
  ],
  [
    'an entity that reads a file',
    '<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY f SYSTEM ' +
      '"file:///etc/passwd">]><gpx><trk><name>&f;</name></trk></gpx>',
    'hostile',
  ],
  ['only a place', '{"type":"Point","coordinates":[1,2]}', 'noGround'],
  [
    'latitude first',
    '{"type":"LineString","coordinates":[[39,-176],[39.001,-176],[39.001,-176.001],[39,-176]]}',
    'swapped',
  ],
  [
    'metres of a grid',
    '{"type":"LineString","coordinates":[[512345,4312345],[512445,4312345],[512445,4312445]]}',
    'notDegrees',
  ],
  [
    'another grid by name',
    '{"type":"FeatureCollection","crs":{"type":"name",' +
      '"properties":{"name":"urn:ogc:def:crs:EPSG::32618"}},"features":[]}',
    'notDegrees',
  ],
  ['words for numbers', '{"type":"LineString","coordinates":[["a","b"],[1,2],[2,3]]}', 'notRead'],
  [
    'coordinates that nest for ever',
    `${'{"type":"GeometryCollection","geometries":['.repeat(200)}${']}'.repeat(200)}`,
    'noGround',
  ],
] as const)('%s is refused in words', (_, text, kind) => {
  expect(kindOf(text)).toBe(kind)
  const found = read(text)
  expect(found.ok ? '' : found.error.message).toMatch(/[.]$/)
})

test(
  'too large and too many are refused before they are looked at; swapped axes are known by where the ' +
    'site is',
  () => {
    const large = readGroundText('{}', MOST_BYTES + 1)
    expect(large.ok ? '' : large.error.kind).toBe('tooLarge')
    const many = JSON.stringify({
      type: 'LineString',
      coordinates: Array.from({ length: 200_001 }, (_, i) => [i / 1e6, 1]),
    })
    expect(kindOf(many)).toBe('tooManyPoints')
    const swapped = JSON.stringify({
      type: 'LineString',
      coordinates: [
        [39.02, -76.41],
        [39.021, -76.41],
        [39.021, -76.411],
      ],
    })
    expect(kindOf(swapped, [-76.41, 39.02])).toBe('swapped')
    expect(kindOf(swapped)).toBe('GeoJSON')
  },
)

test('anything at all is answered, never thrown', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.string().map((text) => `<gpx>${text}</gpx>`),
      ),
      (text) => {
        expect(typeof read(text).ok).toBe('boolean')
      },
    ),
  )
})
