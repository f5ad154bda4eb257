import { expect, test } from 'vitest'
import { sameContent } from './sameContent'

test.each([
  [{ a: 1, b: [2, { c: 3 }] }, { b: [2, { c: 3 }], a: 1 }, true],
  [{ a: 1, b: undefined }, { a: 1 }, true],
  [{ a: 1 }, { a: 1, b: undefined }, true],
  [{ a: 1 }, { a: 1, b: null }, false],
  [{ a: 1, b: 2 }, { a: 1 }, false],
  [[1, 2], [1, 2, 3], false],
  [[], {}, false],
  [null, {}, false],
  [Number.NaN, Number.NaN, true],
  // Names that every object answers to are no content of it.
  [{ constructor: 1 }, {}, false],
  [{}, { toString: 'typed' }, false],
])('%j and %j say the same: %s', (one, other, same) => {
  expect(sameContent(one, other)).toBe(same)
  expect(sameContent(other, one)).toBe(same)
})
