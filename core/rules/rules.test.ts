import { expect, test } from 'vitest'
import { field, typed } from '../../demo/typed'
import { part, spraying, sprayerCourse, spreaderCourse, spreading } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { daysAfter } from '../calendar/daysBetween'
import { blankArea } from '../ground/blankArea'
import type { SoilLevel } from '../ground/areaChoices'
import type { TurfState } from '../ground/turfStates'
import type { GrassName } from '../ground/grasses'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import type { ApplicationMethod, ProductKind, YearPeriod } from '../label/productDocument'
import type { ProductDocument } from '../label/productShape'
import { withJarTests, type LocalRule, type LocalRuleKind } from './localRule'
import { KILOGRAMS_PER, SQUARE_METRES_PER, type RateUnit, type TemperatureUnit } from '../quantity/units'
import type { LedgerRow } from '../season/ledger'
import type { JobLibrary } from '../job/workOutJob'
import type { ApplicationDraft } from '../draft/applicationShape'
import type { Split } from '../draft/applicationChoices'
import { EMPTY_LIBRARY, visitChecks, workedWith } from '../../test/support/worked'
import { lawnFromArea, noteFromLabel, type LibraryArea, type LibraryProduct } from '../draft/fromLibrary'

const DAY = '2026-05-06'
const SIZE = SQUARE_METRES_PER['1000 ft2']
const day = (text: string | undefined) => typed(text ?? '', 'd' as const)
/** Fahrenheit unless the unit is said. */
const degrees = (text: string | undefined) =>
  typed((text ?? '').split(' ')[0] ?? '', (text?.endsWith('°C') ? '°C' : '°F') as TemperatureUnit)
type Set = Readonly<Record<string, string>>
const setOf = (text: string): Set =>
  Object.fromEntries(
    text.split(';').map((pair) => [pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1)]),
  )

function kept(name: string, set: Set, content = '1', active = 'stuff'): LibraryProduct {
  const blank = blankProductDocument('line', 'us-1000')
  const [year = '', ground = '1000 ft2'] = (set.year ?? '').split('/')
  const document: ProductDocument = {
    ...blank,
    kind: (set.kind ?? 'fertilizer') as ProductKind,
    analysis: {
      ...blank.analysis,
      n: typed(set.n ?? '', '%'),
      p2o5: typed(set.p ?? '', '%'),
      k2o: typed(set.k ?? '', '%'),
      slowN: typed(set.slow ?? '', '%'),
    },
    actives: [{ id: 'a', name: active, content: typed(content, '%'), group: set.group ?? '' }],
    ...(set.potassium && { potassium: set.potassium as 'chloride' | 'sulfate' }),
    ...(set.salt && { saltIndex: set.salt }),
    ...(set.urea && {
      nForms: { nitrate: typed('', '%'), ammonium: typed('', '%'), urea: typed(set.urea, '%') },
    }),
    ...(set.harms && { harms: [set.harms as GrassName] }),
    lines: [
      {
        ...blankRateLine('line', 'granule', 'us-1000'),
        rate: typed(set.rate ?? '3', 'lb/1000 ft2'),
        year: typed(year, `lb/${ground}` as RateUnit),
        repeatFrom: day(set.repeatFrom),
        ...(set.period && { period: set.period as YearPeriod }),
        ...(set.yearActive && { yearActive: typed(set.yearActive, 'lb/1000 ft2' as const) }),
        perYear: set.perYear ?? '',
        inRow: set.inRow ?? '',
        method: (set.method ?? '') as ApplicationMethod,
        grasses: set.lineGrasses ? [set.lineGrasses as GrassName] : [],
        growth: (set.growth ?? '') as TurfState,
        ...(set.sparesSown && { sparesSown: [set.sparesSown as GrassName] }),
        figures: {
          airMost: degrees(set.airMost),
          soilFrom: degrees(set.soilFrom),
          soilTo: degrees(set.soilTo),
          seedAfter: day(set.seedAfter),
          seedBefore: day(set.seedBefore),
          ...(set.waterDepth && { waterDepth: typed(set.waterDepth, 'in') }),
          ...(set.windMost && { windMost: typed(set.windMost, 'mph') }),
          ...(set.buffer && { buffer: typed(set.buffer, 'ft') }),
        },
      },
    ],
  }
  return { id: name, version: 1, name, document }
}
function areaOf(set: Set): LibraryArea {
  const blank = blankArea('part', 'us-1000')
  return {
    id: 'area',
    version: 1,
    name: 'Front',
    document: {
      ...blank,
      parts: [part('add', 'rectangle', { length: '40', width: '25' })],
      established: set.established ?? '',
      overseeding: set.overseeding ?? '',
      ...(set.overseedWith && { overseedWith: [set.overseedWith as GrassName] }),
      ...((set.testP ?? set.testK ?? set.ph) && {
        soilTest: {
          on: set.testOn ?? '2025-03-01',
          ph: set.ph ?? '',
          p: (set.testP ?? '') as SoilLevel,
          k: (set.testK ?? '') as SoilLevel,
          organic: typed('', '%'),
        },
      }),
      ...(set.disease && {
        diseases: [
          { id: 'd', name: 'ring spot', seat: set.seat === 'leaf' ? 'leaf' : 'root', on: set.disease },
        ],
      }),
      grass: set.grass
        ? [{ id: 'g', species: set.grass as GrassName, share: typed('', '%'), cultivar: '' }]
        : [],
    },
  }
}
/** Group and active of what lies there already; `twin` holds the same active twice as strong. */
const OTHERS: Readonly<
  Record<
    string,
    { readonly active: string; readonly group: string; readonly content: string; readonly kind?: string }
  >
