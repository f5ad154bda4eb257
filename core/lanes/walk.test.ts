import { expect, test } from 'vitest'
import { metres, metresPerSecond, squareMetres } from '../quantity/quantity'
import { openWorkingBook } from '../working/working'
import { walkOf } from './walk'

test('walk: 5,870 ft2 twice in lanes of 11 ft is 1,067 ft, 234.7 s at 3.1 mph', () => {
  const book = openWorkingBook()
  const walk = walkOf(
    squareMetres(5870 * 0.09290304),
    metres(11 * 0.3048),
    2,
    metresPerSecond(3.1 * 0.44704),
    book,
  )
  expect(walk.distance / 0.3048).toBeCloseTo(1067.2727, 3)
  expect(walk.seconds).toBeCloseTo(234.73, 1)
  expect(book.pages()[0]?.lines.at(-1)).toBe('on the move 3.91229 min')
})
