import { expect, test } from 'vitest'
import { monthsOfDays } from './monthsOfDays'

test('months in their order: means of least and most, rain as far as it is known', () => {
  const months = monthsOfDays([
    ['2026-01-30', -2, 4, 0.01],
    ['2026-01-31', 0, 6, null],
    ['2026-02-01', 1, 9, null],
  ])
  expect(months).toEqual([
    { month: '2026-01', days: 2, least: -1, most: 5, rain: 0.01 },
    { month: '2026-02', days: 1, least: 1, most: 9, rain: undefined },
  ])
  expect(monthsOfDays([])).toEqual([])
})