> = {
  own: { active: 'stuff', group: '3', content: '1' },
  twin: { active: 'stuff', group: '3', content: '2' },
  else: { active: 'other', group: '', content: '1' },
  feed: { active: '', group: '', content: '' },
  rival: { active: 'rival', group: '3', content: '1' },
  other11: { active: 'o', group: '11', content: '1' },
  premix: { active: 'x', group: '3 + 11', content: '1' },
  post: { active: 'p', group: 'Group 3', content: '1', kind: 'post-emergent herbicide' },
}
function rowOf(text: string, i: number): LedgerRow {
  const [on = '', name = 'own', pounds = '0', nitrogen = ''] = text.split(' ')
  const { active = '', group = '' } = OTHERS[name] ?? {}
  return {
    applicationId: `${i}`,
    areaId: 'area',
    product: name,
    sourceId: name,
    active,
    groups: group,
    on,
    dimension: 'mass',
    amount: Number(pounds) * KILOGRAMS_PER.lb,
    sizeM2: SIZE,
    n: Number(nitrogen.replace('n=', '')) * KILOGRAMS_PER.lb,
    p2o5: 0,
    k2o: 0,
  }
}
function localOf(text: string | undefined): readonly LocalRule[] {
  if (!text) return []
  const [kind = '', from = '', to = '', limit = ''] = text.split('/')
  return [{ id: 'r', kind: kind as LocalRuleKind, from, to, limit, source: 'the town' }]
}

function sheetOf(set: Set, ledger: string) {
  const area = areaOf(set)
  const products = [
    kept('own', set),
    ...Object.entries(OTHERS)
      .filter(([name]) => name !== 'own')
      .map(([name, { active, content, group, kind = set.kind ?? 'fertilizer' }]) =>
        kept(name, { kind, group }, content, active),
      ),
  ]
  const own = products[0]!
  const note = {
    ...noteFromLabel(own, own.document.lines[0]!, 'note', typed('', 'lb')),
    split: (set.split ?? '') as Split,
  }
  const lawn = {
    ...lawnFromArea(area),
    ...(set.own && { own: [{ product: 'note', rate: typed(set.own, 'lb/1000 ft2' as const) }] }),
  }
  const document = {
    ...spreading([lawn], [note], {
      passes: 2,
      calibration: spreaderCourse('2026-05-01', '12', 'own', [['10', '9']]),
    }),
    day: { turf: (set.turf ?? '') as TurfState, air: degrees(set.air), soil: degrees(set.soil) },
    ...((set.where ?? set.water) && {
      fate: {
        where: (set.where ?? '') as '' | 'soil' | 'leaf',
        wait: typed('', 'h' as const),
        water: set.water ?? '',
      },
    }),
  }
  const library: JobLibrary = { ...EMPTY_LIBRARY, areas: [area], products, local: localOf(set.local) }
  const rows = ledger.split(';').filter(Boolean).map(rowOf)
  const workOut = (changed: ApplicationDraft = document, on = set.on ?? DAY, shelf = library) =>
    workedWith(changed, on, { library: shelf, ledger: rows })
  return { document, library, sheet: workOut(), workOut }
}
function checksOf(set: Set, ledger: string) {
  return visitChecks(sheetOf(set, ledger).sheet)
}

