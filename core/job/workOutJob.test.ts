import { describe, expect, test } from 'vitest'
import * as v from 'valibot'
import { sampleCrew } from '../../demo/sampleCrew'
import { typed } from '../../demo/typed'
import {
  analysis,
  lawn,
  part,
  product,
  spraying,
  sprayerCourse,
  spreaderCourse,
  spreading,
} from '../../test/support/documents'
import { ApplicationDraftSchema } from '../draft/applicationShape'
import { labelScale } from '../label/labelScale'
import { openWorkingBook } from '../working/working'
import { isReady, workOutApplication } from './workOutJob'
import { blankApplication } from '../draft/blankApplication'
import { chainOf, linkAt, opensOn } from './chain'
import { nextField } from './nextField'
import type { ApplicationDraft, ProductDraft } from '../draft/applicationShape'

const TODAY = '2026-05-06'
const front = lawn('Front', [part('add', 'rectangle', { length: '100', width: '50' })])
const runs = [
  ['18.4', '17.52'],
  ['17.52', '16.6'],
  ['16.6', '15.7'],
] as const
const granule = (fields: Partial<ProductDraft> = {}) =>
  product('Granule', 'spread', { rate: typed('3.4', 'lb/1000 ft2'), ...fields })
const dry = (
  fields: Partial<ProductDraft> = {},
  on = '2026-05-01',
  setting = '12',
  tested = 'Granule',
): ApplicationDraft =>
  spreading([front], [granule(fields)], {
    passes: 2,
    reserve: typed('3', 'lb'),
    calibration: spreaderCourse(on, setting, tested, runs),
  })
const wet = (fields: Partial<ProductDraft> = {}): ApplicationDraft =>
  spraying([front], [product('Iron', 'spray', { rate: typed('3.4', 'fl oz/1000 ft2'), ...fields })], {
    tank: typed('26', 'gal'),
    calibration: sprayerCourse('2026-05-01', typed('132', 'ft'), typed(`11'8"`, 'ft'), '3.1', [
      typed('1.92', 'gal'),
      typed('1.92', 'gal'),
    ]),
  })
const codes = (document: ApplicationDraft, today = TODAY) =>
  workOutApplication(document, today).checks.map(({ code }) => code)
const wrong = (document: ApplicationDraft) =>
  workOutApplication(document, TODAY)
    .problems.filter(({ kind }) => kind === 'wrong')
    .map(({ path }) => path)

test('from dimensions, a course and a label to what to weigh', () => {
  const sheet = workOutApplication(dry(), TODAY)
  expect(sheet.problems).toEqual([])
  expect(sheet.size / 0.09290304).toBeCloseTo(5000, 8)
  expect(sheet.plan?.totals.products[0]).toMatchObject({
    amount: { value: expect.closeTo(17, 9), unit: 'lb' },
    charge: { value: expect.closeTo(20, 9) },
  })
  expect(sheet.checks).toEqual([])
})

test('wet: the carrier is the calibration’s, at today’s speed', () => {
  expect(workOutApplication(wet(), TODAY).plan?.totals.carrier?.value).toBeCloseTo((1.92 / 1540) * 5000, 9)
  const faster: ApplicationDraft = {
    ...wet(),
    spray: { ...wet().spray, speedToday: typed('3.41', 'mph') },
  }
  expect(workOutApplication(faster, TODAY).plan?.totals.carrier?.value).toBeCloseTo(
    ((1.92 / 1540) * 5000) / 1.1,
    9,
  )
  expect(workOutApplication(faster, TODAY).plan?.totals.products[0]?.amount.value).toBeCloseTo(17, 9)
})

test('a blank sheet asks for everything in the order of the chain, and nothing is wrong', () => {
  const blank = blankApplication({ lawn: 'l', part: 'p', product: 'q', run: 'r' }, 'spray', 'us-1000')
  const sheet = workOutApplication(blank, TODAY)
  expect(sheet.problems.map(({ path }) => path)).toEqual([
    'lawns.0.parts.0.lengths.length',
    'lawns.0.parts.0.lengths.width',
    'spray.calibration.length',
    'spray.calibration.width',
    'spray.calibration.runs.0.used',
    'products.0.rate',
    'spray.tank',
  ])
  expect(sheet.problems.every(({ kind }) => kind === 'missing')).toBe(true)
  expect(isReady(sheet)).toBe(false)
  expect(opensOn(chainOf(sheet, 'draft', TODAY))).toBe('measure')
  expect(chainOf(sheet, 'draft', TODAY).map(({ state }) => state)).toEqual([
    'here',
    'to-come',
    'to-come',
    'to-come',
    'to-come',
    'to-come',
  ])
})

