import { expect, test } from 'vitest'
import { beatSeconds } from './beat'
import { lookDue } from './lookDue'
import { quantity } from '../../quantity/quantity'
import { isSpotWork, spotGround } from './spotGround'
import type { Plan } from '../../plan/plan'
import { waterStanding, zoneMinutes } from './waterIn'

test('a zone runs for the depth over what it gives in an hour', () => {
  // Half an inch (12.7 mm) from 0.6 in (15.24 mm) in an hour: 50 min.
  expect(zoneMinutes(0.0127, [{ name: 'front', output: 0.01524 }])[0]?.minutes).toBeCloseTo(50, 9)
})

const DONE = '2026-05-06T12:00:00.000Z'
test.each<[string, number | undefined, readonly number[], string, string, number]>([
  ['no label asks for water', undefined, [], '2026-05-07T12:00:00.000Z', 'not asked', 0],
  ['nothing came yet', 0.0127, [], '2026-05-07T12:00:00.000Z', 'waiting', 0.0127],
  ['half came', 0.0127, [0.006], '2026-05-07T12:00:00.000Z', 'waiting', 0.0067],
  ['rain and a zone together', 0.0127, [0.006, 0.0068], '2026-05-07T12:00:00.000Z', 'in', 0],
  ['the two days are over', 0.0127, [0.006], '2026-05-08T12:00:01.000Z', 'late', 0.0067],
  ['in, whenever one looks', 0.0127, [0.0127], '2026-06-08T12:00:00.000Z', 'in', 0],
])('watered in or not: %s', (_, depth, given, now, state, left) => {
  const standing = waterStanding({ depth, withinHours: 48 }, DONE, given, now)
  expect(standing.state).toBe(state)
  expect(standing.left).toBeCloseTo(left, 9)
})

test('the beat of a walker, and the ground of spots', () => {
  // 0.75 m at 1.5 m/s: half a second. 4 L at 4 L on 100 m2: 100 m2.
  expect(beatSeconds(0.75, 1.5)).toBe(0.5)
  expect(beatSeconds(0.75, 0)).toBeUndefined()
  const method = {
    kind: 'spray',
    carrier: quantity(4, 'L/100 m2'),
    tank: quantity(15, 'L'),
    loads: 'equal',
  } as const
  const spots = (made: number) =>
    spotGround({ method }, { made: quantity(made, 'L'), left: quantity(1, 'L') })
  expect(spots(5)).toBeCloseTo(100, 9)
  expect(spots(1)).toBeUndefined()
  // Of 500 m2 of lawn: what went out says 100 m2, and that stands as the ground treated.
  const work = (treated: number, lawns = 500) =>
    isSpotWork(
      {
        request: { areas: [], products: [], method },
        plan: { totals: { size: quantity(lawns, 'm2') } } as Plan,
      },
      { made: quantity(5, 'L'), left: quantity(1, 'L'), treated: quantity(treated, 'm2') },
    )
  expect([work(100), work(100.4), work(110), work(100, 100)]).toEqual([true, true, false, false])
})

test.each<[string, Parameters<typeof lookDue>[0], Parameters<typeof lookDue>[2], string | undefined]>([
  ['a feed is not looked at', ['fertilizer'], [], undefined],
  ['a fungicide after two weeks', ['fertilizer', 'fungicide'], [], '2026-05-20'],
  ['looked at, and again', ['fungicide'], [{ on: '2026-05-18', again: '2026-06-01' }], '2026-06-01'],
  ['looked at, and that was all', ['fungicide'], [{ on: '2026-05-18' }], undefined],
  [
    'the newest look counts, in whatever order they arrived',
    [],
    [{ on: '2026-05-18' }, { on: '2026-05-10', again: '2026-05-18' }],
    undefined,
  ],
])('when a lawn is to be looked at: %s', (_, kinds, looks, due) => {
  expect(lookDue(kinds, '2026-05-06', looks)).toBe(due)
})
