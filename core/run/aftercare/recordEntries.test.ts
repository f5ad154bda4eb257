import { expect, test } from 'vitest'
import { limitsWithoutLabels, type ConditionLimits } from '../../conditions/conditionLimits'
import type { RunRecord } from '../foldRun'
import { NO_PROGRESS, type RunProgress } from '../progress'
import type { FrozenLabel } from '../runEvent'
import { recordEntries } from './recordEntries'

const DONE = '2026-05-06T12:00:00.000Z'
const LIMITS = limitsWithoutLabels({ method: 'spray', fate: undefined }, 'us-1000')

interface Of {
  readonly label?: Partial<FrozenLabel>
  readonly limits?: Partial<ConditionLimits>
  readonly progress?: Partial<RunProgress>
  readonly finishedAt?: string | 'not yet'
}
function entriesOf({ label = {}, limits, progress = {}, finishedAt = DONE }: Of, now = DONE) {
  const record = {
    finishedAt: finishedAt === 'not yet' ? undefined : finishedAt,
    progress: { ...NO_PROGRESS, ...progress },
    frozen: {
      site: 'Elm House',
      request: { areas: [{ id: 'a', name: 'Front' }, { id: 'b', name: 'Back' }, { id: 'c' }] },
      labels: [{ productId: 'p', name: 'Cover', registration: '', ...label }],
      ...(limits && { limits: { ...LIMITS, ...limits } }),
    },
  } as unknown as RunRecord
  return recordEntries('run', record, '2026-05-06', now)
}

test('what asks for nothing afterwards stands on no calendar, nor what is not finished', () => {
  expect(entriesOf({})).toEqual([])
  expect(entriesOf({ finishedAt: 'not yet', label: { reentryHours: 12 } })).toEqual([])
})

test('keep off to the end of the wait, with where and what', () => {
  expect(entriesOf({ label: { reentryHours: 12 } })).toEqual([
    {
      id: 'keep-off-run',
      title: 'Keep off, and not before it is dry: Elm House',
      words: 'Front, Back: Cover',
      since: DONE,
      until: '2026-05-07T00:00:00.000Z',
    },
  ])
})

test('water stands there while it waits for it, and no longer', () => {
  const limits = { waterDepth: 0.0127, waterHours: 24 }
  const [water] = entriesOf({ limits })
  expect(water).toMatchObject({ id: 'water-run', since: DONE, until: '2026-05-07T12:00:00.000Z' })
  const watered = [{ from: 'rain' as const, depth: { value: 13, unit: 'mm' as const }, at: DONE }]
  expect(entriesOf({ limits, progress: { watered } })).toEqual([])
})

test('a look after two weeks, a repeat on the last day of its interval', () => {
  const found = entriesOf({ label: { repeatDays: 28.4 }, limits: { kinds: ['fungicide'] } })
  expect(found.map(({ id, ...entry }) => [id, 'from' in entry ? entry.from : ''])).toEqual([
    ['look-run', '2026-05-20'],
    ['repeat-p-run', '2026-06-03'],
  ])
})
