import { beforeEach, expect, test } from 'vitest'
import type { ProgramStep } from '#core/program/programShape'
import type { Intention } from '#core/program/intentions'
import { withVue } from '../../../test/support/vueGlobals'
import { stepDays, whenWords } from './stepWords'
import { datesOf, WINDOW_TITLES } from './windowWords'

beforeEach(() => withVue({ WINDOW_TITLES }))

test.each([
  [{ opens: '2026-04-01', closes: '2026-05-10' }, '1 April 2026 to 10 May 2026'],
  [{ opens: '2026-04-01' }, 'from 1 April 2026'],
  [{ closes: '2026-05-10' }, 'to 10 May 2026'],
  [{}, ''],
  [{ opensBetween: { early: '2026-04-01', late: '2026-04-09' } }, 'opens 1 April to 9 April'],
  [{ opensBetween: { early: '2026-04-01', late: '2026-04-01' } }, 'opens 1 April'],
  [{ closesBetween: { early: undefined, late: '2026-05-10' } }, 'closes by 10 May'],
  [{ closesBetween: { early: '2026-05-10', late: undefined } }, 'closes 10 May or later'],
] as const)('a window %j is told as %s', (window, words) => {
  const told = datesOf({
    opens: undefined,
    closes: undefined,
    opensBetween: undefined,
    closesBetween: undefined,
    ...window,
  } as Parameters<typeof datesOf>[0]).replace(/^; /, '')
  expect(told).toBe(words)
})

test.each([
  [{ on: '2026-05-06', from: '2026-05-01' }, '6 May'],
  [{ from: '2026-05-01' }, 'from 1 May'],
  [{ from: '2026-05-01', to: '2026-05-20' }, '1 May to 20 May'],
  [
    { from: '2026-05-01', to: '2026-05-20', early: '2026-04-20', late: '2026-05-12' },
    'about 1 May to 20 May; opens 20 April to 12 May',
  ],
  [{}, ''],
])('days of a step %j are told as %s', (step, words) => {
  expect(stepDays(step as Intention)).toBe(words)
})

const step = (when: object, more: object = {}): ProgramStep =>
  ({ id: 's', title: 'Feed', times: '1', every: '', when, ...more }) as unknown as ProgramStep

test.each([
  [{ by: 'window', window: 'spring pre-emergent' }, 'spring barrier'],
  [{ by: 'window', window: '' }, 'no window chosen yet'],
  [
    { by: 'soil', half: 'spring', soilFrom: { text: '50', unit: '°F' }, soilTo: { text: '', unit: '°F' } },
    'soil spring from 50 °F',
  ],
  [
    { by: 'soil', half: 'spring', soilFrom: { text: '50', unit: '°F' }, soilTo: { text: '55', unit: '°F' } },
    'soil spring from 50 °F to 55 °F',
  ],
  [{ by: 'heat units', units: '200', base: '10', since: '1 Jan' }, '200 units above 10 °C since 1 January'],
  [{ by: 'after', daysFrom: '28', daysTo: '35', step: 'other' }, '28 to 35 days after Barrier'],
  [{ by: 'after', daysFrom: '28', daysTo: '35', step: 'gone' }, '28 to 35 days after another step'],
  [{ by: 'seed', daysFrom: '0', daysTo: '2' }, '0 to 2 days of the seed'],
  [{ by: 'cue', cue: '', daysFrom: '', daysTo: '' }, 'nothing to be seen chosen yet'],
  [{ by: 'cue', cue: 'first bloom', daysFrom: '0', daysTo: '7' }, '0 to 7 days after first bloom'],
])('when %j is told as %s', (when, words) => {
  expect(whenWords(step(when), [{ ...step({}), id: 'other', title: 'Barrier' }])).toBe(words)
})

test('what comes several times says how often and how far apart', () => {
  const often = step({ by: 'seed', daysFrom: '0', daysTo: '2' }, { times: '3', every: '21' })
  expect(whenWords(often, [])).toBe('0 to 2 days of the seed; 3 times, 21 days apart')
})
