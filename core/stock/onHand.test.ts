import fc from 'fast-check'
import { expect, test } from 'vitest'
import { isLow, onHand, signedAmount, type Movement } from './onHand'

const moved = (
  kind: Movement['kind'],
  amount: number,
  dimension: Movement['dimension'] = 'mass',
): Movement => ({ kind, amount, dimension })

test.each([
  ['nothing moved', [], []],
  [
    'a delivery less what was used',
    [moved('received', 22.7), moved('used', -6.2)],
    [{ dimension: 'mass', amount: 16.5, delivered: 22.7 }],
  ],
  [
    'mass and volume are never mixed',
    [moved('received', 2), moved('received', 0.004, 'volume')],
    [
      { dimension: 'mass', amount: 2, delivered: 2 },
      { dimension: 'volume', amount: 0.004, delivered: 0.004 },
    ],
  ],
  [
    'more used than came in is told, not hidden',
    [moved('received', 1), moved('used', -1.5)],
    [{ dimension: 'mass', amount: -0.5, delivered: 1 }],
  ],
  [
    'of two deliveries the newest stands first',
    [moved('received', 3), moved('received', 5)],
    [{ dimension: 'mass', amount: 8, delivered: 3 }],
  ],
] as const)('%s', (_, movements, expected) => {
  expect(onHand(movements)).toEqual(expected)
})

test('a count sets what is there, whatever stood before', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -50, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 50, noNaN: true }),
      (before, counted) => {
        const [there] = onHand([
          moved('received', before),
          moved('counted', signedAmount('counted', counted, before)),
        ])
        return Math.abs((there?.amount ?? 0) - counted) < 1e-9
      },
    ),
  )
  expect([
    signedAmount('received', 5, 9),
    signedAmount('disposed', 5, 9),
    signedAmount('used', 5, 9),
  ]).toEqual([5, -5, -5])
})

test('low is at or under the level, and always below nought', () => {
  const there = (amount: number) => ({ dimension: 'mass', amount }) as const
  expect([
    isLow(there(5), 5),
    isLow(there(5.01), 5),
    isLow(there(0), undefined),
    isLow(there(-0.1), undefined),
  ]).toEqual([true, false, false, true])
})
