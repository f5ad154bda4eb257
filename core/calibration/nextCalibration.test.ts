import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { blankCalibration } from '../../test/support/documents'
import { blankEquipment } from './blankEquipment'
import type { CalibrationDocument } from './calibrationShape'
import type { LibraryCalibration } from './calibrationInForce'
import { bySprayMethod } from './chooseMethod'
import type { SpreaderDocument, SprayerDocument } from './equipmentShape'
import { nextCalibration, nextSetting } from './nextCalibration'

const made = (document: CalibrationDocument, on: string): LibraryCalibration => ({
  id: on,
  version: 1,
  document: { ...document, course: { ...document.course, on } } as CalibrationDocument,
})
const spreader: SpreaderDocument = {
  ...(blankEquipment('spreader', 'us-1000') as SpreaderDocument),
  swath: typed('11', 'ft'),
}
const boom = blankEquipment('sprayer', 'us-1000') as SprayerDocument
const sprayer: SprayerDocument = {
  ...boom,
  nozzles: { count: '7', spacing: typed('20', 'in'), what: 'flat fans, 02' },
}
const next = (machine: SpreaderDocument | SprayerDocument, earlier: readonly LibraryCalibration[]) =>
  nextCalibration(machine, earlier, 'run', 'us-1000', '2026-05-06')

test('a spreader’s next calibration knows its swath, and course, product and speed of the last', () => {
  const blank = blankCalibration('spread', 'r', 'us-1000')
  if (blank.kind !== 'spread') throw new Error('a spreader spreads')
  const course = {
    ...blank.course,
    by: 'catch' as const,
    length: typed('50', 'ft' as const),
    width: typed('9', 'ft' as const),
    product: 'Spring granule',
    // 50 ft in 11.4 s and 11.2 s: 4.386 and 4.464 ft/s, mean 4.425 ft/s = 3.02 mph.
    timed: {
      length: typed('50', 'ft' as const),
      times: [typed('11.4', 's' as const), typed('11.2', 's' as const)],
    },
    runs: [{ ...blank.course.runs[0]!, caught: typed('160', 'g' as const) }],
  }
  const last = { ...blank, heldBy: 'a steady walk', by: 'sam', course }
  const older = { ...blank, course: { ...course, product: 'Something else' } }
  const taught = { ...blank, course: { ...course, by: 'job' as const, product: 'Of a job' } }
  const begun = next(spreader, [
    made(older, '2026-03-01'),
    made(last, '2026-04-01'),
    made(taught, '2026-05-01'),
  ])
  expect(begun).toMatchObject({ heldBy: 'a steady walk', by: '', notes: '' })
  expect(begun.course).toMatchObject({
    by: 'catch',
    on: '2026-05-06',
    length: typed('50', 'ft'),
    width: typed('11', 'ft'),
    speed: typed('3.02', 'mph'),
    timed: { length: typed('50', 'ft'), times: [typed('', 's')] },
    product: 'Spring granule',
    setting: '',
  })
  expect(begun.course.runs).toEqual([{ id: 'run', start: typed('', 'lb'), left: typed('', 'lb') }])
})

test('a sprayer’s first calibration knows its nozzles: all over a course, one by one when caught', () => {
  const first = next(sprayer, [])
  // 7 nozzles every 20 in spray 140 in.
  expect(first.course).toMatchObject({ width: typed('140', 'in'), nozzles: 'flat fans, 02', count: '7' })
  if (first.kind !== 'spray') throw new Error('a sprayer is sprayed with')
  const caught = bySprayMethod(first.course, 'nozzle catch', 'us-1000', sprayer.nozzles)
  expect(caught.width).toEqual(typed('20', 'in'))
  expect(caught.catching?.catches).toHaveLength(7)
  expect(bySprayMethod(caught, 'refill', 'us-1000', sprayer.nozzles).width).toEqual(typed('140', 'in'))
  const taped = { ...first.course, width: typed('12.5', 'ft' as const) }
  expect(bySprayMethod(taped, 'drain', 'us-1000', sprayer.nozzles).width).toEqual(typed('12.5', 'ft'))
})

test('a machine that says nothing gives a blank calibration in its units', () => {
  expect(next(boom, []).course).toMatchObject({ width: typed('', 'ft'), length: typed('', 'ft') })
  const again = next(boom, [made(next(sprayer, []), '2026-04-01')])
  expect(again.course).toMatchObject({ width: typed('140', 'in') })
})

test('another setting, same course: the hopper weighed back is weighed in, nothing else is known', () => {
  const blank = blankCalibration('spread', 'r', 'us-1000')
  if (blank.kind !== 'spread') throw new Error('a spreader spreads')
  const course = {
    ...blank.course,
    length: typed('50', 'ft' as const),
    width: typed('9', 'ft' as const),
    setting: '12',
    product: 'Spring granule',
    step: typed('0.5', 'oz' as const),
    runs: [
      { id: 'a', start: typed('20', 'lb' as const), left: typed('18.4', 'lb' as const) },
      { id: 'b', start: typed('18.4', 'lb' as const), left: typed('16.8', 'lb' as const) },
    ],
  }
  const again = nextSetting({ ...blank, by: 'sam', notes: 'windy', course }, 'run', 'us-1000', '2026-05-06')
  expect(again).toMatchObject({ by: 'sam', notes: '' })
  const { length, width, product, step } = course
  expect(again.course).toMatchObject({ length, width, product, step, on: '2026-05-06', setting: '' })
  expect(again.course.runs).toEqual([{ id: 'run', start: typed('16.8', 'lb'), left: typed('', 'lb') }])
})
