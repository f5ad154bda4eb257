import { expect, test } from 'vitest'
import { blankCalibration } from './blankEquipment'
import { field, typed } from '../../demo/typed'
import { closedWorkingBook } from '../working/working'
import type { KeptCalibration } from './calibrationInForce'
import type { CalibrationDocument } from './calibrationDocument'
import { settingForRate, spreaderCurve } from './spreaderCurve'

/** 0.9 lb on 48 ft x 11 ft at 3 mph is 1.7045 lb/1000 ft2. */
function made(on: string, setting: string, used: string, speed = '3 mph', product = 'Granule'): KeptCalibration {
  const blank = blankCalibration('spread', 'r', 'us-1000') as Extract<CalibrationDocument, { kind: 'spread' }>
  const left = String(10 - Number(used))
  return { id: `${on}${setting}`, version: 1, document: { ...blank, course: { ...blank.course, on, setting, product, length: field('48 ft'), width: field('11 ft'), speed: speed === '' ? typed('', 'mph') : field(speed), runs: [{ id: 'r', start: field('10 lb'), left: typed(left, 'lb') }] } } }
}
const LB_1000 = 0.45359237 / 92.90304
const ask = (rate: number, passes: number, mph = 3) => ({ rate: rate * LB_1000, passes, speed: mph * 0.44704, swath: 11 * 0.3048 })

test('two passes ask for half the flow; twice the speed for twice of it', () => {
  const curve = spreaderCurve([made('2026-04-01', '8', '0.3'), made('2026-04-01', '12', '0.9')], 'granule', '2026-05-06')
  const setting = (rate: number, passes: number, mph?: number) => {
    const answer = settingForRate(curve, ask(rate, passes, mph), 's', closedWorkingBook)
    return answer.ok ? answer.value.setting : Number.NaN
  }
  expect(setting((0.9 / 528) * 1000, 1)).toBeCloseTo(12, 6)
  expect(setting((1.8 / 528) * 1000, 2)).toBeCloseTo(12, 6)
  expect(setting((0.45 / 528) * 1000, 1, 6)).toBeCloseTo(12, 6)
  // Half way up the straight line of two points: 0.6 lb of the course at setting 10.
  expect(setting((0.6 / 528) * 1000, 1)).toBeCloseTo(10, 6)
})

test('a calibration at another speed stands on the same curve; those without speed or number are left out and counted', () => {
  const curve = spreaderCurve([made('2026-04-01', '12', '0.9'), made('2026-04-02', '12', '0.45', '6 mph'), made('2026-04-03', 'K', '1'), made('2026-04-04', '9', '1', ''), made('2026-05-30', '9', '1'), made('2026-04-01', '5', '1', '3 mph', 'Other')], 'Granule', '2026-05-06')
  expect(curve.points.map(({ flow }) => flow / curve.points[0]!.flow)).toEqual([1, expect.closeTo(1, 9)])
  expect(curve).toMatchObject({ left: 2, newest: '2026-04-02' })
  expect(curve.points[0]?.age).toBe(35)
})
