import { expect, test } from 'vitest'
import { COMPASS_POINTS, degreesOf, pointNear, sideOf } from './compass'

test('every point of the compass is the one nearest to its own direction, and to a little off it', () => {
  expect(COMPASS_POINTS.map((point) => pointNear(degreesOf(point) + 22))).toEqual([...COMPASS_POINTS])
  expect([pointNear(-30), pointNear(350), pointNear(719)]).toEqual(['NW', 'N', 'N'])
})

test('sides and corners of a box', () => {
  const box = { minX: 0, minY: 0, maxX: 10, maxY: 4 }
  expect([sideOf(box, 'S'), sideOf(box, 'NE'), sideOf(box, 'W')]).toEqual([
    [5, 0],
    [10, 4],
    [0, 2],
  ])
})