test.each(readTable('rules.csv', import.meta.url))(
  '$name: $words',
  ({ set = '', ledger = '', expect: expected = '' }) => {
    expect(
      checksOf(setOf(set), ledger)
        .map(({ level, code }) => `${level} ${code}`)
        .join(', '),
    ).toBe(expected)
  },
)

test.each([
  // 6.2 and 0.4 lay, 3 come, 9 are allowed; the twin holds twice as much of the active: 6.2 lb of it are 12.4
  // of 9.
  [
    { rate: '3', year: '9' },
    '2026-03-01 own 6.2;2026-02-01 own 0.4',
    [
      'Front, 2026:',
      '1 March 2026: 6.2 lb/1000 ft2',
      '1 February 2026: 0.4 lb/1000 ft2',
      'laid this year 6.6 lb/1000 ft2',
      'this job 3 lb/1000 ft2',
      'the label allows 9 lb/1000 ft2',
      'together = 9.6 lb/1000 ft2',
    ],
  ],
  [
    { rate: '3', year: '9' },
    '2026-03-01 twin 3.6',
    [
      "Front, stuff in 2026, each as a share of the year's most:",
      '1 March 2026, twin: 80 %',
      'laid this year 80 %',
      'this job 33.3 %',
      'the label allows 100 %',
      'together = 113.3 %',
    ],
  ],
  [
    { rate: '3', perYear: '2' },
    '2026-01-05 own 1;2026-02-05 own 1',
    ['1: 5 February 2026, on Front', '2: 5 January 2026, on Front', 'with this job = 3, the label allows 2'],
  ],
  [
    { rate: '3', repeatFrom: '14' },
    '2026-04-23 twin 1',
    ['last on Front: 23 April 2026, twin', 'the label asks for 14 days between', 'free from = 7 May 2026'],
  ],
  [
    { rate: '3', kind: 'fungicide', group: '3' },
    '2026-04-01 rival 1;2026-03-01 premix 1;2026-02-01 other11 1',
    [
      'Front, newest first, of the fungicides that carry a group:',
      '1 April 2026, rival: group 3',
      '1 March 2026, premix: group 3 + 11',
      '1 February 2026, other11: group 11',
      'group 3 in a row = 2, allowed 2',
    ],
  ],
] as const)('the working behind a stop of the ledger: %j after %s', (set, ledger, lines) => {
  const [check] = checksOf(set, ledger)
  const told = typeof check?.working === 'function' ? check.working() : []
  // Figures are told to three digits; noughts at the end are no matter here.
  expect(
    told.map((line) => line.replaceAll(/(\d\.\d*?)0+(?=\D|$)/g, '$1').replaceAll(/(\d)\.(?=\s)/g, '$1')),
  ).toEqual(lines)
})

