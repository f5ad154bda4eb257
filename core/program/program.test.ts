import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part } from '../../test/support/documents'
import { EMPTY_LIBRARY } from '../../test/support/worked'
import { daysAfter } from '../calendar/daysBetween'
import type { LibraryArea } from '../draft/fromLibrary'
import { blankArea } from '../ground/blankArea'
import type { GrassName } from '../ground/grasses'
import { DEFAULT_HOUSE } from '../house'
import type { StockedProduct } from '../job/cost/jobCost'
import { blankProductDocument } from '../label/blankProduct'
import type { ProductKind } from '../label/productDocument'
import type { RateLine } from '../label/productShape'
import { fieldReader } from '../quantity/fieldReader'
import { KILOGRAMS_PER } from '../quantity/units'
import { airAhead, seasonOfSeries } from '../season/areaSeason'
import type { LaidOnArea } from '../season/laidOnArea'
import type { LedgerRow } from '../season/ledger'
import { simulatedClimate } from '../simulated/simulatedClimate'
import { weatherSeries } from '../weather/weatherSeries'
import { intentions, type Intention, type WorkOnArea } from './intentions'
import { gapRepeats } from './gapRepeat'
import { nitrogenBudget } from './nitrogenBudget'
import { readProgram } from './programDocument'
import type { ProgramDocument, ProgramStep, StepWhen } from './programShape'
import { programOutlook, type ProgramQuestion } from './programOutlook'
import { purchaseList } from './purchaseList'
import { sectionBudget } from './sectionBudget'
import { withChanges } from './stepChanges'
import { stepDates, workYear, type StepSeason } from './stepDates'
import { blankStep, blankWhen, usualProgram, USUAL_PROGRAM_NAMES } from './usualPrograms'

const TODAY = '2026-05-06'
const CLIMATE = {
  mean: 12,
  swing: 11,
  coldest: 25,
  dayRange: 10,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 70,
}
const TELL = (celsius: number) => `${celsius} °C`
/** Soil that warms and cools a tenth of a degree a day: 10 °C on 11 April, back on 20 October. */
const soilOfYear = Array.from({ length: 365 }, (_, i) => ({
  on: daysAfter('2026-01-01', i),
  soil: i <= 196 ? i / 10 : 39.2 - i / 10,
  give: 1,
  from: 'usual' as const,
}))
const season = (more: Partial<StepSeason> = {}): StepSeason => ({
  today: TODAY,
  latitude: 41,
  windows: [],
  soil: soilOfYear,
  air: { first: 0, length: 0, least: new Float64Array(), most: new Float64Array() },
  overseeding: undefined,
  cues: [],
  tell: TELL,
  ...more,
})
const when = (fields: Partial<StepWhen> & Pick<StepWhen, 'by'>): StepWhen => ({
  ...blankWhen(fields.by, 'us-1000'),
  ...fields,
})
const step = (id: string, fields: Partial<ProgramStep>): ProgramStep => ({
  ...blankStep(id, 'us-1000'),
  title: id,
  ...fields,
})
const program = (steps: readonly ProgramStep[]): ProgramDocument => ({
  schema: 1,
  lawn: '',
  steps,
  notes: '',
})

