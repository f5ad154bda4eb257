import { expect, test } from 'vitest'
import { blankCalibration } from '../../test/support/documents'
import { field, typed } from '../../demo/typed'
import { closedWorkingBook } from '../working/working'
import type { LibraryCalibration } from './calibrationInForce'
import type { CalibrationDocument } from './calibrationShape'
import fc from 'fast-check'
import { askCurve } from './askCurve'
import { likeGrain } from './likeGrain'
import { spreaderCurve } from './spreaderCurve'

/** 0.9 lb on 48 ft x 11 ft at 3 mph is 1.7045 lb/1000 ft2. */
function made(
  on: string,
  setting: string,
  used: string,
  speed = '3 mph',
  product = 'Granule',
): LibraryCalibration {
  const blank = blankCalibration('spread', 'r', 'us-1000') as Extract<CalibrationDocument, { kind: 'spread' }>
  const left = String(10 - Number(used))
  return {
    id: `${on}${setting}`,
    version: 1,
    document: {
      ...blank,
      course: {
        ...blank.course,
        on,
        setting,
        product,
        length: field('48 ft'),
        width: field('11 ft'),
        speed: speed === '' ? typed('', 'mph') : field(speed),
        runs: [{ id: 'r', start: typed('10', 'lb'), left: typed(left, 'lb') }],
      },
    },
  }
}
const LB_1000 = 0.45359237 / 92.90304
const ask = (rate: number, passes: number, mph = 3) => ({
  rate: rate * LB_1000,
  passes,
  speed: mph * 0.44704,
  swath: 11 * 0.3048,
})

test('two passes ask for half the flow; twice the speed for twice of it', () => {
  const curve = spreaderCurve(
    [made('2026-04-01', '8', '0.3'), made('2026-04-01', '12', '0.9')],
    ['granule'],
    '2026-05-06',
  )
  const setting = (rate: number, passes: number, mph?: number) => {
    const answer = askCurve(curve, { find: 'setting', ...ask(rate, passes, mph) }, 'ask', closedWorkingBook)
    return answer.ok ? answer.value.setting : Number.NaN
  }
  expect(setting((0.9 / 528) * 1000, 1)).toBeCloseTo(12, 6)
  expect(setting((1.8 / 528) * 1000, 2)).toBeCloseTo(12, 6)
  expect(setting((0.45 / 528) * 1000, 1, 6)).toBeCloseTo(12, 6)
  // Half way up the straight line of two points: 0.6 lb of the course at setting 10.
  expect(setting((0.6 / 528) * 1000, 1)).toBeCloseTo(10, 6)
})

test(
  'a calibration at another speed stands on the same curve; those without speed or number are left out ' +
    'and counted',
  () => {
    const curve = spreaderCurve(
      [
        made('2026-04-01', '12', '0.9'),
        made('2026-04-02', '12', '0.45', '6 mph'),
        made('2026-04-03', 'K', '1'),
        made('2026-04-04', '9', '1', ''),
        made('2026-05-30', '9', '1'),
        made('2026-04-01', '5', '1', '3 mph', 'Other'),
      ],
      ['Granule'],
      '2026-05-06',
    )
    expect(curve.points.map(({ flow }) => flow / curve.points[0]!.flow)).toEqual([1, expect.closeTo(1, 9)])
    expect(curve).toMatchObject({ left: 2, newest: '2026-04-02' })
    expect(curve.points[0]?.age).toBe(35)
  },
)

test('asked back for rate or speed, the curve returns what went in', () => {
  const curve = spreaderCurve(
    ['8', '10', '12', '14'].map((setting, i) => made('2026-04-01', setting, String(0.3 + 0.2 * i))),
    ['granule'],
    '2026-05-06',
  )
  fc.assert(
    fc.property(
      fc.double({ min: 0.35, max: 0.85, noNaN: true }),
      fc.integer({ min: 1, max: 3 }),
      fc.double({ min: 2.6, max: 3.4, noNaN: true }),
      (used, passes, mph) => {
        const wanted = ask((used / 528) * 1000 * passes * (3 / mph), passes, mph)
        const found = askCurve(curve, { find: 'setting', ...wanted }, '', closedWorkingBook)
        if (!found.ok) throw new Error(found.error.kind)
        const { setting } = found.value
        const rate = askCurve(
          curve,
          { find: 'rate', setting, passes, swath: wanted.swath, speed: wanted.speed },
          '',
          closedWorkingBook,
        )
        const speed = askCurve(
          curve,
          { find: 'speed', setting, passes, swath: wanted.swath, rate: wanted.rate },
          '',
          closedWorkingBook,
        )
        expect(rate.ok && rate.value.rate / wanted.rate).toBeCloseTo(1, 6)
        expect(speed.ok && speed.value.speed / wanted.speed).toBeCloseTo(1, 6)
        expect(found.value.pace).toBe('trusted')
      },
    ),
  )
  expect(askCurve(curve, { find: 'setting', ...ask(0.8, 1, 4) }, '', closedWorkingBook)).toMatchObject({
    ok: true,
    value: { pace: 'questioned' },
  })
})

test('products of like grain share the curve: within 15 %, both ways, never one of unknown size', () => {
  const grain = (name: string, mm?: string) => ({
    name,
    document: mm === undefined ? {} : { grain: typed(mm, 'mm' as const) },
  })
  // 2.0 x 1.15 = 2.3 and 2.0 / 1.15 = 1.739.
  const shelf = [
    grain('A', '2.0'),
    grain('B', '2.3'),
    grain('C', '2.31'),
    grain('D', '1.74'),
    grain('E', '1.73'),
    grain('F'),
    grain('G', ''),
  ]
  expect(likeGrain(shelf, 'a ')).toEqual(['B', 'D'])
  expect(likeGrain(shelf, 'F')).toEqual([])
  const kept = [made('2026-04-01', '8', '0.3', '3 mph', 'A'), made('2026-04-01', '12', '0.9', '3 mph', 'B')]
  expect(spreaderCurve(kept, ['A', ...likeGrain(shelf, 'A')], '2026-05-06').curve.means).toHaveLength(2)
})
