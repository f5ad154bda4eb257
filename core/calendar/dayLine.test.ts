import { expect, test } from 'vitest'
import { dayLine } from './dayLine'

const DAY = '2026-05-06'
const ZONE = 'America/New_York' // four hours behind UTC in May
const NOW = '2026-05-06T14:00:00Z' // 10:00 there

test('a working day from 6 to 20; 10:00 is 4 of its 14 hours', () => {
  const line = dayLine([{ from: '2026-05-06T11:05:00Z', to: NOW }], DAY, NOW, ZONE)
  expect([line.from, line.to]).toEqual([6, 20])
  expect(line.now).toBeCloseTo(4 / 14, 9)
  // 07:05 is 1 h 5 min after 6.
  expect(line.bars[0]?.from).toBeCloseTo((1 + 5 / 60) / 14, 9)
})

test('stretched by what begins before and ends after; what goes on after midnight ends with the line', () => {
  const line = dayLine(
    [
      { from: '2026-05-06T08:30:00Z', to: '2026-05-07T01:30:00Z' }, // 04:30 to 21:30
      { from: NOW, to: '2026-05-07T18:00:00Z' }, // tomorrow, 14:00
    ],
    DAY,
    NOW,
    ZONE,
  )
  expect([line.from, line.to]).toEqual([4, 24])
  expect(line.bars[0]).toEqual({ from: 0.5 / 20, to: 17.5 / 20, beyond: false })
  expect(line.bars[1]).toMatchObject({ to: 1, beyond: true })
})

test('begun yesterday: from the start of the line', () => {
  const line = dayLine([{ from: '2026-05-05T20:00:00Z', to: NOW }], DAY, NOW, ZONE)
  expect(line.from).toBe(0)
  expect(line.bars[0]?.from).toBe(0)
})