test('the chain moves with the job', () => {
  const states = (state: 'planned' | 'running' | 'done') =>
    chainOf(workOutApplication(dry(), TODAY), state, TODAY).map((link) => link.state)
  expect(states('planned')).toEqual(['done', 'done', 'done', 'done', 'here', 'to-come'])
  expect(states('done')).toEqual(['done', 'done', 'done', 'done', 'done', 'done'])
  expect(chainOf(workOutApplication(dry(), TODAY), 'planned', TODAY)[1]?.detail).toBe('5 days ago')
})

describe('calibration', () => {
  test('sixty days are fresh, sixty-one stale', () => {
    expect(codes(dry(), '2026-06-30')).toEqual([])
    expect(codes(dry(), '2026-07-01')).toEqual(['calibration-stale'])
  })
  test('another product’s grain, no date, a single run', () => {
    expect(codes(dry({}, '2026-05-01', '12', 'Other granule'))).toEqual(['calibration-other-product'])
    expect(codes(dry({}, ''))).toEqual(['calibration-undated'])
    const single: ApplicationDraft = {
      ...dry(),
      spread: {
        ...dry().spread,
        calibration: spreaderCourse('2026-05-01', '12', 'Granule', [['18.4', '17.5']]),
      },
    }
    expect(codes(single)).toEqual(['calibration-single-run'])
  })
  test(
    'a setting within 5 % is left alone; beyond, the pace that puts it right is offered; beyond 15 % ' +
      'only the dial',
    () => {
      // The course gave 0.90 lb on 528 ft2: 1.7045 lb/1000 ft2 a pass.
      const perPass = (value: number) =>
        workOutApplication(dry({ rate: typed(String(value * 2), 'lb/1000 ft2') }), TODAY).checks[0]
      expect([perPass(1.63), perPass(1.79)]).toEqual([undefined, undefined])
      expect(perPass(1.6)).toMatchObject({
        code: 'setting-off',
        remedies: [
          { path: 'spread.speedToday', value: { text: '3.30', unit: 'mph' } },
          { path: 'spread.calibration.setting' },
        ],
      })
      expect(perPass(1.4)).toMatchObject({
        code: 'setting-off',
        remedies: [{ label: 'Close the dial and calibrate' }],
      })
    },
  )
})

describe('what is caught', () => {
  const range = { low: typed('2.4', 'lb/1000 ft2'), high: typed('4.8', 'lb/1000 ft2') } as const
  test('a rate 43.56 times the label’s, or a 43.56th of it, is turned round in one press', () => {
    const swapped = workOutApplication(
      dry({ ...range, rate: typed('148', 'lb/1000 ft2') }),
      TODAY,
    ).checks.find(({ code }) => code === 'rate-other-area-unit')
    expect(swapped).toMatchObject({
      level: 'stop',
      remedies: [{ path: 'products.0.rate', value: { text: '148.0', unit: 'lb/ac' } }],
    })
    expect(codes(dry({ ...range, rate: typed('3.4', 'lb/ac') }))).toContain('rate-other-area-unit')
    expect(codes(dry({ ...range, rate: typed('3.4', 'lb/1000 ft2') }))).toEqual([])
  })
  test('300 lb per 1,000 is refused, 60 questioned, 40 not', () => {
    expect(wrong(dry({ rate: typed('300', 'lb/1000 ft2') }))).toEqual(['products.0.rate'])
    expect(codes(dry({ rate: typed('60', 'lb/1000 ft2') }))).toContain('rate-unlikely')
    expect(codes(dry({ rate: typed('40', 'lb/1000 ft2') }))).not.toContain('rate-unlikely')
  })
  test('a 40-acre flower bed', () => {
    const bed = {
      ...part('subtract', 'rectangle', {}),
      shape: 'known' as const,
      size: typed('40', 'ac') as never,
    }
    const lawns = (outer: string) =>
      spreading(
        [lawn('Front', [part('add', 'rectangle', { length: outer, width: outer }), bed])],
        [granule()],
        dry().spread,
      )
    expect(wrong(lawns('100'))).toEqual(['lawns.0.parts.1'])
    expect(codes(lawns('1500'))).toContain('lawn-unlikely')
  })
  test('zero, negative, ambiguous and mixed-up entries stay at their field', () => {
    const length = (text: string) =>
      spreading(
        [lawn('Front', [part('add', 'rectangle', { length: text, width: '50' })])],
        [granule()],
        dry().spread,
      )
    for (const text of ['0', '-3', '2,5', 'abc', '3 gal', '9999999999'])
      expect(wrong(length(text))).toEqual(['lawns.0.parts.0.lengths.length'])
    expect(wrong(dry({ rate: typed('2 oz/gallon', 'lb/1000 ft2') }))).toContain('products.0.rate')
    expect(wrong(dry({ rate: typed('2', 'fl oz/1000 ft2') }))).toContain('products.0.rate')
    expect(wrong(wet({ rate: typed('2', 'oz/1000 ft2'), step: typed('5', 'mL') }))).toEqual([
      'products.0.density',
    ])
    expect(wrong(dry({ analysis: analysis('120', '0', '0', '0', '0') }))).toEqual(['products.0.analysis.n'])
    expect(codes(wet({ rate: typed('100', '%') }))).toContain('products-fill-tank')
    expect(codes({ ...wet(), spray: { ...wet().spray, speedToday: typed('31', 'mph') } })).toEqual(
      expect.arrayContaining(['speed-unlikely', 'speed-questioned']),
    )
  })
  test('every stop offers a way out, and taking it clears the stop', () => {
    const over = dry({ ...range, rate: typed('5.8', 'lb/1000 ft2') })
    const [stop] = workOutApplication(over, TODAY).checks
    expect(stop).toMatchObject({
      level: 'stop',
      code: 'rate-above-label',
      source: 'label rate line',
      remedies: [{ path: 'products.0.rate', value: { text: '4.8' } }],
    })
    expect(
      workOutApplication(dry({ ...range, rate: typed('4.8', 'lb/1000 ft2') }), TODAY).checks.filter(
        ({ level }) => level === 'stop',
      ),
    ).toEqual([])
  })
})

