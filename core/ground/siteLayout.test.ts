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
  const [u = 0, v = 0] = lawn([square, bed]) ?? []
  expect(Math.hypot(u - x, v - y)).toBeGreaterThan(3)
  // The roomiest places of a square round a bed lie towards its corners.
  expect(Math.abs(u - x)).toBeGreaterThan(4)
  expect(Math.abs(v - y)).toBeGreaterThan(4)
})