// The mean of five days is that of the middle one: 10 °C on the day two after i = 100, and three in a row.
test.each([
  [
    'soil warming',
    when({ by: 'soil', soilFrom: typed('10', '°C'), soilTo: typed('15', '°C') }),
    { from: '2026-04-13', to: '2026-06-02' },
  ],
  [
    'soil cooling, with no end typed open three weeks',
    when({ by: 'soil', half: 'cooling', soilFrom: typed('15', '°C') }),
    { from: '2026-09-02', to: '2026-09-23', early: '2026-08-23', late: '2026-09-12' },
  ],
  ['never so warm', when({ by: 'soil', soilFrom: typed('40', '°C') }), { from: undefined }],
  [
    'the calendar',
    when({ by: 'dates', from: '06-01', to: '06-20' }),
    { from: '2026-06-01', to: '2026-06-20' },
  ],
  [
    'over New Year',
    when({ by: 'dates', from: '12-10', to: '01-10' }),
    { from: '2026-12-10', to: '2027-01-10' },
  ],
  [
    'before the seed',
    when({ by: 'seed', daysFrom: '-14', daysTo: '-7' }),
    { from: '2026-09-06', to: '2026-09-13' },
  ],
])('the days of a step by %s', (_, how, days) => {
  expect(stepDates(how, season({ overseeding: '2026-09-20' }), undefined)).toMatchObject(days)
})
test('in the southern half the calendar moves by half a year, and the year begins in July', () => {
  expect(workYear('2026-05-06', -34)).toEqual({ from: '2025-07-01', to: '2026-06-30' })
  const how = when({ by: 'dates', from: '04-01', to: '04-20' })
  expect(stepDates(how, season({ latitude: -34 }), undefined)).toMatchObject({ from: '2025-10-01' })
})
test('days after something seen on the site, the first time of the year of work; before it, none', () => {
  const how = when({ by: 'cue', cue: 'seed heads over', daysFrom: '0', daysTo: '14' })
  const seen = (...days: readonly string[]) =>
    stepDates(how, season({ cues: days.map((on) => ({ on, kind: 'seed heads over' as const })) }), undefined)
  expect(seen('2025-06-01', '2026-06-05', '2026-06-02')).toMatchObject({
    from: '2026-06-02',
    to: '2026-06-16',
  })
  expect(seen('2025-06-01').from).toBeUndefined()
})
test('heat units: 10 a day above a base from 1 May on come to 50 on the fifth day after', () => {
  const air = {
    first: 20_574,
    length: 60,
    least: new Float64Array(60).fill(15),
    most: new Float64Array(60).fill(25),
  }
  const how = when({ by: 'heat units', base: '10', units: '50', since: '05-01' })
  expect(stepDates(how, season({ air }), undefined)).toMatchObject({ from: '2026-05-06', to: '2026-05-13' })
})

const kindStep = (id: string, from: string, to: string, more: Partial<ProgramStep> = {}) =>
  step(id, { kind: 'fungicide', when: when({ by: 'dates', from, to }), ...more })
const found = (steps: readonly ProgramStep[], work: readonly WorkOnArea[] = []): readonly Intention[] =>
  intentions(program(steps), [], season(), work, () => undefined)
