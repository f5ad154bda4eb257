import { expect, test } from 'vitest'
import { readDoneTimes } from './doneTimes'

/** In May New York is four hours behind, in January five. */
const instantAt = (day: string, time: string) =>
  new Date(`${day}T${time}:00${day.startsWith('2026-01') ? '-05:00' : '-04:00'}`).toISOString()
const AT = { today: '2026-05-06', now: '2026-05-06T13:30:00.000Z', instantAt }
const read = (typed: Partial<Parameters<typeof readDoneTimes>[0]>) =>
  readDoneTimes({ day: '', from: '', to: '', ...typed }, AT)

test('left alone, the run’s own times stand', () => {
  expect(read({})).toEqual({ entered: undefined, problems: {} })
  expect(read({ from: '  ' })).toEqual({ entered: undefined, problems: {} })
})

test.each([
  [
    'day and times',
    { day: '2026-05-04', from: '7:10', to: '8:20 am' },
    '2026-05-04T11:10',
    '2026-05-04T12:20',
  ],
  ['times of today', { from: '7:10', to: '8:20' }, '2026-05-06T11:10', '2026-05-06T12:20'],
  ['only when it ended', { day: '2026-05-04', to: '16:00' }, undefined, '2026-05-04T20:00'],
  [
    'a day in winter',
    { day: '2026-01-14', from: '9:00', to: '10:00' },
    '2026-01-14T14:00',
    '2026-01-14T15:00',
  ],
] as const)('%s, on the clock of the place', (_, typed, from, to) => {
  const instant = (text: string) => `${text}:00.000Z`
  expect(read(typed).entered).toEqual({ ...(from && { from: instant(from) }), to: instant(to) })
})

test('the day alone is kept as no more than a day', () => {
  expect(read({ day: '2026-05-04' }).entered).toEqual({ to: '2026-05-04T16:00:00.000Z', only: 'day' })
  // Noon of today has not come yet: nothing on record lies ahead.
  expect(read({ day: '2026-05-06' }).entered).toEqual({ to: '2026-05-06T13:30:00.000Z', only: 'day' })
})

test.each([
  ['a day ahead', { day: '2026-05-07' }, 'day', /lies ahead/],
  ['an hour ahead', { from: '9:00', to: '17:00' }, 'to', /lies ahead/],
  ['an end before its beginning', { day: '2026-05-04', from: '9:00', to: '8:00' }, 'to', /before it began/],
  ['no end', { day: '2026-05-04', from: '9:00' }, 'to', /still missing/],
  ['no time', { day: '2026-05-04', to: 'noonish' }, 'to', /14:30/],
  ['no beginning', { day: '2026-05-04', from: '25:00', to: '8:00' }, 'from', /14:30/],
] as const)('%s is told at its field, and nothing is entered', (_, typed, field, message) => {
  const { entered, problems } = read(typed)
  expect(entered).toBeUndefined()
  expect(problems[field]).toMatch(message)
})
