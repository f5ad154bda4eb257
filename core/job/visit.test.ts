import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part, spreaderCourse, spreading } from '../../test/support/documents'
import { EMPTY_LIBRARY } from '../../test/support/worked'
import { lawnFromArea, noteFromLabel, type LibraryProduct } from '../draft/fromLibrary'
import { blankArea } from '../ground/blankArea'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import { plannedRows } from '../rules/plannedRows'
import { workOutJob, type JobLibrary } from './workOutJob'

const DAY = '2026-05-06'
const area = {
  id: 'area',
  version: 1,
  name: 'Front',
  document: {
    ...blankArea('part', 'us-1000'),
    parts: [part('add', 'rectangle', { length: '100', width: '50' })],
    grass: [{ id: 'g', species: 'centipede' as const, share: typed('', '%' as const), cultivar: '' }],
  },
}

function label(year: string, repeatFrom = ''): LibraryProduct {
  const blank = blankProductDocument('line', 'us-1000')
  const line = {
    ...blankRateLine('line', 'granule', 'us-1000'),
    rate: typed('3', 'lb/1000 ft2' as const),
    year: typed(year, 'lb/1000 ft2' as const),
    repeatFrom: typed(repeatFrom, 'd' as const),
  }
  return {
    id: 'p',
    version: 1,
    name: 'Granule',
    document: { ...blank, analysis: { ...blank.analysis, n: typed('20', '%') }, lines: [line] },
  }
}
const draftOf = (product: LibraryProduct) =>
  spreading(
    [lawnFromArea(area)],
    [noteFromLabel(product, product.document.lines[0]!, 'note', typed('', 'lb'))],
    { passes: 2, calibration: spreaderCourse('2026-05-01', '12', 'Granule', [['10', '9.2']]) },
  )
const libraryOf = (product: LibraryProduct, fields: Partial<JobLibrary> = {}): JobLibrary => ({
  ...EMPTY_LIBRARY,
  areas: [area],
  products: [product],
  ...fields,
})
const twice = (product: LibraryProduct, fields: Partial<JobLibrary> = {}) =>
  workOutJob({
    applications: ['first', 'second'].map((id) => ({ id, document: draftOf(product) })),
    day: DAY,
    library: libraryOf(product, fields),
  })
const stops = (worked: ReturnType<typeof twice>) =>
  worked.map(({ checks }) => checks.filter(({ level }) => level === 'stop').map(({ code }) => code))

// Each lays 3 lb on 1,000 ft2.
test('both applications of a visit are counted against the year, on each of them', () => {
  expect(stops(twice(label('6')))).toEqual([[], []])
  expect(stops(twice(label('5.9')))).toEqual([['above-max-per-year'], ['above-max-per-year']])
  const [first] = twice(label('5.9'))
  expect(first?.checks.find(({ code }) => code === 'above-max-per-year')?.message).toContain(
    'planned work counted',
  )
})

test('an interval holds the later of two back, not the one that comes first', () => {
  expect(stops(twice(label('', '14')))).toEqual([[], ['too-soon']])
})

// 3 lb of 20 % is 0.6 lb of N, twice 1.2; the grass wants 1 to 2 in a year.
test('nitrogen in one go is that of the whole visit', () => {
  const rule = (limit: string, unit?: 'lb/1000 ft2' | 'g/m2') => ({
    local: [
      {
        id: 'r',
        kind: 'nitrogen in one go' as const,
        from: '',
        to: '',
        limit,
        source: 'town',
        ...(unit && { unit }),
      },
    ],
  })
  expect(stops(twice(label(''), rule('1.2')))).toEqual([[], []])
  expect(stops(twice(label(''), rule('1.19')))).toEqual([['local-rule'], ['local-rule']])
  // 1.2 lb on 1,000 ft2 is 5.859 g on each m2.
  expect(stops(twice(label(''), rule('5.86', 'g/m2')))).toEqual([[], []])
  expect(stops(twice(label(''), rule('5.85', 'g/m2')))).toEqual([['local-rule'], ['local-rule']])
  expect(twice(label('')).map(({ nitrogen }) => nitrogen[0]?.year.length)).toEqual([1, 1])
})

test(
  'another planned job on the area counts, whenever in the year it is; what it waits for is its own ' +
    'matter',
  () => {
    const product = label('5.9', '14')
    const document = draftOf(product)
    const [other] = workOutJob({ applications: [{ id: 'o', document }], day: '2026-05-20' })
    const planned = plannedRows(
      { applicationId: 'o', draft: document, request: other!.request!, plan: other!.plan!, on: '2026-05-12' },
      'job',
      'before',
    )
    const [worked] = workOutJob({
      applications: [{ id: 'a', document }],
      day: DAY,
      library: libraryOf(product),
      planned,
    })
    expect(stops([worked!])).toEqual([['above-max-per-year']])
    const [after] = workOutJob({
      applications: [{ id: 'a', document }],
      day: '2026-05-18',
      library: libraryOf(label('', '14')),
      planned,
    })
    expect(stops([after!])).toEqual([['too-soon']])
  },
)

test('a draft that is the same one is answered as one that is read afresh', () => {
  const product = label('5.9')
  const document = draftOf(product)
  const at = (day: string) => workOutJob({ applications: [{ id: 'a', document }], day })[0]
  expect(at('2026-05-06')?.trust).not.toEqual(at('2027-05-06')?.trust)
  const afresh = workOutJob({ applications: [{ id: 'a', document: structuredClone(document) }], day: DAY })
  expect(JSON.stringify(at('2026-05-06'))).toBe(JSON.stringify(afresh[0]))
})