test.each([
  ['05-07', '05-20', 'ahead'],
  ['05-06', '05-20', 'open'],
  ['04-20', '05-06', 'open'],
  ['04-20', '05-05', 'late'],
  ['03-20', '04-06', 'late'],
  ['03-20', '04-05', 'missed'],
] as const)('days %s to %s on 6 May: %s', (from, to, state) => {
  expect(found([kindStep('a', from, to)]).map((one) => one.state)).toEqual([state])
})
test('what was laid counts for one step, done before planned; what waits follows its day', () => {
  const steps = [
    kindStep('a', '04-20', '05-01'),
    step('b', { kind: 'fungicide', when: when({ by: 'after', step: 'a', daysFrom: '20', daysTo: '30' }) }),
  ]
  const work: readonly WorkOnArea[] = [
    { on: '2026-05-20', kind: 'fungicide', product: 'F', jobId: 'job' },
    { on: '2026-04-25', kind: 'fungicide', product: 'F' },
    { on: '2026-04-25', kind: 'fertilizer', product: 'N' },
  ]
  const [a, b] = found(steps, work)
  expect(a).toMatchObject({ state: 'done', on: '2026-04-25' })
  expect(b).toMatchObject({
    state: 'planned',
    on: '2026-05-20',
    jobId: 'job',
    from: '2026-05-15',
    to: '2026-05-25',
  })
})
test('a series follows the day each was done on; too early and another product are no step of it', () => {
  const steps = [kindStep('a', '04-20', '05-20', { times: '3', every: '21', productId: 'p' })]
  const laid = (on: string, product = 'P') => ({ on, kind: 'fungicide' as const, product })
  const three = intentions(
    program(steps),
    [],
    season(),
    [laid('2026-03-20'), laid('2026-04-22', 'Q'), laid('2026-04-23')],
    () => 'P',
  )
  expect(three.map(({ from }) => from)).toEqual(['2026-04-20', '2026-05-14', '2026-06-04'])
  expect(three.map(({ state }) => state)).toEqual(['done', 'ahead', 'ahead'])
})
test('another product of its kind did a single step, unless a step asks for that one', () => {
  const steps = [kindStep('a', '04-20', '05-20', { productId: 'p' })]
  const work = [{ on: '2026-04-22', kind: 'fungicide' as const, product: 'Q' }]
  const states = (list: typeof steps) =>
    intentions(program(list), [], season(), work, (id) => id.toUpperCase()).map(({ state }) => state)
  expect(states(steps)).toEqual(['done'])
  expect(states([...steps, kindStep('b', '04-20', '05-20', { productId: 'q' })])).toEqual(['open', 'done'])
})
test('nothing follows what was never applied; what is open is followed from today at the earliest', () => {
  const second = (from: string, to: string) =>
    found([
      kindStep('a', from, to),
      step('b', { when: when({ by: 'after', step: 'a', daysFrom: '30', daysTo: '45' }) }),
    ]).map(({ state, from, reason }) => [state, from, reason])
  expect(second('02-01', '02-20')[1]).toEqual(['unknown', undefined, expect.stringContaining('not applied')])
  // Open since 20 April, and on 6 May still not done: 6 May + 30 d = 5 June.
  expect(second('04-20', '05-20')[1]).toEqual(['ahead', '2026-06-05', expect.any(String)])
})
test('steps that wait for each other are told, and stay unknown', () => {
  const steps = [
    step('a', { when: when({ by: 'after', step: 'b', daysFrom: '1', daysTo: '2' }) }),
    step('b', { when: when({ by: 'after', step: 'a', daysFrom: '5', daysTo: '2' }) }),
  ]
  expect(found(steps).map(({ state }) => state)).toEqual(['unknown', 'unknown'])
  const fields = fieldReader()
  readProgram(program(steps), fields)
  expect(fields.problems.map(({ path }) => path)).toEqual([
    'document.steps.0.when.step',
    'document.steps.1.when.daysFrom',
    'document.steps.1.when.step',
  ])
})
test('every usual program reads without a problem', () => {
  for (const name of USUAL_PROGRAM_NAMES) {
    let id = 0
    const fields = fieldReader()
    readProgram(
      usualProgram(name, 'us-1000', () => `${id++}`),
      fields,
    )
    expect(fields.problems).toEqual([])
  }
})

// Lb N on 1,000 ft2: laid, each to come, least and most wanted; what each is to be multiplied by.
test.each([
  [1, [0.5, 0.5], 2, 4, 'within', 1],
  [1, [0.4, 0.4], 2, 4, 'short', 1.25],
  [3, [1, 1], 2, 4, 'over', 0.5],
  [5, [1], 2, 4, 'over', undefined],
  [1, [], 2, 4, 'short', undefined],
] as const)(
  'a year of nitrogen: %s laid, %s to come, %s to %s wanted: %s',
  (laid, each, from, to, state, factor) => {
    const feed = (n: number | undefined) => ({ on: '2026-05-01', what: 'Feed', n, slow: 0 })
    const budget = nitrogenBudget([feed(laid)], each.map(feed), [from, to], 'us-1000')
    expect(budget.state).toBe(state)
    // The same in a planned job is no applied one.
    const plans = nitrogenBudget([{ ...feed(laid), planned: true }], each.map(feed), [from, to], 'us-1000')
    expect(plans).toMatchObject({ laid: 0, planned: laid, state })
    if (factor === undefined) expect(budget.factor).toBeUndefined()
    else expect(budget.factor).toBeCloseTo(factor, 9)
  },
)

