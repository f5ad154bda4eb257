import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part } from '../../test/support/documents'
import { blankArea } from './blankArea'
import { readSiteMap } from './siteMap'

const lawn = (parts: ReturnType<typeof part>[]) =>
  readSiteMap(
    [{ id: 'a', name: 'Front', document: { ...blankArea('part', 'metric-100'), parts } }],
    '2026-05-06',
  ).layout.labels[0]?.at

test('a name stands in the middle, or where a bed leaves most room', () => {
  const metres = (text: string) => typed(text, 'm' as const)
  const square = {
    ...part('add', 'rectangle', {}),
    id: 'lawn',
    lengths: { length: metres('20'), width: metres('20') },
    place: { x: 0, y: 0, turn: 0 },
  }
  const [x = 0, y = 0] = lawn([square]) ?? []
  const bed = {
    ...part('subtract', 'circle', {}),
    id: 'bed',
    lengths: { diameter: metres('6') },
    place: { x, y, turn: 0 },
  }
  const beside = { ...bed, place: { x: x + 3.5, y, turn: 0 } }
  // Its edge lies half a metre from the middle: words there would be struck through.
  expect(lawn([square, beside])?.[0]).toBeLessThan(x - 1)
  // With four metres to its edge the middle has room.
  const [far] = lawn([square, { ...bed, place: { x: x + 7, y, turn: 0 } }]) ?? []
  expect(far).toBeCloseTo(x, 9)
  // A strip a metre and a half broad has room nowhere: words stay in its middle.
  const strip = { ...square, lengths: { length: metres('20'), width: metres('1.5') } }
  const [mid = 0, across = 0] = lawn([strip]) ?? []
  const post = { ...bed, lengths: { diameter: metres('1') }, place: { x: mid + 0.8, y: across, turn: 0 } }
  expect(lawn([strip, post])?.[0]).toBeCloseTo(mid, 9)
  const [u = 0, v = 0] = lawn([square, bed]) ?? []
  expect(Math.hypot(u - x, v - y)).toBeGreaterThan(3)
  // The roomiest places of a square round a bed lie towards its corners.
  expect(Math.abs(u - x)).toBeGreaterThan(4)
  expect(Math.abs(v - y)).toBeGreaterThan(4)
})
