import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { parseQuantity } from '../quantity/parseQuantity'
import { metresPerSecond, quantity, type Quantity } from '../quantity/quantity'
import type { AmountUnit, LengthUnit } from '../quantity/units'
import { closedWorkingBook } from '../working/working'
import { repeats } from '../quantity/repeats'
import { atAnotherSpeed, speedForRate } from './anotherSpeed'
import { courseErrors, errorOfCalibration } from './calibrationError'
import { knownAreaRate, type CourseRun } from './knownArea'

const length = (text: string): Quantity<LengthUnit> => {
  const read = parseQuantity(text, 'length', 'ft')
  return read.ok ? read.value : quantity(0, 'ft')
}

test.each(readTable('knownArea.csv', import.meta.url))('$name: $words', (row) => {
  const unit = row.unit as AmountUnit
  const runs: CourseRun<AmountUnit>[] = row.weighings
    ? row.weighings.split(';').map((run) => {
        const [start = 0, left = 0] = run.split('-').map(Number)
        return { start: quantity(start, unit), left: quantity(left, unit) }
      })
    : (row.used ?? '').split(';').map((used) => ({ used: quantity(Number(used), unit) }))
  const rate = knownAreaRate(
    runs,
    { length: length(row.length ?? ''), width: length(row.width ?? ''), passes: 1 },
    'calibration',
    closedWorkingBook,
  )
  expect(rate.ok && rate.value.mean / figure(row, 'siPerM2')).toBeCloseTo(1, 10)
  if (row.sd) expect(rate.ok && (rate.value.sd ?? 0) / figure(row, 'sd')).toBeCloseTo(1, 6)
  else expect(rate.ok && rate.value.sd).toBeUndefined()
})

test('more back than in is refused, with the run', () => {
  const runs = [
    { start: quantity(5, 'lb'), left: quantity(4, 'lb') },
    { start: quantity(4, 'lb'), left: quantity(4.2, 'lb') },
  ] as const
  expect(
    knownAreaRate(
      runs,
      { length: quantity(50, 'ft'), width: quantity(10, 'ft'), passes: 1 },
      '',
      closedWorkingBook,
    ),
  ).toEqual({ ok: false, error: { kind: 'leftExceedsStart', run: 1 } })
})

test('at another speed: half the speed lays down twice; trusted to 15 %, questioned beyond', () => {
  const at = (mph: number) => atAnotherSpeed(1.7, metresPerSecond(3.1), metresPerSecond(3.1 * mph))
  expect(at(0.5)).toMatchObject({ trust: 'questioned' })
  expect(at(0.5).perArea).toBeCloseTo(3.4, 12)
  expect([at(1.15).trust, at(0.85).trust, at(1.1501).trust, at(0.8499).trust]).toEqual([
    'trusted',
    'trusted',
    'questioned',
    'questioned',
  ])
})

test('the speed found for a rate gives that rate back', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 10, noNaN: true }),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      fc.double({ min: 0.1, max: 10, noNaN: true }),
      (rate, speed, wanted) => {
        const found = speedForRate(rate, metresPerSecond(speed), wanted)
        expect(atAnotherSpeed(rate, metresPerSecond(speed), found.speed).perArea / wanted).toBeCloseTo(1, 10)
      },
    ),
  )
})

test.each(readTable('calibrationError.csv', import.meta.url))('$name: $words', (row) => {
  const numbers = (text = '') => text.split(' ').filter(Boolean).map(Number)
  const runs = repeats(numbers(row.runs))
  const errors = courseErrors({
    taped: numbers(row.taped).map((value) => ({ value, unit: 'ft' as const })),
    step: row.step ? Number(row.step) : undefined,
    amount: runs.mean,
    weighings: row.weighings === '2' ? 2 : 1,
  })
  const error = errorOfCalibration(runs, errors)
  if (row.error === '') expect(error).toBeUndefined()
  else expect(error).toBeCloseTo(figure(row, 'error'), 8)
})