test('nitrogen that nobody can tell is never nothing: short is not said, over is', () => {
  const feed = (n: number | undefined) => ({ on: '2026-05-01', what: 'Feed', n, slow: 0 })
  const state = (laid: number) =>
    nitrogenBudget([feed(laid), feed(undefined)], [feed(0.5)], [2, 4], 'us-1000')
  expect(state(1)).toMatchObject({ state: 'unknown', unknown: 1, factor: undefined })
  expect(state(2)).toMatchObject({ state: 'within', unknown: 1 })
  expect(state(4)).toMatchObject({ state: 'over', factor: undefined })
})

/** A granule of the shelf. */
function product(
  id: string,
  kind: ProductKind,
  line: Partial<RateLine>,
  more: { n?: string; group?: string } = {},
): StockedProduct {
  const blank = blankProductDocument(`${id} line`, 'us-1000')
  return {
    id,
    version: 1,
    name: id,
    document: {
      ...blank,
      kind,
      analysis: { ...blank.analysis, n: typed(more.n ?? '', '%') },
      actives: more.group
        ? [{ id: 'a', name: `${id} active`, content: typed('1', '%'), group: more.group }]
        : [],
      lines: [{ ...blank.lines[0]!, rate: typed('3', 'lb/1000 ft2'), ...line }],
      packages: [{ id: 'bag', size: typed('20', 'lb'), price: '40' }],
    },
    onHand: [{ dimension: 'mass', amount: 5 * KILOGRAMS_PER.lb }],
  }
}
const SHELF = [
  product('barrier', 'pre-emergent herbicide', { year: typed('6', 'lb/1000 ft2') }),
  product('other barrier', 'pre-emergent herbicide', {}),
  product('feed', 'fertilizer', {}, { n: '20' }),
  product('fungicide 3', 'fungicide', {}, { group: '3' }),
  product('fungicide 11', 'fungicide', {}, { group: '11' }),
  product('regulator', 'growth regulator', {}),
  product('grubs', 'insecticide', {}),
]
/** 1,000 ft2 of a grass. */
const areaOf = (id: string, grass: GrassName, overseeding = ''): LibraryArea => ({
  id,
  version: 1,
  name: id,
  document: {
    ...blankArea('part', 'us-1000'),
    parts: [part('add', 'rectangle', { length: '40', width: '25' })],
    grass: [{ id: 'g', species: grass, share: typed('', '%'), cultivar: '' }],
    overseeding,
  },
})
let made = 0
const question = (
  area: LibraryArea,
  list: readonly Intention[],
  more: Partial<ProgramQuestion> = {},
): ProgramQuestion => ({
  area,
  intentions: list,
  ledger: [],
  planned: [],
  today: TODAY,
  latitude: 41,
  library: {
    ...EMPTY_LIBRARY,
    areas: [area],
    products: SHELF,
    equipment: [],
    calibrations: [],
    system: 'us-1000',
    house: DEFAULT_HOUSE,
    newId: () => `new-${made++}`,
  },
  ...more,
})
const outlookOf = (steps: readonly ProgramStep[], area = areaOf('front', 'tall fescue')) =>
  programOutlook(question(area, found(steps)))
const dated = (
  id: string,
  kind: ProductKind,
  from: string,
  productId: string,
  more: Partial<ProgramStep> = {},
) => step(id, { kind, productId, when: when({ by: 'dates', from, to: '12-20' }), ...more })

