import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { spreaderCourse, spreading } from '../../test/support/documents'
import { readCalibrationDocument } from '../calibration/calibrationDocument'
import { planApplication } from '../plan/planApplication'
import { fieldReader } from '../quantity/fieldReader'
import { quantity } from '../quantity/quantity'
import { closedWorkingBook } from '../working/working'
import { learnedFromJob } from './learnedFromJob'
import type { Used } from './outcome'
import { NO_PROGRESS, type RunProgress } from './progress'
import type { FrozenPlan } from './runEvent'
import type { Verdict } from './verdict'

const planned = planApplication({
  areas: [{ id: 'a', size: quantity(300, 'm2') }],
  products: [{ id: 'p', rate: quantity(4, 'kg/100 m2') }],
  method: { kind: 'spread', passes: 1 },
})
if (!planned.ok) throw new Error('no plan')
const frozen = {
  request: { method: { kind: 'spread', passes: 1 } },
  plan: planned.value,
  worked: { dial: { setting: '12' } },
} as unknown as FrozenPlan
const used: Used = {
  treated: quantity(300, 'm2'),
  putIn: [{ productId: 'p', amount: quantity(15, 'kg') }],
  left: quantity(3, 'kg'),
}
const draft = spreading([], [], {
  source: { id: 'machine', version: 1 },
  passes: 1,
  speedToday: typed('1.4', 'm/s'),
  calibration: { ...spreaderCourse('2026-04-01', '12', 'Granule', [['10', '9']]), width: typed('3', 'm') },
})
const at = (minute: number) => `2026-05-06T12:${String(minute).padStart(2, '0')}:00.000Z`
const learned = (
  progress: Partial<RunProgress> = {},
  outcome: { readonly verdict?: Verdict; readonly deviation?: number } = { verdict: 'good', deviation: 0.01 },
) =>
  learnedFromJob(
    { frozen, progress: { ...NO_PROGRESS, ...progress }, used, outcomes: [{ ...outcome, give: 0 }] },
    draft,
    { day: '2026-05-06', by: 'sam', runId: String },
  )
const checked = (share: number, left: number, minute: number, way: 'weighed' | 'eye' = 'weighed') => ({
  id: `${minute}`,
  pass: 1,
  share,
  left: quantity(left, 'kg'),
  way,
  at: at(minute),
})
const points = (found: ReturnType<typeof learned>) =>
  found?.parts.map(({ document }) => {
    const read = readCalibrationDocument(document, fieldReader(), closedWorkingBook)
    return [document.kind === 'spread' && document.course.setting, read?.measured.mean]
  })

test('a job that came out right at one dial and pace is offered ticked, as a whole', () => {
  const whole = learned()
  expect(whole).toMatchObject({ offered: 'ticked', why: '' })
  // 12 kg over 300 m2.
  expect(points(whole)).toEqual([['12', expect.closeTo(0.04, 12)]])
})

test('one that came out off, or not certain, is asked, with the figure', () => {
  const off = learned({}, { verdict: 'off', deviation: 0.18 })
  expect(off).toMatchObject({ offered: 'asked', why: expect.stringContaining('18 % over plan') })
  expect(learned({}, { verdict: 'not certain', deviation: 0.08 })?.offered).toBe('asked')
  expect(learned({}, { verdict: 'acceptable', deviation: 0.08 })?.offered).toBe('ticked')
})

test('where the dial was changed each stretch between two weighings is a point at its own dial', () => {
  // Half way 8 left: 7 kg over 150 m2 at 12; then the dial to 11: 5 kg over 150 m2.
  const parts = learned({
    checked: [checked(0.5, 8, 10)] as unknown as RunProgress['checked'],
    settings: [{ dial: '11', at: at(11) }] as unknown as RunProgress['settings'],
  })
  expect(parts).toMatchObject({ offered: 'asked', why: expect.stringContaining('changed on the way') })
  expect(points(parts)).toEqual([
    ['12', expect.closeTo(7 / 150, 9)],
    ['11', expect.closeTo(5 / 150, 9)],
  ])
})

test('a stretch that was judged by eye, or with two dials in it, teaches nothing', () => {
  const settings = [{ dial: '11', at: at(11) }] as unknown as RunProgress['settings']
  expect(
    learned({ checked: [checked(0.5, 8, 10, 'eye')] as unknown as RunProgress['checked'], settings }),
  ).toBeUndefined()
  const twice = [...settings, { dial: '10', at: at(20) }] as unknown as RunProgress['settings']
  expect(
    points(learned({ checked: [checked(0.5, 8, 10)] as unknown as RunProgress['checked'], settings: twice })),
  ).toEqual([['12', expect.closeTo(7 / 150, 9)]])
  // The dial was changed on the very first stretch, and nothing was weighed before it.
  expect(learned({ settings })).toBeUndefined()
})