test('slow and quick nitrogen, now and in the year: by the labels', () => {
  const pound = KILOGRAMS_PER.lb / SIZE
  const of = (ledger: string) => {
    const [found] = sheetOf({ rate: '5', n: '20', slow: '60' }, ledger).sheet.nitrogen
    return { slow: found?.slow, quick: found?.quick }
  }
  // 5 x 20 % is 1 lb, 60 % of it slow; so is that of the pound that lies; the feed's half pound is quick.
  expect(of('2026-03-01 own 1 n=1;2026-02-01 feed 1 n=0.5')).toEqual({
    slow: { laid: expect.closeTo(0.6 * pound, 12), now: expect.closeTo(0.6 * pound, 12) },
    quick: { laid: expect.closeTo(0.9 * pound, 12), now: expect.closeTo(0.4 * pound, 12) },
  })
  expect(of('2026-03-01 gone 1 n=1')).toMatchObject({
    slow: { laid: undefined },
    quick: { laid: undefined, now: expect.closeTo(0.4 * pound, 12) as number },
  })
})

test('what the year leaves clears the stop when it is taken', () => {
  const [check] = checksOf({ rate: '3', year: '9' }, '2026-03-01 own 6.5')
  const less = check?.remedies.find(({ path }) => path === 'products.0.rate')?.value as {
    readonly text: string
  }
  expect(less.text).toBe('2.5')
  expect(checksOf({ rate: less.text, year: '9' }, '2026-03-01 own 6.5')).toEqual([])
})

test('partners of a tank: the crew’s own word, iron with phosphate, a jar test for what never met', () => {
  const iron = {
    ...kept('iron', {}),
    document: {
      ...kept('iron', {}).document,
      form: 'solution' as const,
      analysis: { ...kept('iron', {}).document.analysis, fe: typed('6', '%') },
    },
  }
  const feed = {
    ...kept('feed', { p: '4' }),
    document: { ...kept('feed', { p: '4' }).document, form: 'solution' as const },
  }
  const area = areaOf({})
  const notes = [iron, feed].map((product, i) =>
    noteFromLabel(product, product.document.lines[0]!, `n${i}`, typed('', 'lb')),
  )
  const document = spraying([lawnFromArea(area)], notes, {
    tank: typed('26', 'gal'),
    calibration: sprayerCourse('2026-05-01', field('132 ft'), typed(`11'8"`, 'ft'), '3.1', [
      field('1.92 gal'),
    ]),
  })
  const checks = (ledger: readonly LedgerRow[], verdict?: 'mixes' | 'never') =>
    visitChecks(
      workedWith(document, DAY, {
        ledger,
        library: {
          ...EMPTY_LIBRARY,
          areas: [area],
          products: [iron, feed],
          mixes: verdict ? [{ id: 'm', a: 'FEED', b: 'iron ', verdict, words: '' }] : [],
        },
      }),
    )
  const codes = (...asked: Parameters<typeof checks>) =>
    checks(...asked).map(({ level, code }) => `${level} ${code}`)
  const together = ['iron', 'feed'].map((name) => ({ ...rowOf(`2026-01-02 ${name} 1`, 7), product: name }))
  expect(codes([])).toEqual(['warn iron-with-phosphate', 'note mix-untested'])
  expect(codes(together)).toEqual(['warn iron-with-phosphate'])
  expect(codes([], 'mixes')).toEqual(['warn iron-with-phosphate'])
  expect(codes([], 'never')).toEqual(['stop mix-never'])
  // A pair noted before is noted anew, however its names are written; others stay.
  const old = [
    { id: '1', a: 'FEED', b: 'iron ', verdict: 'mixes' as const, words: 'clear' },
    { id: '2', a: 'feed', b: 'dye', verdict: 'mixes' as const, words: '' },
  ]
  expect(withJarTests(old, [{ a: 'iron', b: 'feed', verdict: 'never' }], () => '3')).toEqual([
    old[1],
    { id: '3', a: 'iron', b: 'feed', verdict: 'never', words: '' },
  ])
  // What the jar showed is one press away.
  expect(checks([])[1]?.remedies).toEqual(
    ['mixes', 'never'].map((verdict) =>
      expect.objectContaining({ jar: [{ a: 'iron', b: 'feed', verdict }] }),
    ),
  )
})