test('a label’s limit reached over the season is told, and another product of the kind offered', () => {
  const barrier = (id: string, from: string) => dated(id, 'pre-emergent herbicide', from, 'barrier')
  const { conflicts, rows } = outlookOf([barrier('a', '05-10'), barrier('b', '06-10'), barrier('c', '07-10')])
  expect(
    conflicts.map(({ stepId, level, offers }) => [stepId, level, offers.map(({ label }) => label)]),
  ).toEqual([['c', 'stop', ['Take other barrier', 'Leave it out here']]])
  expect(rows).toHaveLength(3)
})
test('a run of one group planned over the program asks for another on the shelf', () => {
  const spray = (id: string, from: string) => dated(id, 'fungicide', from, 'fungicide 3')
  const { conflicts } = outlookOf([spray('a', '05-10'), spray('b', '06-10'), spray('c', '07-10')])
  expect(conflicts.map(({ stepId, offers }) => [stepId, offers[0]?.label])).toEqual([
    ['c', 'Take fungicide 11'],
  ])
})
test('a barrier against seed is told even before its product is chosen', () => {
  const { conflicts, open } = outlookOf(
    [dated('a', 'pre-emergent herbicide', '07-01', '')],
    areaOf('front', 'bermuda', '2026-09-20'),
  )
  expect(conflicts[0]).toMatchObject({ level: 'stop', offers: [{ label: 'Leave it out here' }] })
  expect(conflicts[0]?.message).toMatch(/seed on 20 September 2026/)
  expect(open).toEqual(['a: no product is chosen yet'])
})
test('nitrogen that stays short is shared evenly over the feeds to come', () => {
  const feed = (id: string, from: string, pounds: string) =>
    dated(id, 'fertilizer', from, 'feed', { nitrogen: typed(pounds, 'lb/1000 ft2') })
  const { conflicts, nitrogen } = outlookOf([feed('a', '05-10', '0.5'), feed('b', '09-10', '0.3')])
  expect(nitrogen?.state).toBe('short')
  // Tall fescue wants 2 lb at least: 1 lb each time.
  expect(conflicts.at(-1)?.offers[0]?.changes.map((one) => one.nitrogen.text)).toEqual(['1', '1'])
})
test('nitrogen to come in doses of either school: both bring the same over the same days', () => {
  const steps = [
    dated('a', 'fertilizer', '05-10', 'feed', {
      nitrogen: typed('0.9', 'lb/1000 ft2'),
      times: '2',
      every: '40',
      when: when({ by: 'dates', from: '05-10', to: '06-20' }),
    }),
  ]
  const lawn = areaOf('front', 'tall fescue')
  const { doses } = programOutlook(question(lawn, found(steps)))
  // 1.8 lb: 4 doses of at most half a pound, 2 of at most a pound; from 10 May to 3 July are 54 days.
  expect(doses.map(({ school, doses: count, usual, chosen }) => [school, count, usual, chosen])).toEqual([
    ['little and often', 4, false, false],
    ['a few times', 2, true, true],
  ])
  expect(doses[0]?.working).toEqual([
    'a, 1 of 2: 1.8 lb N/1000 ft2 over 54 days, at most 0.5 lb N/1000 ft2 at once and 10 days apart: ' +
      '4 doses of 0.45 lb N/1000 ft2, 13 days apart',
  ])
  const changed = intentions(
    program(steps),
    withChanges([], doses[0]!.changes),
    season(),
    [],
    () => undefined,
  )
  expect(changed.map(({ from, nitrogen }) => [from, nitrogen.text])).toEqual([
    ['2026-05-10', '0.45'],
    ['2026-05-23', '0.45'],
    ['2026-06-05', '0.45'],
    ['2026-06-18', '0.45'],
  ])
  // With the first of them done, the doses are those after it.
  const laid = [{ on: '2026-05-01', kind: 'fertilizer' as const, product: 'feed' }]
  const rest = intentions(program([{ ...steps[0]!, times: '4' }]), [], season(), laid, () => 'feed')
  const later = programOutlook(question(lawn, rest)).doses.find(({ chosen }) => !chosen)
  expect(later?.changes.map(({ occurrence, times }) => [occurrence, times])).toEqual([
    [0, String(1 + later!.doses)],
    ...Array.from({ length: later!.doses }, (_, i) => [1 + i, undefined]),
  ])
  const bent = programOutlook(question(areaOf('green', 'creeping bentgrass'), found(steps)))
  expect(bent.doses.find(({ usual }) => usual)?.school).toBe('little and often')
})
test('a budget goes to what comes first; what it does not reach and what has no price are named', () => {
  const feeds = outlookOf([
    dated('a', 'fertilizer', '05-10', 'feed', { nitrogen: typed('1', 'lb/1000 ft2') }),
    dated('b', 'fertilizer', '09-10', 'feed', { nitrogen: typed('1', 'lb/1000 ft2') }),
  ]).rows
  const section = (area: string, priority: 'high' | 'normal' | 'low', steps = feeds) => ({
    areaId: area,
    area,
    priority,
    laid: [],
    planned: [],
    steps,
  })
  // A pound of nitrogen is 5 lb of a feed of 20 %: 10 of a bag of 20 lb at 40.
  const years = [section('low', 'low'), section('high', 'high'), section('normal', 'normal')]
  const { whole, state, sections } = sectionBudget('site', 35, years, SHELF)
  expect(whole).toBeCloseTo(60, 9)
  expect(state).toBe('over')
  expect(sections.map(({ area, beyond }) => [area, beyond.map(({ stepId }) => stepId)])).toEqual([
    ['high', []],
    ['normal', ['b']],
    ['low', ['a', 'b']],
  ])
  // 10, then 20 that 16 do not reach: what comes after waits, though 5 of it would be there.
  const dear = outlookOf([
    dated('a', 'fertilizer', '05-10', 'feed', { nitrogen: typed('1', 'lb/1000 ft2') }),
    dated('b', 'fertilizer', '09-10', 'feed', { nitrogen: typed('2', 'lb/1000 ft2') }),
  ]).rows
  const cheap = outlookOf([
    dated('c', 'fertilizer', '05-10', 'feed', { nitrogen: typed('0.5', 'lb/1000 ft2') }),
  ]).rows
  const strict = sectionBudget(
    'site',
    16,
    [section('high', 'high', dear), section('low', 'low', cheap)],
    SHELF,
  )
  expect(strict.sections.map(({ beyond }) => beyond.map(({ stepId }) => stepId))).toEqual([['b'], ['c']])
  const bare = SHELF.map((one) => ({ ...one, document: { ...one.document, packages: [] } }))
  expect(sectionBudget('site', 35, years, bare)).toMatchObject({ state: 'unknown', unpriced: ['feed'] })
  const gone = [{ ...section('high', 'high'), planned: feeds }, section('low', 'low')]
  // 20 in jobs first: of 55 are left 35, one of the low section is reached.
  expect(sectionBudget('site', 55, gone, SHELF).sections[1]?.beyond.map(({ stepId }) => stepId)).toEqual([
    'b',
  ])
})
test('a gap opens the repeat: another group before the same, a feed as it was', () => {
  const line = { from: '2026-03-20', to: '2026-04-17', gapTo: TODAY, overlapDays: undefined }
  const asked = question(areaOf('front', 'tall fescue'), [])
  const offered = (what: string, name: string) => gapRepeats({ ...line, what, product: name }, asked)
  expect(offered('Fungicide', 'fungicide 3').map((one) => one.product)).toEqual([
    'fungicide 11',
    'fungicide 3',
  ])
  expect(offered('Fungicide', 'fungicide 3')[0]?.reason).toBe(
    'another group, 11 after 3; fungicide 3 lasted to 17 April 2026',
  )
  // 3 lb on 1,000 ft2.
  expect(offered('Fungicide', 'fungicide 3')[0]?.working[1]).toBe('x 92.903 m2 = 1.36078 kg = 3.00 lb')
  expect(offered('Barrier', 'barrier').map((one) => one.product)).toEqual(['barrier', 'other barrier'])
  expect(offered('Barrier', 'not on the shelf')).toEqual([])
})
test('what the season needs against the shelf, what is short with the bags to buy', () => {
  const { rows } = outlookOf([
    dated('a', 'pre-emergent herbicide', '05-10', 'barrier'),
    dated('b', 'pre-emergent herbicide', '06-10', 'barrier'),
    dated('c', 'insecticide', '05-08', 'grubs'),
  ])
  // 2 x 3 lb with 5 on hand leaves 1 short: one bag of 20; 3 lb of the other with 5 on hand.
  const list = purchaseList(rows, SHELF, 'us-1000')
  expect(
    list.map(({ product: name, short, buy, firstOn }) => [
      name,
      short / KILOGRAMS_PER.lb,
      buy?.cost,
      firstOn,
    ]),
  ).toEqual([
    ['barrier', expect.closeTo(1, 6), 40, '2026-05-10'],
    ['grubs', 0, undefined, '2026-05-08'],
  ])
})

