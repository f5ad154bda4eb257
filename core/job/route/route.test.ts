import { expect, test } from 'vitest'
import { field, typed } from '../../../demo/typed'
import { lawn, part, product, spreaderCourse, spreading } from '../../../test/support/documents'
import { sprayedSite } from '../../../test/support/sprayedSite'
import { figure, readTable } from '../../../test/support/readTable'
import { blankProductDocument } from '../../label/blankProduct'
import type { LoadStyle } from '../../plan/planRequest'
import { mixingSteps } from '../../plan/mixingOrder'
import { KILOGRAMS_PER, SQUARE_METRES_PER } from '../../quantity/units'
import { openWorkingBook } from '../../working/working'
import { familyChecks } from '../../../test/support/worked'
import { workOutApplication, workOutJob } from '../workOutJob'
import { compareVariants } from '../compare/compareVariants'
import { routeNeeds, routeSpray } from './routeNeeds'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { jobCost } from '../cost/jobCost'
import { mixKey, commonMixes } from './commonMix'

test.each(readTable('commonMix.csv', import.meta.url))('$name: $words', (row) => {
  const own = (row.sizes ?? '').split(';').map((size, i) =>
    sprayedSite(i, Number(size), {
      tank: figure(row, 'tank'),
      dead: figure(row, 'dead'),
      loads: row.loads as LoadStyle,
    }),
  )
  const [mix, ...others] = commonMixes(own)
  expect(others).toEqual([])
  expect(mix?.plan.totals.mix?.value).toBeCloseTo(figure(row, 'mix'), 9)
  const expected = (row.stops ?? '').split('; ').map((text) => {
    const [arrives, takes, leaves, makes] = text.split(' ')
    return {
      arrives: expect.closeTo(Number(arrives), 6),
      takes: expect.closeTo(Number(takes), 6),
      leaves: expect.closeTo(Number(leaves), 6),
      makes,
    }
  })
  expect(
    mix?.stops.map(({ arrives, takes, leaves, makes }) => ({
      arrives,
      takes,
      leaves,
      makes: makes.map(({ number }) => number).join('+') || '-',
    })),
  ).toEqual(expected)
})

test('only what is sprayed alike shares a tank, and only where it was asked for', () => {
  const key = (options: Parameters<typeof sprayedSite>[2]) => mixKey(sprayedSite(0, 1000, options))
  expect(key({})).toBe(key({ shared: '' }))
  for (const other of [{ rate: 3.5 }, { tank: 60 }]) expect(key(other)).not.toBe(key({}))
  expect(commonMixes([sprayedSite(0, 9000), sprayedSite(1, 9000, { shared: '' })])).toEqual([])
  expect(commonMixes([sprayedSite(0, 9000), sprayedSite(1, 9000, { rate: 3 })])).toEqual([])
})

