import { expect, test } from 'vitest'
import { lanesOfStretch } from './lanesOfStretch'
import type { WalkedLane } from './walkingOrder'

const lane = (number: number, amount: number): WalkedLane => ({
  lawnId: 'lawn',
  name: 'Front',
  pass: 1,
  lane: { number, header: false, edge: false, line: [], length: amount },
  amount,
})

/** Numbers of the lanes between two shares of a way that takes 1, 2, 3 and 4: ends at 0.1, 0.3, 0.6 and 1. */
const LANES = [1, 2, 3, 4].map((amount) => lane(amount, amount))
const numbers = (from: number, to: number) =>
  lanesOfStretch(LANES, from, to).map(({ lane: { number } }) => number)

test.each([
  ['all of it', 0, 1, [1, 2, 3, 4]],
  ['half is nearest to the end of the third, at 0.6', 0, 0.5, [1, 2, 3]],
  ['0.19 is nearer to the end of the first', 0, 0.19, [1]],
  ['0.25 is nearer to the end of the second', 0, 0.25, [1, 2]],
  ['the rest of it', 0.5, 1, [4]],
  ['nothing lies between two places of one lane’s end', 0.58, 0.62, []],
  ['a place before the first lane’s half is the beginning', 0.04, 1, [1, 2, 3, 4]],
])('%s', (_, from, to, expected) => {
  expect(numbers(from, to)).toEqual(expected)
})

test('what is behind at each end is what the lanes took of the whole', () => {
  expect(lanesOfStretch(LANES, 0, 1).map(({ behind }) => behind)).toEqual([0.1, 0.3, 0.6, 1])
})

test('stretches that follow each other leave out no lane and walk none twice', () => {
  const shares = [0, 0.17, 0.33, 0.5, 0.71, 1]
  const walked = shares.slice(1).flatMap((to, i) => numbers(shares[i] ?? 0, to))
  expect(walked).toEqual([1, 2, 3, 4])
})

test('no lanes, no stretch', () => {
  expect(lanesOfStretch([], 0, 1)).toEqual([])
})