const PRODUCT_OF: Readonly<Partial<Record<ProductKind, string>>> = {
  'pre-emergent herbicide': 'other barrier',
  fertilizer: 'feed',
  fungicide: 'fungicide 11',
  'growth regulator': 'regulator',
  insecticide: 'grubs',
}
const LAWNS = [
  ['cool-season lawn', areaOf('cool', 'tall fescue')],
  ['warm-season lawn, left dormant', areaOf('dormant', 'bermuda')],
  ['warm-season lawn, overseeded', areaOf('seeded', 'bermuda', '2026-11-15')],
] as const
// What opens is done at the next look, a week later, as somebody who works once a week would.
test.each([
  [11, 'a mild spring'],
  [29, 'a late one'],
])('the usual programs stay free of conflicts through a simulated spring (%s, %s)', (seed) => {
  const days = simulatedClimate(CLIMATE, '2024-01-01', 1000, seed)
  for (const [name, area] of LAWNS) {
    let id = 0
    const own = usualProgram(name, 'us-1000', () => `${id++}`)
    const steps = own.steps.map((one) => ({
      ...one,
      productId: one.kind === '' ? '' : (PRODUCT_OF[one.kind] ?? ''),
    }))
    const work: WorkOnArea[] = []
    const ledger: LedgerRow[] = []
    const laid: LaidOnArea[] = []
    for (let day = '2026-01-05'; day <= '2026-06-29'; day = daysAfter(day, 7)) {
      const series = weatherSeries(
        days.map((one) => ({ ...one, forecast: one.on > day })).filter(({ on }) => on <= daysAfter(day, 10)),
      )
      if (!series.ok) throw new Error(series.error.message)
      const ground = {
        grasses: area.document.grass.map(({ species }) => species),
        latitude: 35,
        overseeding: area.document.overseeding || undefined,
      }
      const now = seasonOfSeries(series.value, [], ground, laid, day, '°F')
      const list = intentions(
        { ...own, steps },
        [],
        {
          ...season(),
          ...ground,
          today: day,
          windows: now.windows,
          soil: now.soil,
          air: airAhead(series.value, '2026-12-31'),
        },
        work,
        (productId) => productId,
      )
      const { conflicts, rows } = programOutlook(question(area, list, { ledger, today: day, latitude: 35 }))
      expect(conflicts.map(({ title, message }) => [day, name, title, message])).toEqual([])
      for (const { state, kind, productId, stepId, occurrence } of list) {
        if (kind === '' || (state !== 'open' && state !== 'late')) continue
        work.push({ on: day, kind, product: productId })
        laid.push({ on: day, product: productId, active: '', kind, lastsDays: null })
        const row = rows.find(({ applicationId }) => applicationId === `${stepId} ${occurrence}`)
        if (row) ledger.push({ ...row, on: day })
      }
    }
    // The spring's work was really done: the test is not empty.
    expect(work.length).toBeGreaterThanOrEqual(3)
  }
})