test.each([
  // most 9, 2 laid, 3 now: 4 left, once more at 3; from 28 days on.
  [{ rate: '3', year: '9', repeatFrom: '28' }, '2026-03-01 own 2', 4, 1, '2026-06-03'],
  [{ rate: '3', year: '9' }, '2026-03-01 own 6', 0, 0, undefined],
  [{ rate: '3', year: '12', perYear: '2' }, '2026-03-01 own 3', 6, 0, undefined],
  [{ rate: '3', perYear: '4' }, '2026-03-01 own 3;2025-03-01 own 3', undefined, 2, undefined],
  [{ rate: '6', year: '12', split: 'share' }, '', 6, 2, undefined],
] as const)('what the year leaves, %j after %s', (set, ledger, left, further, next) => {
  const [row, ...more] = sheetOf(set, ledger).sheet.yearLeft
  expect(more).toEqual([])
  expect(row?.amount?.left.value).toEqual(left === undefined ? undefined : expect.closeTo(left, 9))
  expect([row?.further, row?.next]).toEqual([further, next])
})

test('a lawn of another grass is offered the line its grass is named on, with that line’s own limits', () => {
  const { document, library, workOut } = sheetOf(
    { rate: '3', grass: 'centipede', lineGrasses: 'tall fescue' },
    '',
  )
  const own = library.products[0]!
  const light = {
    ...blankRateLine('light', 'granule', 'us-1000'),
    grasses: ['centipede' as const],
    rate: typed('1.4', 'lb/1000 ft2' as const),
    low: typed('1.2', 'lb/1000 ft2' as const),
    high: typed('2', 'lb/1000 ft2' as const),
  }
  const products = [
    { ...own, document: { ...own.document, lines: [...own.document.lines, light] } },
    ...library.products.slice(1),
  ]
  const shelf = { ...library, products }
  const [check] = visitChecks(workOut(document, DAY, shelf))
  const remedy = check?.remedies[0]
  expect([check?.code, remedy?.path]).toEqual(['grass-not-named', 'lawns.0.own'])
  const cleared = {
    ...document,
    lawns: [{ ...document.lawns[0]!, own: remedy?.value as NonNullable<(typeof document.lawns)[0]['own']> }],
  }
  const after = workOut(cleared, DAY, shelf)
  expect(after.plan?.totals.products[0]?.amount.value).toBeCloseTo(1.4, 6)
  expect(after.checks.filter(({ code }) => code === 'rate-below-label')).toEqual([])
  expect(visitChecks(after)).toEqual([])
})

test.each([
  ['an interval', { rate: '3', repeatFrom: '14' }, '2026-04-30 own 1', '2026-05-14'],
  ['a closed season', { rate: '3', local: 'no application/05-01/05-31/' }, '', '2026-06-01'],
  ['a closed season over New Year', { rate: '3', local: 'no application/12-01/05-06/' }, '', '2026-05-07'],
] as const)('%s is cleared by the day it offers, and not by the day before', (_, set, ledger, free) => {
  const { document, workOut } = sheetOf(set, ledger)
  const stopsOn = (day: string) => workOut(document, day).checks.filter(({ level }) => level === 'stop')
  const [stop] = stopsOn(DAY)
  expect(stop?.remedies.find(({ path }) => path === 'plannedFor')?.value).toBe(free)
  expect(stopsOn(free)).toEqual([])
  expect(stopsOn(daysAfter(free, -1))).toHaveLength(1)
})

test.each([
  // [the disease, seen on, the job's day, whether it is told]
  ['root', '2026-04-20', '2026-09-01', true],
  ['root', '2026-04-20', '2026-11-30', true],
  ['root', '2026-04-20', '2026-08-31', false],
  ['root', '2026-04-20', '2026-12-01', false],
  ['root', '2026-02-28', '2026-10-01', false],
  ['root', '2025-04-20', '2026-10-01', false],
  ['leaf', '2026-04-20', '2026-10-01', false],
] as const)('autumn nitrogen where the %s were ill, seen %s, fed %s', (seat, seen, day, told) => {
  const { document, workOut } = sheetOf({ rate: '3', n: '20', disease: seen, seat }, '')
  expect(workOut(document, day).checks.some(({ code }) => code === 'nitrogen-root-disease')).toBe(told)
})
