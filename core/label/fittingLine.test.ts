import { expect, test } from 'vitest'
import { blankRateLine } from './blankProduct'
import { fittingLine } from './fittingLine'
import type { RateLine } from './productShape'

const line = (id: string, rest: Partial<RateLine> = {}): RateLine => ({
  ...blankRateLine(id, 'solution', 'us-1000'),
  ...rest,
})
const LINES = [
  line('any'),
  line('hose', { method: 'hose-end' }),
  line('fescue', { grasses: ['tall fescue'] }),
  line('fescue dormant', { grasses: ['tall fescue'], growth: 'dormant' }),
]

test.each([
  ['hose-end', [], '', 'hose'],
  ['tank', [], '', 'any'],
  ['tank', ['tall fescue'], '', 'fescue'],
  ['tank', ['tall fescue'], 'dormant', 'fescue dormant'],
  // A line for a grass that is not there is worse than one that names none.
  ['tank', ['centipede'], '', 'any'],
  ['tank', ['tall fescue', 'centipede'], '', 'any'],
  ['spread', [], '', 'any'],
] as const)('by %s on %j, %s: %s', (method, grasses, turf, expected) => {
  expect(fittingLine(LINES, { method, grasses, turf })?.id).toBe(expected)
})

test('a label without lines has none that fits', () => {
  expect(fittingLine([], { method: 'tank', grasses: [], turf: '' })).toBeUndefined()
})