test('the label’s scale', () => {
  const note = workOutApplication(
    dry({ low: typed('2', 'lb/1000 ft2'), high: typed('5', 'lb/1000 ft2') }),
    TODAY,
  ).products[0]
  expect(note && labelScale(note)).toMatchObject({
    low: expect.closeTo(2 / 6.75),
    high: expect.closeTo(5 / 6.75),
    today: expect.closeTo(3.4 / 6.75),
    unit: 'lb/1000 ft2',
  })
})

test('every sample job passes its schema, has its figures, and its working ends in each of them', () => {
  for (const { document } of sampleCrew()
    .jobs.slice(-8)
    .flatMap(({ applications }) => applications)) {
    expect(v.safeParse(ApplicationDraftSchema, document).success).toBe(true)
    const sheet = workOutApplication(document, TODAY, openWorkingBook())
    expect(sheet.plan?.totals.products).toHaveLength(document.products.length)
    for (const page of sheet.plan?.working ?? []) expect(page.lines.at(-1), page.figure).toMatch(/\d/)
  }
})

test('a sheet opens on the first link that lacks something, else on its loads', () => {
  const whole = workOutApplication(dry(), TODAY)
  expect(opensOn(chainOf(whole, 'draft', TODAY))).toBe('load')
  expect(
    ['lawns.0.parts', 'products.1.rate', 'spray.tank', 'spread.reserve', 'spread.passes', 'fate.water'].map(
      linkAt,
    ),
  ).toEqual(['measure', 'rate', 'load', 'load', 'walk', 'walk'])
  expect(['spray.calibration.length', 'spread.speedToday', 'spray.equipment'].map(linkAt)).toEqual(
    Array.from({ length: 3 }, () => 'calibrate'),
  )
  expect(linkAt('plannedFor')).toBeUndefined()
})

test('which machine is asked before its course, once, and only where one could be named', () => {
  const missing = (path: string) => [{ path, kind: 'missing' as const, message: '' }]
  const course = missing('spread.calibration.length')
  const unnamed = { ...dry(), spread: { ...dry().spread, equipment: '' } }
  expect(nextField(course, unnamed, 'some', 'lawns.0.name')).toBe('spread.equipment')
  expect(nextField(course, unnamed, 'some', 'spread.equipment')).toBe('spread.calibration.length')
  expect(nextField(course, unnamed, 'none', undefined)).toBe('spread.calibration.length')
  const named = { ...unnamed, spread: { ...unnamed.spread, equipment: 'Push' } }
  expect(nextField(course, named, 'some', undefined)).toBe('spread.calibration.length')
  expect(nextField(missing('products.0.rate'), unnamed, 'some', undefined)).toBe('products.0.rate')
  expect(nextField([], unnamed, 'some', undefined)).toBeUndefined()
})
