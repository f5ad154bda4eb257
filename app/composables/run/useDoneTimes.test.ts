import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { computed, reactive } from 'vue'
import type { RunRecord } from '#core/run/foldRun'
import { instantAt } from '../shell/calendarDay'
import { useDoneTimes } from './useDoneTimes'

beforeEach(() => {
  const globals = {
    computed,
    reactive,
    instantAt,
    useCrewStore: () => ({
      organization: { timeZone: 'America/New_York' },
      today: () => '2026-05-06',
      now: () => '2026-05-06T13:30:00.000Z',
    }),
  }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => vi.unstubAllGlobals())

const record = { frozen: { afterwards: true } } as unknown as RunRecord
const entered = (typed: Partial<ReturnType<typeof useDoneTimes>['typed']>) => {
  const times = useDoneTimes(() => record)
  Object.assign(times.typed, typed)
  return { entered: times.entered.value, problems: times.problems.value }
}

test('left alone, the run’s own times stand', () => {
  expect(entered({})).toEqual({ entered: undefined, problems: {} })
})

test.each([
  // In May New York is four hours behind.
  [
    'day and times',
    { day: '2026-05-04', from: '7:10', to: '8:20 am' },
    '2026-05-04T11:10:00.000Z',
    '2026-05-04T12:20:00.000Z',
  ],
  ['times of today', { from: '7:10', to: '8:20' }, '2026-05-06T11:10:00.000Z', '2026-05-06T12:20:00.000Z'],
  ['only when it ended', { day: '2026-05-04', to: '16:00' }, undefined, '2026-05-04T20:00:00.000Z'],
  // In January it is five.
  [
    'a day in winter',
    { day: '2026-01-14', from: '9:00', to: '10:00' },
    '2026-01-14T14:00:00.000Z',
    '2026-01-14T15:00:00.000Z',
  ],
] as const)('%s, on the clock of the place', (_, typed, from, to) => {
  expect(entered(typed).entered).toEqual({ ...(from && { from }), to })
})

test('the day alone is kept as no more than a day', () => {
  expect(entered({ day: '2026-05-04' }).entered).toEqual({ to: '2026-05-04T16:00:00.000Z', only: 'day' })
  // Noon of today has not come yet: nothing on record lies ahead.
  expect(entered({ day: '2026-05-06' }).entered).toEqual({ to: '2026-05-06T13:30:00.000Z', only: 'day' })
})

test.each([
  ['a day ahead', { day: '2026-05-07' }, 'day', /lies ahead/],
  ['an hour ahead', { from: '9:00', to: '17:00' }, 'to', /lies ahead/],
  ['an end before its beginning', { day: '2026-05-04', from: '9:00', to: '8:00' }, 'to', /before it began/],
  ['no end', { day: '2026-05-04', from: '9:00' }, 'to', /still missing/],
  ['no time', { day: '2026-05-04', to: 'noonish' }, 'to', /14:30/],
] as const)('%s is told at its field', (_, typed, field, message) => {
  const read = entered(typed)
  expect(read.entered).toBe('wrong')
  expect(read.problems[field]).toMatch(message)
})
