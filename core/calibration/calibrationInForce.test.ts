import { expect, test } from 'vitest'
import { blankCalibration } from '../../test/support/documents'
import { blankEquipment } from './blankEquipment'
import { calibrationInForce, whyInForce, type LibraryCalibration } from './calibrationInForce'
import { nozzleWidth, readEquipment } from './equipmentDocument'
import type { SprayerDocument } from './equipmentShape'
import { calibrationAge, newestDay } from './calibrationAge'
import { agreement, repeats } from '../quantity/repeats'
import { fieldReader } from '../quantity/fieldReader'
import { typed } from '../../demo/typed'
import { closedWorkingBook } from '../working/working'

const spread = (id: string, on: string, product: string): LibraryCalibration => {
  const blank = blankCalibration('spread', 'r', 'us-1000')
  return blank.kind === 'spread'
    ? { id, version: 1, document: { ...blank, course: { ...blank.course, on, product } } }
    : { id, version: 1, document: blank }
}
const spray = (id: string, on: string): LibraryCalibration => {
  const blank = blankCalibration('spray', 'r', 'us-1000')
  return {
    id,
    version: 1,
    document: { ...blank, course: { ...blank.course, on } } as LibraryCalibration['document'],
  }
}
const kept = [
  spread('old', '2025-04-15', 'Slow feed'),
  spread('new', '2026-04-21', 'slow feed '),
  spread('other', '2026-05-04', 'Granule B'),
  spread('undated', '', 'Slow feed'),
  spread('ahead', '2026-06-01', 'Slow feed'),
]

test.each([
  ['the latest with this product, however it is written', 'Slow Feed', '2026-05-06', 'new'],
  ['before that one was made, the older', 'Slow feed', '2026-04-01', 'old'],
  ['with none for the product, the latest of all: the sheet will warn', 'Granule C', '2026-05-06', 'other'],
  ['before any was made, none', 'Slow feed', '2025-01-01', undefined],
] as const)('%s', (_, product, day, id) => {
  expect(calibrationInForce(kept, { day, product, days: 60 })?.id).toBe(id)
})

test('a newer job never displaces a test of several runs, and the reason is told', () => {
  const test = spread('test', '2026-04-21', 'Feed')
  const tested = {
    ...test,
    document: {
      ...test.document,
      course: { ...test.document.course, runs: [...test.document.course.runs, ...test.document.course.runs] },
    } as LibraryCalibration['document'],
  }
  const newer = spread('job', '2026-05-01', 'Feed')
  const job = {
    ...newer,
    document: { ...newer.document, course: { ...newer.document.course, by: 'job' } } as typeof newer.document,
  }
  const question = { day: '2026-05-06', product: 'Feed', days: 60 }
  expect(calibrationInForce([tested, job], question)?.id).toBe('test')
  expect(whyInForce([tested, job], question)).toBe('goes before the one of 1 May 2026, a job')
  // A test that is too old is worse than the job.
  expect(calibrationInForce([tested, job], { ...question, days: 10 })?.id).toBe('job')
  expect(whyInForce([tested, job], { ...question, days: 10 })).toMatch(/15 days old, over 10$/)
  expect(whyInForce([tested], question)).toBeUndefined()
  expect(whyInForce([newer, test], question)).toBe('the newest, before the one of 21 April 2026')
})

test('water is water: of a sprayer the latest counts', () => {
  expect(
    calibrationInForce([spray('a', '2026-04-13'), spray('b', '2026-04-02')], {
      day: '2026-05-06',
      days: 60,
      product: 'Iron',
    })?.id,
  ).toBe('a')
  const twins = [spray('b', '2026-04-13'), spray('a', '2026-04-13')]
  expect(calibrationInForce(twins, { day: '2026-05-06', days: 60, product: '' })?.id).toBe(
    calibrationInForce(twins.toReversed(), { day: '2026-05-06', days: 60, product: '' })?.id,
  )
})

test('a tank is not filled beyond what it holds, and something must come out of it', () => {
  const problems = (fields: Partial<SprayerDocument>) => {
    const reader = fieldReader()
    readEquipment(
      { ...(blankEquipment('sprayer', 'us-1000') as SprayerDocument), tank: typed('26', 'gal'), ...fields },
      reader,
      closedWorkingBook,
    )
    return reader.problems.map(({ path }) => path)
  }
  expect(problems({})).toEqual([])
  expect(problems({ fillTo: typed('100', 'L') })).toEqual(['document.fillTo'])
  expect(problems({ fillTo: typed('98', 'L') })).toEqual([])
  expect(problems({ fillTo: typed('5', 'gal'), dead: typed('5', 'gal') })).toEqual(['document.dead'])
  // Seven nozzles 20 in apart: 140 in = 3.556 m.
  const boom = {
    ...(blankEquipment('sprayer', 'us-1000') as SprayerDocument),
    nozzles: { count: '7', spacing: typed('20', 'in' as const), what: '' },
  }
  expect(nozzleWidth(boom, fieldReader())).toBeCloseTo(3.556, 12)
  expect(
    nozzleWidth({ ...boom, nozzles: { ...boom.nozzles, count: 'seven' } }, fieldReader()),
  ).toBeUndefined()
})

test.each([
  ['on the last day it still holds', '2026-03-07', { days: 60, state: 'fresh' }],
  ['a day later it does not', '2026-03-06', { days: 61, state: 'stale' }],
  ['without a day nobody knows', '', { days: undefined, state: 'stale' }],
] as const)('age of a calibration: %s', (_, on, expected) => {
  expect(calibrationAge(on, '2026-05-06', 60)).toEqual(expected)
  expect(newestDay([on, '2025-01-01', '2026-05-07', ''], '2026-05-06')).toBe(on || '2025-01-01')
})

test('runs agree up to five per cent; one run says nothing', () => {
  // 1, 1.04, 0.96: sd 0.04 over mean 1.
  expect(agreement(repeats([1, 1.04, 0.96])).share).toBeCloseTo(0.04, 9)
  expect([[1, 1.04, 0.96], [1, 1.06, 0.94], [1]].map((runs) => agreement(repeats(runs)).state)).toEqual([
    'agree',
    'uneven',
    'single',
  ])
})
