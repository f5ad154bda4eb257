import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import {
  CV_LIMIT,
  depositProfile,
  effectiveSwath,
  halfRateWidth,
  evenness,
  skew,
  variation,
  type DepositProfile,
  type Travel,
} from './trayPattern'

function profileOf(catches: readonly number[], spacing = 1): DepositProfile {
  const profile = depositProfile({ catches, spacing })
  if (!profile.ok) throw new Error(profile.error.kind)
  return profile.value
}
const catchesOf = (row: Record<string, string>) => (row.catches ?? '').split(' ').map(Number)

test.each(readTable('trayPattern.csv', import.meta.url))('$name: $words', (row) => {
  expect(
    variation(profileOf(catchesOf(row), figure(row, 'spacing')), figure(row, 'lane'), row.travel as Travel),
  ).toBeCloseTo(figure(row, 'cv'), 6)
})

test.each(readTable('trayShape.csv', import.meta.url))('$name: $words', (row) => {
  const profile = profileOf(catchesOf(row), figure(row, 'spacing'))
  expect(halfRateWidth(profile)).toBeCloseTo(figure(row, 'half'), 9)
  expect(skew(profile).share).toBeCloseTo(figure(row, 'skew'), 12)
})

test('the effective swath is the widest within the limit, and its working says so', () => {
  const triangle = profileOf([0, 1, 2, 3, 4, 3, 2, 1, 0])
  const book = openWorkingBook()
  const { swath, cv } = effectiveSwath(triangle, 'one-way', CV_LIMIT.broadcast, 'swath', book)
  expect(cv).toBeLessThanOrEqual(0.2)
  expect(variation(triangle, (swath ?? 0) + 0.05, 'one-way')).toBeGreaterThan(0.2)
  expect(book.pages()[0]?.lines.at(-1)).toMatch(/^effective swath 5\.\d+ m$/)
  expect(
    effectiveSwath(profileOf([9, 0, 0, 0, 0, 0, 9]), 'one-way', 0.01, 'swath', closedWorkingBook).swath,
  ).toBeUndefined()
})

test('a pattern that never falls to half has no half-rate width; no trays, no pattern', () => {
  expect(halfRateWidth(profileOf([10, 10, 10, 10, 10, 10]))).toBeUndefined()
  expect(halfRateWidth(profileOf([9, 9, 2, 0, 2, 9, 9]))).toBeUndefined()
  expect(depositProfile({ catches: [1], spacing: 1 })).toEqual({
    ok: false,
    error: { kind: 'tooFewTrays' },
  })
  expect(depositProfile({ catches: [0, 0, 0, 0, 0], spacing: 1 })).toEqual({
    ok: false,
    error: { kind: 'nothingCaught' },
  })
  expect(skew(profileOf([1, 2, 5, 4, 3])).side).toBe('right')
})

describe('properties', () => {
  const catches = fc.array(fc.integer({ min: 1, max: 50 }), { minLength: 5, maxLength: 21 })
  const travel = fc.constantFrom<Travel[]>('one-way', 'back-and-forth')
  const lane = fc.double({ min: 1.5, max: 15, noNaN: true })

  test('scaling the catches leaves the evenness', () => {
    fc.assert(
      fc.property(catches, travel, lane, (list, way, width) => {
        expect(variation(profileOf(list.map((one) => 7 * one)), width, way)).toBeCloseTo(
          variation(profileOf(list), width, way),
          9,
        )
      }),
    )
  })

  test('all that is thrown lands: the mean rate is the catch over the lane', () => {
    fc.assert(
      fc.property(catches, travel, lane, (list, way, width) => {
        const { mean } = evenness(profileOf(list), width, way)
        expect(mean / (list.reduce((sum, one) => sum + one, 0) / width)).toBeCloseTo(1, 9)
      }),
    )
  })

  test('mirroring the whole pattern changes nothing', () => {
    fc.assert(
      fc.property(catches, travel, lane, (list, way, width) => {
        expect(variation(profileOf(list.toReversed()), width, way)).toBeCloseTo(
          variation(profileOf(list), width, way),
          6,
        )
      }),
    )
  })
})