test('the truck holds the day’s sum; what the shelf lacks is bought the cheapest way', () => {
  const applications = [
    sprayedSite(0, 15_000),
    sprayedSite(1, 10_000),
    sprayedSite(2, 1000, { shared: '' }),
  ].map((one) => ({
    ...one,
    document: {
      ...one.document,
      products: one.document.products.map((note) => ({
        ...note,
        source: { id: 'stocked', version: 1, line: 'l' },
      })),
    },
  }))
  const blank = blankProductDocument('l', 'us-1000')
  const packages = [
    { id: 'small', size: field<'fl oz'>('32 fl oz'), price: '20' },
    { id: 'large', size: field<'gal'>('1 gal'), price: '45' },
  ]
  const stocked = [
    {
      id: 'stocked',
      version: 1,
      name: 'Iron',
      document: { ...blank, packages },
      onHand: [{ dimension: 'volume' as const, amount: 20 * 2.95735295625e-5 }],
    },
  ]
  const [need, ...more] = routeNeeds(applications, commonMixes(applications), stocked, openWorkingBook())
  expect(more).toEqual([])
  // 26,000 ft2 x 3.4 = 88.4 fl oz, 20 on hand: 68.4 short; three of 32 at 60 against one gallon at 45.
  expect((need?.amount ?? 0) / 2.95735295625e-5).toBeCloseTo(88.4, 6)
  expect((need?.short ?? 0) / 2.95735295625e-5).toBeCloseTo(68.4, 6)
  expect(need?.buy?.packs).toMatchObject([{ count: 1, pack: { id: 'large' } }])
  // 110 on hand in bottles of 32: three full ones and 14 in the open one; 88.4 less 14 is 74.4, three
  // bottles.
  const bottles = [
    {
      ...stocked[0]!,
      document: { ...blank, packages: packages.slice(0, 1) },
      onHand: [{ dimension: 'volume' as const, amount: 110 * 2.95735295625e-5 }],
    },
  ]
  expect(routeNeeds(applications, commonMixes(applications), bottles)[0]?.take).toMatchObject({
    open: expect.closeTo(14 * 2.95735295625e-5, 12) as number,
    full: 3,
    pack: { id: 'small' },
  })
  expect(need?.take).toBeUndefined()
  expect(routeSpray(applications, commonMixes(applications)) / 0.003785411784).toBeCloseTo(33.8, 6)
})

function dry(rate: string, passes = 2): ApplicationDraft {
  const note = product('Feed', 'spread', {
    rate: typed(rate, 'lb/1000 ft2'),
    analysis: { ...product('', 'spread', {}).analysis, n: typed('20', '%') },
    source: { id: 'stocked', version: 1, line: 'l' },
  })
  return spreading(
    [
      lawn('Front', [part('add', 'rectangle', { length: '100', width: '50' })], { id: 'front' }),
      lawn('Back', [part('add', 'rectangle', { length: '50', width: '50' })], { id: 'back' }),
    ],
    [{ ...note, id: 'feed' }],
    {
      passes,
      equipment: 'Push spreader',
      calibration: spreaderCourse('2026-05-01', '12', 'Feed', [
        ['10', '9.2'],
        ['10', '9.2'],
      ]),
    },
  )
}

test('cost by job, by thousand and by lawn; what stays in the open package', () => {
  const document = dry('4')
  const { request, plan } = workOutApplication(document, '2026-05-06')
  if (!request || !plan) throw new Error('not planned')
  const blank = blankProductDocument('l', 'us-1000')
  const packages = [
    { id: 'dear', size: field<'lb'>('10 lb'), price: '12' },
    { id: 'cheap', size: field<'lb'>('50 lb'), price: '40' },
    { id: 'unknown', size: field<'lb'>('50 lb'), price: '' },
  ]
  const book = openWorkingBook()
  const cost = jobCost(
    document,
    request,
    plan,
    [
      {
        id: 'stocked',
        version: 1,
        name: 'Feed',
        document: { ...blank, packages },
        onHand: [{ dimension: 'mass', amount: 95 * KILOGRAMS_PER.lb }],
      },
    ],
    book,
  )
  // 7,500 ft2 x 4 = 30 lb at 40 / 50 = 24; 95 - 30 = 65: one bag of 50 and 15 lb of the next.
  expect(cost.whole).toBeCloseTo(24, 9)
  expect(cost.perThousand).toBeCloseTo(3.2, 9)
  expect(cost.areas.map(({ cost: own }) => own)).toEqual([expect.closeTo(16, 9), expect.closeTo(8, 9)])
  expect((cost.products[0]?.left?.open ?? 0) / KILOGRAMS_PER.lb).toBeCloseTo(15, 9)
  expect(
    book
      .pages()
      .find(({ figure: name }) => name === 'cost.job')
      ?.lines.at(-1),
  ).toBe('product of this application = 24')
  // Two bags of ten came last: they are what stands there, 30 lb at 12 / 10 = 36; of 35 lb none is whole.
  const delivered = (pounds: number) =>
    jobCost(document, request, plan, [
      {
        id: 'stocked',
        version: 1,
        name: 'Feed',
        document: { ...blank, packages },
        onHand: [
          {
            dimension: 'mass',
            amount: 95 * KILOGRAMS_PER.lb,
            delivered: pounds * KILOGRAMS_PER.lb,
          },
        ],
      },
    ]).whole
  expect([delivered(20), delivered(100), delivered(35)]).toEqual([
    expect.closeTo(36, 9),
    expect.closeTo(24, 9),
    expect.closeTo(24, 9),
  ])
  expect(jobCost(document, request, plan, []).whole).toBeUndefined()
})

