import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, product, spraying } from '../../test/support/documents'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import { blankArea } from '../ground/blankArea'
import { blankProductDocument } from '../label/blankProduct'
import type { ProductKind } from '../label/productDocument'
import type { LineFigures } from '../label/productShape'
import { conditionLimits } from './conditionLimits'

/** A label with one line, and what that line prints of the hour. */
function label(id: string, kind: ProductKind, figures: LineFigures): LibraryProduct {
  const document = blankProductDocument(`line ${id}`, 'us-1000')
  const [line] = document.lines
  return { id, version: 1, name: id, document: { ...document, kind, lines: [{ ...line!, figures }] } }
}
const mixOf = (...ids: readonly string[]) =>
  spraying(
    [
      {
        ...lawn('Front', [part('add', 'rectangle', { length: '10', width: '10' })]),
        source: { id: 'front', version: 1 },
      },
    ],
    ids.map((id) => ({ ...product(id, 'spray', {}), source: { id, version: 1, line: `line ${id}` } })),
    {},
  )
const front = (irrigation: 'zone' | 'none', mownOn: readonly number[] = []) =>
  ({
    id: 'front',
    document: { ...blankArea('part', 'us-1000'), irrigation: { kind: irrigation }, mownOn },
  }) as unknown as LibraryArea

test('of several labels the strictest counts: least wind and heat, longest drying, soil within both', () => {
  const products = [
    label('iron', 'fertilizer', {
      windMost: typed('10', 'mph'),
      rainfast: typed('4', 'h'),
      soilFrom: typed('50', '°F'),
      soilTo: typed('95', '°F'),
    }),
    label('fungicide', 'fungicide', {
      windMost: typed('8', 'mph'),
      airMost: typed('86', '°F'),
      rainfast: typed('120', 'min'),
      soilFrom: typed('59', '°F'),
      soilTo: typed('77', '°F'),
    }),
  ]
  const limits = conditionLimits(mixOf('iron', 'fungicide'), products, [front('none')], 'us-1000')
  // 8 mph are 3.576 m/s; 86 °F 30 °C; 59 and 77 °F 15 and 25 °C.
  expect(limits.windMost).toBeCloseTo(3.57632, 5)
  expect(limits.airMost).toBeCloseTo(30, 9)
  expect(limits.rainfastHours).toBeCloseTo(4, 9)
  expect(limits.soilFrom).toBeCloseTo(15, 9)
  expect(limits.soilTo).toBeCloseTo(25, 9)
  expect(limits.kinds).toEqual(['fertilizer', 'fungicide'])
  expect(limits.dryLeaf).toBe('asked')
})

test('what no label asks for nobody asks', () => {
  const limits = conditionLimits(mixOf('iron'), [label('iron', 'fertilizer', {})], [], 'us-1000')
  expect(limits).toMatchObject({ forLeaf: 'no', dryLeaf: 'no matter', irrigation: 'none', mownOn: [] })
  for (const figure of ['soilFrom', 'soilTo', 'windMost', 'airMost', 'rainfastHours', 'waterDepth'] as const)
    expect(limits[figure]).toBeUndefined()
})

test('a product that is not in the library, or another line of it, asks for nothing', () => {
  const other = label('iron', 'fertilizer', { windMost: typed('5', 'mph') })
  const moved = {
    ...other,
    document: { ...other.document, lines: [{ ...other.document.lines[0]!, id: 'else' }] },
  }
  expect(conditionLimits(mixOf('iron'), [moved], [], 'us-1000').windMost).toBeUndefined()
  expect(conditionLimits(mixOf('gone'), [other], [], 'us-1000').kinds).toEqual([])
})

test('watering in within hours and the mowing of the treated lawns', () => {
  const figures = {
    waterDepth: typed('0.5', 'in'),
    waterWithin: typed('2', 'd'),
    mowBefore: typed('1', 'd'),
    mowAfter: typed('48', 'h'),
  }
  const limits = conditionLimits(
    mixOf('barrier'),
    [label('barrier', 'pre-emergent herbicide', figures)],
    [front('zone', [2, 5, 2])],
    'us-1000',
  )
  expect(limits.waterDepth).toBeCloseTo(0.0127, 9)
  expect([limits.waterHours, limits.mowBeforeHours, limits.mowAfterHours]).toEqual([48, 24, 48])
  expect([limits.irrigation, limits.mownOn]).toEqual(['zone', [2, 5]])
})

test('what the house asks by: a growth-hormone herbicide, quick or slow nitrogen, the grass', () => {
  const made = (kind: ProductKind, more: Partial<LibraryProduct['document']>) => {
    const { document, ...own } = label('p', kind, {})
    return { ...own, document: { ...document, ...more } }
  }
  const { analysis } = blankProductDocument('line', 'us-1000')
  const of = (product: LibraryProduct, areas: readonly LibraryArea[] = []) =>
    conditionLimits(mixOf('p'), [product], areas, 'us-1000')
  const active = (group: string) => ({
    actives: [{ id: 'a', name: 'a', content: typed('1', '%'), group }],
  })
  expect(of(made('post-emergent herbicide', active('4'))).hormone).toBe('yes')
  expect(of(made('post-emergent herbicide', active('9'))).hormone).toBeUndefined()
  // Group 4 of the insecticides is another thing.
  expect(of(made('insecticide', active('4'))).hormone).toBeUndefined()
  const feed = (n: string, slowN: string) =>
    of(made('fertilizer', { analysis: { ...analysis, n: typed(n, '%'), slowN: typed(slowN, '%') } })).nitrogen
  expect([feed('20', '49'), feed('20', '50'), feed('', '')]).toEqual(['quick', 'slow', undefined])
  const turf = (...species: readonly ('tall fescue' | 'bermuda')[]) => {
    const { document, ...own } = front('none')
    const grass = species.map((name) => ({ id: name, species: name, share: typed('', '%'), cultivar: '' }))
    return of(made('fertilizer', {}), [{ ...own, document: { ...document, grass } }]).grass
  }
  expect([turf('bermuda'), turf('bermuda', 'tall fescue'), turf()]).toEqual(['warm', 'cool', undefined])
})
