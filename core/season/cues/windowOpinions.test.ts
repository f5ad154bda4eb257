import { expect, test } from 'vitest'
import type { SeasonWindow, WindowGround } from '../windows/seasonWindow'
import type { CueKind } from './cue'
import { windowOpinions } from './windowOpinions'

const ground: WindowGround = {
  grasses: ['Kentucky bluegrass'],
  latitude: 40,
  overseeding: undefined,
  barriers: [],
}
const barrier = (state: SeasonWindow['state']): SeasonWindow => ({
  name: 'spring pre-emergent',
  opens: undefined,
  closes: undefined,
  state,
  reason: '',
})
/** Coldest in the middle of January: soil is 12 - 10 cos(day), as warm as 10 °C on about 5 April. */
const usual = { mean: 12, cosine: -10 * Math.cos(0.26), sine: -10 * Math.sin(0.26), spread: 2 }
const said = (
  cues: readonly (readonly [string, CueKind])[],
  today: string,
  state: SeasonWindow['state'],
  year: typeof usual | 'too few days' = usual,
) =>
  windowOpinions(
    [barrier(state)],
    cues.map(([on, kind]) => ({ on, kind })),
    year === 'too few days' ? undefined : year,
    ground,
    today,
  ).map(({ by, says, agrees }) => [by, says, agrees])

test.each([
  ['nothing noted', [], 'silent', undefined],
  ['in bloom', [['2026-04-01', 'shrub in bloom']], 'open', true],
  [
    'bloom over since',
    [
      ['2026-04-08', 'shrub bloom over'],
      ['2026-04-01', 'shrub in bloom'],
    ],
    'closing',
    true,
  ],
  ['bloom of last year', [['2025-04-01', 'shrub in bloom']], 'silent', undefined],
  ['bloom of tomorrow', [['2026-04-12', 'shrub in bloom']], 'silent', undefined],
  ['a cue of another window', [['2026-04-01', 'first mow']], 'silent', undefined],
] as const)('cues, %s: %s', (_, cues, says, agrees) => {
  expect(said(cues, '2026-04-11', 'open')[0]).toEqual(['cues', says, agrees])
})
test('a cue that says otherwise than the soil does not agree', () => {
  expect(said([['2026-03-01', 'shrub in bloom']], '2026-03-02', 'before')[0]).toEqual(['cues', 'open', false])
})
test('the calendar says when the soil usually is so warm, and nothing without a year of days', () => {
  expect(said([], '2026-03-20', 'before')[1]).toEqual(['calendar', 'not yet', true])
  expect(said([], '2026-04-10', 'before')[1]).toEqual(['calendar', 'open', false])
  expect(said([], '2026-06-10', 'late')[1]).toEqual(['calendar', 'over', true])
  expect(said([], '2026-04-10', 'open', 'too few days')[1]).toEqual(['calendar', 'silent', undefined])
})
test('cues of spring say nothing in the cooling half; in the south spring is in September', () => {
  expect(said([['2026-04-01', 'shrub in bloom']], '2026-10-01', 'before').map(([by]) => by)).toEqual([
    'calendar',
  ])
  const south = windowOpinions(
    [barrier('open')],
    [{ on: '2026-09-10', kind: 'shrub in bloom' }],
    undefined,
    { ...ground, latitude: -35 },
    '2026-09-20',
  )
  expect(south[0]).toMatchObject({ by: 'cues', says: 'open', agrees: true })
})
