import { expect, test } from 'vitest'
import { coverageLines } from './coverageLines'
import { regulatorUnits } from './regulators'

test.each<[string, string, string | undefined, string, string | undefined, number | undefined]>([
  // First lasts to 15 May; the next goes down on the day given, on a clear 1 June.
  ['on its last day', '2026-05-15', undefined, '2026-05-15', undefined, 0],
  ['three days before its end', '2026-05-12', undefined, '2026-05-15', undefined, 3],
  ['the day after', '2026-05-16', undefined, '2026-05-15', undefined, -1],
  ['two days after: one day is bare', '2026-05-17', '2026-05-17', '2026-05-15', '2026-05-17', -2],
])('the next goes down %s', (_, next, gapTo, to, gap, overlapDays) => {
  const [first, second] = coverageLines(
    [
      { on: next, what: 'fungicide', to: undefined },
      { on: '2026-05-01', what: 'fungicide', to },
      { on: '2026-05-20', what: 'fertilizer', to: '2026-06-20' },
    ],
    '2026-06-01',
  )
  expect(first).toEqual({ from: '2026-05-01', to, what: 'fungicide', gapTo: gap ?? gapTo, overlapDays })
  expect(second).toMatchObject({ from: next, to: undefined, gapTo: undefined })
})

test('a gap that nothing has closed runs to today', () => {
  const [line] = coverageLines([{ on: '2026-05-01', what: 'fungicide', to: '2026-05-15' }], '2026-05-20')
  expect(line?.gapTo).toBe('2026-05-20')
  expect(
    coverageLines([{ on: '2026-05-01', what: 'fungicide', to: '2026-05-15' }], '2026-05-15'),
  ).toMatchObject([{ gapTo: undefined }])
})

test('published heat units go by active and grass; what is not published is not guessed', () => {
  expect(regulatorUnits('Trinexapac-ethyl ', ['creeping bentgrass'])).toEqual({ base: 0, threshold: 200 })
  expect(regulatorUnits('trinexapac-ethyl', ['bermuda'])).toEqual({ base: 10, threshold: 220 })
  expect(regulatorUnits('paclobutrazol', ['bermuda'])).toBeUndefined()
  expect(regulatorUnits('paclobutrazol', [])).toEqual({ base: 0, threshold: 310 })
})
