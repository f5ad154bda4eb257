import { expect, test } from 'vitest'
import { foldRun } from './foldRun'
import { planApplication } from '../plan/planApplication'
import type { PlanRequest } from '../plan/planRequest'
import { quantity } from '../quantity/quantity'
import type { FrozenPlan, RunEvent } from './runEvent'
import { isOnTreated, treatedFeatures, treatedLawns } from './treatedGround'

const SQUARE = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
] as const
const AT_THE_EQUATOR = { lat: 0, lon: 0, bearing: 0 }
/** A degree of longitude there: 2 pi x 6,378,137 m / 360. */
const METRES_A_DEGREE = 111_319.4908

const lawn = (id: string, name: string, drawn: 'drawn' | 'dimensions') => ({
  id,
  name,
  treated: 'yes',
  parts: [],
  outlines: { net: drawn === 'drawn' ? [[SQUARE]] : [], added: 100, taken: 0, strays: [] },
})
const request: PlanRequest = {
  areas: [
    { id: 'a1', name: 'Front', size: quantity(100, 'm2') },
    { id: 'a2', name: 'Known by its dimensions', size: quantity(60, 'm2') },
  ],
  products: [{ id: 'p', rate: quantity(3, 'lb/1000 ft2') }],
  method: { kind: 'spread', passes: 1 },
}
const plan = planApplication(request)
if (!plan.ok) throw new Error('the test plan does not plan')
const frozen = {
  site: 'Elm House',
  labels: [{ productId: 'p', name: 'Feed', registration: '' }],
  request,
  plan: plan.value,
  worked: {
    lawns: [lawn('a1', 'Front', 'drawn'), lawn('a2', '', 'dimensions'), lawn('a3', 'Not treated', 'drawn')],
  },
} as unknown as FrozenPlan
const used = {
  treated: quantity(160, 'm2'),
  putIn: [{ productId: 'p', amount: quantity(6, 'lb') }],
  left: quantity(0, 'lb'),
}
const events = [
  { kind: 'planned', payload: frozen },
  { kind: 'started', payload: {} },
  { kind: 'spot', payload: { id: 's1', at: [5, 5] } },
  { kind: 'used', payload: used },
  { kind: 'finished', payload: { by: 'R. Okafor', licence: '', target: '', weather: '', remarks: '' } },
].map((body, i) => ({
  ...body,
  id: `e${i}`,
  deviceId: 'd',
  sequence: i + 1,
  counter: i + 1,
  at: '2026-05-06T12:00:00.000Z',
}))
const record = foldRun(events as readonly RunEvent[])!

test('each treated lawn that lies somewhere is a feature with what went down on it', () => {
  const { features, unplaced } = treatedFeatures('r', record, AT_THE_EQUATOR)
  expect(features.map(({ geometry }) => geometry.type)).toEqual(['MultiPolygon', 'Point'])
  expect(unplaced).toEqual(['Known by its dimensions'])
  const [front, spot] = features
  expect(front?.properties).toMatchObject({
    lawn: 'Front',
    record: 'r',
    products: expect.stringContaining('at'),
  })
  const [ring] = front?.geometry.type === 'MultiPolygon' ? front.geometry.coordinates[0]! : []
  expect(ring?.[0]).toEqual(ring?.at(-1))
  // Ten metres east of the anchor.
  expect(Math.max(...(ring ?? []).map(([lon]) => lon))).toBeCloseTo(10 / METRES_A_DEGREE, 7)
  expect(spot?.geometry).toMatchObject({
    type: 'Point',
    coordinates: [expect.closeTo(5 / METRES_A_DEGREE, 7), expect.any(Number)],
  })
})

test('without a place on the earth every lawn is named, and no spot is put anywhere', () => {
  const { features, unplaced } = treatedFeatures('r', record, undefined)
  expect(features).toEqual([])
  expect(unplaced).toEqual(['Front', 'Known by its dimensions'])
})

test('only what was treated is on the map of a record', () => {
  expect(treatedLawns(record).map(({ id }) => id)).toEqual(['a1', 'a2'])
})

test.each([
  ['on the lawn', [2, 2], true],
  ['beside it', [12, 5], false],
  ['on a bed that is taken from it', [5, 5], false],
] as const)('a spot %s', (_, at, expected) => {
  const bed = [
    [4, 4],
    [6, 4],
    [6, 6],
    [4, 6],
  ] as const
  const shape = (sign: 'add' | 'subtract', ring: typeof SQUARE | typeof bed) => ({
    lawnId: 'a1',
    partId: sign,
    sign,
    rings: [ring],
    place: undefined,
  })
  expect(isOnTreated({ shapes: [shape('add', SQUARE), shape('subtract', bed)] }, at)).toBe(expected)
})