test('two variants differ where they differ, and nowhere else', () => {
  const variant = (document: ApplicationDraft) => ({
    document,
    sheet: workOutApplication(document, '2026-05-06'),
    cost: undefined,
    lanes: undefined,
  })
  const differing = (a: ApplicationDraft, b: ApplicationDraft) =>
    compareVariants(variant(a), variant(b))
      .filter(({ differs }) => differs)
      .map(({ label }) => label)
  expect(differing(dry('4'), dry('4'))).toEqual([])
  expect(differing(dry('4'), dry('3'))).toEqual(['Feed', 'Nitrogen', 'Warnings'])
  expect(differing(dry('3', 2), dry('3', 1))).toContain('On foot')
})

test('light passes: as many as the setting needs, and the pass is not held against a fixed share', () => {
  const document = dry('4')
  const sheet = workOutApplication(
    { ...document, spread: { ...document.spread, until: 'out' } },
    '2026-05-06',
  )
  // 0.8 lb over 48 x 11 ft is 1.515 lb on 1,000: 4 / 1.515 = 2.64.
  expect(sheet.request?.method).toMatchObject({ kind: 'spread', passes: 3 })
  expect(sheet.checks.filter(({ code }) => code === 'setting-off')).toEqual([])
  expect((sheet.plan?.totals.size.value ?? 0) / SQUARE_METRES_PER['1000 ft2']).toBeCloseTo(7.5, 6)
})

test('a visit whose order undoes itself is told; a wait stands on the one that waits', () => {
  const with_ = (where: '' | 'soil' | 'leaf', wait = '') => ({
    ...dry('4'),
    fate: { where, wait: typed(wait, 'h' as const), water: '' },
  })
  const told = (visit: readonly ApplicationDraft[], index: number) =>
    familyChecks(
      workOutJob({
        applications: visit.map((document, i) => ({ id: `${i}`, document })),
        day: '2026-05-06',
      })[index]!,
      'Order',
    ).map(({ level }) => level)
  expect(told([with_('soil'), with_('leaf')], 1)).toEqual([])
  expect(told([with_('leaf'), with_('soil')], 1)).toEqual(['warn'])
  expect(told([with_('leaf', '1'), with_('leaf')], 1)).toEqual(['note'])
})

test(
  'what the pH asks of a mix: bounds that suit all, none where they exclude each other, the last one ' +
    'after',
  () => {
    const partner = (name: string, from: string, to: string, last: '' | 'last' = '') => ({
      name,
      form: 'solution' as const,
      ph: { from, to, last },
    })
    expect(mixingSteps([partner('a', '5', '7'), partner('b', '', '6.5')]).ph).toEqual({
      from: 5,
      to: 6.5,
      state: 'asked',
    })
    expect(mixingSteps([partner('a', '5', '6'), partner('b', '6.5', '')]).ph).toMatchObject({ state: 'none' })
    const { before, after } = mixingSteps([partner('trigger', '', '', 'last'), partner('a', '', '')])
    expect([before.map(({ name }) => name), after.map(({ name }) => name)]).toEqual([['a'], ['trigger']])
    expect(mixingSteps([{ name: 'plain', form: 'solution' as const }]).ph).toBeUndefined()
  },
)
