import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, product, spreaderCourse, spreading } from '../../test/support/documents'
import { workedWith } from '../../test/support/worked'
import { DEFAULT_HOUSE } from '../house'
import { workOutJob } from '../job/workOutJob'
import { openWorkingBook } from '../working/working'
import { frozenApplication, freezePlan } from './freezePlan'

const bed = { ...part('subtract', 'circle', { diameter: '20' }), until: '2026-06-01' }
const draft = spreading(
  [lawn('Front', [part('add', 'rectangle', { length: '100', width: '50' }), bed])],
  [product('Granule', 'spread', { rate: typed('3', 'lb/1000 ft2') })],
  { passes: 2, calibration: spreaderCourse('2026-04-20', '12', 'Granule', [['10', '9.2']]) },
)

function frozenOn(day: string) {
  const book = openWorkingBook()
  const [worked] = workOutJob({ applications: [{ id: 'a', document: draft }], day }, book)
  const frozen = freezePlan({ site: 'Lane', siteId: null }, draft, worked!, book.pages(), DEFAULT_HOUSE)
  // As it comes back from where it was kept.
  return { worked: worked!, frozen: JSON.parse(JSON.stringify(frozen)) as NonNullable<typeof frozen> }
}

test('what was begun is shown as it was begun: not by a later day, another house or another core', () => {
  const { worked, frozen } = frozenOn('2026-05-06')
  const shown = frozenApplication(frozen)!
  // 5,000 ft2 less a bed of 20 ft across, which grows over on 1 June.
  expect(shown.size).toBeCloseTo(worked.size, 9)
  expect(workedWith(draft, '2026-07-01').size).toBeGreaterThan(shown.size + 20)
  expect(shown.plan?.totals).toEqual(JSON.parse(JSON.stringify(worked.plan?.totals)))
  expect(shown.checks.map(({ code }) => code)).toEqual(worked.checks.map(({ code }) => code))
  const strict = { ...DEFAULT_HOUSE, calibrationDays: 5 }
  expect(workedWith(draft, '2026-05-06', { house: strict }).checks.map(({ code }) => code)).toContain(
    'calibration-stale',
  )
  expect(shown.checks.map(({ code }) => code)).not.toContain('calibration-stale')
  expect(frozen.calibration).toBe('known area, 20 April 2026, 1 run, setting 12')
})

test('the working of every figure is frozen with it, of checks too', () => {
  const { frozen } = frozenOn('2026-05-06')
  const pages = frozen.plan.working.map(({ figure }) => figure)
  expect(pages).toEqual(expect.arrayContaining(['ground.size', 'calibration', 'walk']))
  for (const { working } of frozen.worked?.checks ?? [])
    if (working !== undefined) expect(pages).toContain(working)
})

test('a plan frozen before everything was kept has nothing more to show', () => {
  const { worked: _, ...old } = frozenOn('2026-05-06').frozen
  expect(frozenApplication(old)).toBeUndefined()
})
