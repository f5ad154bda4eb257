import { expect, test } from 'vitest'
import { field, typed } from '../../demo/typed'
import { metresPerSecond } from '../quantity/quantity'
import { repeats, runAdvice } from '../quantity/repeats'
import { blankSpreaderCourse, blankSprayerCourse } from './blankEquipment'
import type { CalibrationDocument, SprayerCourse } from './calibrationShape'
import { calibrationInForce, type LibraryCalibration } from './calibrationInForce'
import { bySprayMethod } from './chooseMethod'
import { calibrationTrust, type TrustQuestion } from './calibrationTrust'

const spray = (fields: Partial<SprayerCourse>): SprayerCourse => ({
  ...blankSprayerCourse('r', 'us-1000'),
  on: '2026-04-20',
  speed: typed('3', 'mph'),
  ...fields,
})
const question = (fields: Partial<TrustQuestion> = {}): TrustQuestion => ({
  day: '2026-05-06',
  days: 60,
  product: 'Iron',
  nozzles: { what: 'flat fans', fitted: '2026-04-01' },
  ...fields,
})
const words = (course: SprayerCourse, asked = question()) =>
  calibrationTrust({ kind: 'spray', note: course }, asked)
    .map(({ about, holds }) => `${holds ? '+' : '-'}${about}`)
    .join(' ')

// 3 mph x 1.15 = 3.45 mph; 60 days before 6 May is 7 March.
test.each([
  ['made with the set that is on', spray({ nozzles: 'Flat fans ' }), question(), '+nozzles +day +speed'],
  ['made with another set', spray({ nozzles: 'hollow cones' }), question(), '-nozzles +day +speed'],
  ['made the day the set was fitted', spray({ on: '2026-04-01' }), question(), '+nozzles +day +speed'],
  ['made the day before', spray({ on: '2026-03-31' }), question(), '-nozzles +day +speed'],
  ['nothing known of nozzles', spray({}), question({ nozzles: { what: '', fitted: '' } }), '+day +speed'],
  [
    'sixty days old',
    spray({ on: '2026-03-07' }),
    question({ nozzles: { what: '', fitted: '' } }),
    '+day +speed',
  ],
  ['sixty-one', spray({ on: '2026-03-06' }), question({ nozzles: { what: '', fitted: '' } }), '-day +speed'],
  [
    '15 % faster',
    spray({ nozzles: 'flat fans' }),
    question({ speed: metresPerSecond(3.45 * 0.44704) }),
    '+nozzles +day +speed',
  ],
  [
    'a little more',
    spray({ nozzles: 'flat fans' }),
    question({ speed: metresPerSecond(3.46 * 0.44704) }),
    '+nozzles +day -speed',
  ],
  [
    'no speed timed',
    spray({ nozzles: 'flat fans', speed: typed('', 'mph') }),
    question(),
    '+nozzles +day -speed',
  ],
  [
    'a bottle of another product',
    spray({ by: 'hose-end', product: 'Wetting agent', nozzles: 'flat fans' }),
    question(),
    '-product +nozzles +day +speed',
  ],
  [
    'a tank does not care for the product',
    spray({ product: 'Wetting agent', nozzles: 'flat fans' }),
    question(),
    '+nozzles +day +speed',
  ],
] as const)('%s', (_, course, asked, expected) => {
  expect(words(course, asked)).toBe(expected)
})

test('in force: the product weighs most, then the nozzles, then the age, then the speed', () => {
  const spread = (id: string, on: string, product: string, speed: string): LibraryCalibration => ({
    id,
    version: 1,
    document: {
      schema: 1,
      kind: 'spread',
      heldBy: '',
      by: '',
      notes: '',
      course: { ...blankSpreaderCourse('r', 'us-1000'), on, product, speed: field(speed) },
    } satisfies CalibrationDocument,
  })
  const kept = [
    spread('far', '2026-05-01', 'A', '5 mph'),
    spread('near', '2026-04-20', 'A', '3 mph'),
    spread('old', '2025-05-01', 'A', '3 mph'),
    spread('other', '2026-05-05', 'B', '3 mph'),
  ]
  const pick = (fields: Partial<TrustQuestion>, from = kept) =>
    calibrationInForce(from, question({ product: 'A', speed: metresPerSecond(3 * 0.44704), ...fields }))?.id
  expect(pick({})).toBe('near')
  expect(
    pick(
      {},
      kept.filter(({ id }) => id !== 'near'),
    ),
  ).toBe('far')
  expect(
    pick(
      {},
      kept.filter(({ id }) => id === 'old' || id === 'other'),
    ),
  ).toBe('old')
  expect(pick({ product: 'B' })).toBe('other')
})

test('another run is asked for while it would help', () => {
  // Three of 1, 1.03, 0.97: sd 0.03 / root 3 x 2.195 by Student's t = 0.038; 1, 1.015, 0.985: 0.019.
  expect(
    [[1], [1, 1.01], [1, 1.1, 0.9], [1, 1.03, 0.97], [1, 1.015, 0.985]].map(
      (runs) => runAdvice(repeats(runs)).advice,
    ),
  ).toEqual(['two more', 'one more', 'uneven', 'one more', 'enough'])
})

test('trying another method and coming back loses nothing that was typed', () => {
  const before = spray({ length: typed('132', 'ft'), width: typed('20', 'in'), nozzles: 'flat fans' })
  const seven = { count: '7', spacing: typed('20', 'in') }
  const there = bySprayMethod(before, 'nozzle catch', 'us-1000', seven)
  expect(there.catching?.catches).toHaveLength(7)
  const caught = {
    ...there,
    catching: { time: typed('30', 's'), catches: [typed('19.6', 'fl oz')] },
  } as SprayerCourse
  const back = bySprayMethod(
    bySprayMethod(caught, 'hose-end', 'us-1000', seven),
    'nozzle catch',
    'us-1000',
    seven,
  )
  expect(back).toMatchObject({ ...before, by: 'nozzle catch', catching: caught.catching })
})
