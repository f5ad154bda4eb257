import { expect, test } from 'vitest'
import { typed } from '../../../demo/typed'
import { lawn, part, product, spraying } from '../../../test/support/documents'
import type { LibraryArea, LibraryProduct } from '../../draft/fromLibrary'
import { blankArea } from '../../ground/blankArea'
import { blankProductDocument } from '../../label/blankProduct'
import type { ProductKind } from '../../label/productDocument'
import type { LineFigures } from '../../label/productShape'
import { gateLimits } from './gateLimits'

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
  const limits = gateLimits(mixOf('iron', 'fungicide'), products, [front('none')], 'us-1000')
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
  const limits = gateLimits(mixOf('iron'), [label('iron', 'fertilizer', {})], [], 'us-1000')
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
  expect(gateLimits(mixOf('iron'), [moved], [], 'us-1000').windMost).toBeUndefined()
  expect(gateLimits(mixOf('gone'), [other], [], 'us-1000').kinds).toEqual([])
})

test('watering in within hours and the mowing of the treated lawns', () => {
  const figures = {
    waterDepth: typed('0.5', 'in'),
    waterWithin: typed('2', 'd'),
    mowBefore: typed('1', 'd'),
    mowAfter: typed('48', 'h'),
  }
  const limits = gateLimits(
    mixOf('barrier'),
    [label('barrier', 'pre-emergent herbicide', figures)],
    [front('zone', [2, 5, 2])],
    'us-1000',
  )
  expect(limits.waterDepth).toBeCloseTo(0.0127, 9)
  expect([limits.waterHours, limits.mowBeforeHours, limits.mowAfterHours]).toEqual([48, 24, 48])
  expect([limits.irrigation, limits.mownOn]).toEqual(['zone', [2, 5]])
})
