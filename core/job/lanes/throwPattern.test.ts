import { expect, test } from 'vitest'
import { field, typed } from '../../../demo/typed'
import { blankNozzles, blankPattern } from '../../calibration/benchTest'
import type { BenchTestDocument } from '../../calibration/benchTestShape'
import { blankEquipment } from '../../calibration/blankEquipment'
import type { EquipmentDocument } from '../../calibration/equipmentShape'
import { throwPattern } from './throwPattern'

const trays = (on: string, caught: readonly string[]): BenchTestDocument => ({
  ...blankPattern('us-1000', 'broadcast'),
  on,
  spacing: field('2 ft'),
  catches: caught.map((text) => typed(text, 'g' as const)),
})
const even = ['0', '1', '2', '3', '4', '3', '2', '1', '0']
const boom = (on: string, caught: readonly string[], more: object = {}): BenchTestDocument => ({
  ...blankNozzles('us-1000', caught.length),
  on,
  spacing: field('20 in'),
  catches: caught.map((text) => typed(text, 'fl oz' as const)),
  ...more,
})
const spreader = blankEquipment('spreader', 'us-1000')
const sprayer = (count: string, spacing: string): EquipmentDocument => {
  const blank = blankEquipment('sprayer', 'us-1000')
  if (blank.kind !== 'sprayer') throw new Error('no sprayer')
  return { ...blank, nozzles: { ...blank.nozzles, count, spacing: typed(spacing, 'in') } }
}

test('the newest test that can be read counts, and says from when it is', () => {
  const tests = [trays('2026-04-01', even), trays('2026-05-01', even.toReversed()), trays('2026-05-03', [''])]
  const told = throwPattern('spread', spreader, tests, 3)
  expect(told).toMatchObject({ source: 'trays', skewed: false, words: '9 trays of 1 May 2026' })
})

test('one side that gets more is told', () => {
  const heavy = ['0', '1', '2', '3', '4', '4', '4', '3', '1']
  const told = throwPattern('spread', spreader, [trays('2026-05-01', heavy)], 3)
  expect(told.skewed).toBe(true)
  expect(told.words).toMatch(/^9 trays of 1 May 2026, heavier on the (left|right)$/)
})

test('without a test it is a guess that says so, but for a drop spreader', () => {
  expect(throwPattern('spread', undefined, [], 3)).toMatchObject({ source: 'typical' })
  expect(throwPattern('spread', undefined, [], 3).words).toMatch(/guess/)
  const drop = { ...spreader, type: 'drop' } as EquipmentDocument
  expect(throwPattern('spread', drop, [], 3)).toMatchObject({ source: 'drop', skewed: false })
})

test('trays say nothing of a sprayer, nozzles nothing of a spreader', () => {
  expect(throwPattern('spray', undefined, [trays('2026-05-01', even)], 3).source).toBe('typical boom')
  expect(throwPattern('spread', spreader, [boom('2026-05-01', ['20', '21'])], 3).source).toBe('typical')
})

test('nozzles as they were caught; a blank or a dry boom is no test', () => {
  const told = throwPattern('spray', undefined, [boom('2026-05-01', ['20', '18', '20'])], 1.5)
  expect(told).toMatchObject({ source: 'nozzles' })
  expect(told.words).toMatch(/^3 nozzles caught of 1 May 2026/)
  expect(throwPattern('spray', undefined, [boom('2026-05-01', ['20', 'some'])], 1.5).source).toBe(
    'typical boom',
  )
  expect(throwPattern('spray', undefined, [boom('2026-05-01', ['0', '0'])], 1.5).source).toBe('typical boom')
})

test.each([
  ['as many as it has', '7', '20', 7],
  ['as fit into its width', '', '20', 7],
  ['one, where nobody knows', '', '', 1],
  ['sixty at most', '500', '20', 60],
  ['none is one', '0', '', 1],
])('nozzles that were not caught are alike: %s', (_, count, spacing, nozzles) => {
  // Seven of 20 in are 3.556 m.
  const told = throwPattern('spray', sprayer(count, spacing), [], 3.556)
  expect(told.words).toBe(`${nozzles} nozzles all alike, a guess: catch each of them`)
  // They lie across the calibrated width, fans as wide as two spacings beyond the outermost.
  const { deposits, spacing: step } = told.profile
  const across = (nozzles + 1) * (3.556 / nozzles)
  expect(Math.abs(deposits.length * step - across)).toBeLessThan(3 * step)
})
