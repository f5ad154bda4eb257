import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { field, typed } from '../../demo/typed'
import { sampleCrew } from '../../demo/sampleCrew'
import { sampleCalibrations, sampleEquipment } from '../../demo/sampleEquipment'
import { sampleProducts } from '../../demo/sampleProducts'
import { sampleSites } from '../../demo/sampleSites'
import { figure, readTable } from '../../test/support/readTable'
import type { SprayerDocument, ToolDocument } from '../calibration/equipmentShape'
import type { RateBasis } from '../label/label'
import { readProduct } from '../label/read/readProduct'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import { fieldReader } from '../quantity/fieldReader'
import type { AmountUnit, DensityUnit, RateUnit } from '../quantity/units'
import { sameContent } from '../sameContent'
import { openWorkingBook } from '../working/working'
import { workOutApplication } from '../job/workOutJob'
import { lawnFromArea, noteFromLabel, sprayFrom, stepFor } from './fromLibrary'
import { lineCost } from '../job/cost/lineCost'
import { EMPTY_LIBRARY, familyChecks, ofMachine, workedWith } from '../../test/support/worked'
import type { JobLibrary } from '../job/workOutJob'

test.each(readTable('lineCost.csv', import.meta.url))('cost, $name: $words', (row) => {
  const rate = field<RateUnit>(row.rate ?? '')
  const line = { ...blankRateLine('l', 'granule', 'us-1000'), rate, basis: row.basis as RateBasis }
  const blank = blankProductDocument('l', 'us-1000')
  const document = {
    ...blank,
    lines: [line],
    analysis: { ...blank.analysis, n: typed(row.n ?? '', '%' as const) },
    ...(row.density && { density: field<DensityUnit>(row.density) }),
  }
  const book = openWorkingBook()
  const cost = lineCost(
    { id: 'p', version: 1, name: 'P', document },
    line,
    { id: 'k', size: field<AmountUnit>(row.package ?? ''), price: row.price ?? '' },
    book,
  )
  if (row.cost === '') return expect(cost).toBeUndefined()
  expect(cost).toBeCloseTo(figure(row, 'cost'), 12)
  expect(book.pages()[0]?.lines.at(-1)).toMatch(/^cost [\d.]+ on 1000 ft2$/)
})

test('a label whose lowest rate is above its highest is questioned at the line, whatever the units', () => {
  const blank = blankProductDocument('l', 'us-1000')
  const problems = (low: string, high: string) => {
    const reader = fieldReader()
    readProduct(
      {
        ...blank,
        lines: [{ ...blankRateLine('l', 'granule', 'us-1000'), low: field(low), high: field(high) }],
        packages: [{ id: 'k', size: typed('50', 'lb'), price: '-3' }],
      },
      reader,
    )
    return reader.problems.map(({ path }) => path)
  }
  expect(problems('3 lb/1000 ft2', '150 lb/ac')).toEqual(['document.packages.0.price'])
  expect(problems('4 lb/1000 ft2', '150 lb/ac')).toEqual([
    'document.lines.0.low',
    'document.packages.0.price',
  ])
})

const tools = sampleEquipment().flatMap(({ document }): readonly ToolDocument[] =>
  document.kind === 'tool' ? [document] : [],
)
test.each([
  ['lb/1000 ft2', 'coarse', '0.2 lb'],
  ['oz/1000 ft2', 'fine', '0.1 g'],
  ['fl oz/1000 ft2', 'fine', '5 mL'],
  ['%', 'fine', '5 mL'],
] as const)('%s, %s, is measured in steps of %s', (rate, use, step) => {
  const found = stepFor(rate, tools, use)
  expect(`${found.text} ${found.unit}`).toBe(step)
  expect(stepFor(rate, [], use).text).toBe('')
})

describe('drawn from the library', () => {
  const job = sampleCrew().jobs.find(({ purpose }) => purpose === 'Light feed on the slopes')
  const document = job?.applications[0]?.document
  if (!document) throw new Error('the sample has changed')
  const now = (fields: Partial<JobLibrary> = {}): JobLibrary => ({ ...EMPTY_LIBRARY, ...fields })
  const told = (library: JobLibrary, draft = document) =>
    familyChecks(workedWith(draft, '2026-05-08', { library }), 'What changed')
  const areas = sampleSites().flatMap((site) => site.areas)
  const codes = (library: JobLibrary) => told(library).map(({ code, level }) => `${level} ${code}`)

  test('limits printed in nitrogen hold a rate in product by its nitrogen', () => {
    const [feed] = sampleProducts().filter(({ document: { form } }) => form === 'granule')
    if (!feed) throw new Error('the sample has changed')
    const rated = (text: string) => typed(text, 'lb/1000 ft2' as const)
    const line = {
      ...blankRateLine('l', 'granule', 'us-1000'),
      basis: 'n' as const,
      rate: rated('0.5'),
      low: rated('0.5'),
      high: rated('1.0'),
    }
    const label = {
      ...feed,
      version: 1,
      document: {
        ...feed.document,
        analysis: { ...feed.document.analysis, n: typed('20', '%' as const) },
        lines: [line],
      },
    }
    const limits = (text: string) => {
      const note = {
        ...noteFromLabel(label, line, 'n', typed('', 'lb')),
        basis: 'product' as const,
        rate: rated(text),
      }
      return workedWith(
        { ...document, products: [note], lawns: document.lawns.map(({ own: _, ...lawn }) => lawn) },
        '2026-05-08',
      )
        .checks.filter(({ code }) => code === 'rate-above-label' || code === 'rate-below-label')
        .map(({ code }) => code)
    }
    // 0.5 to 1.0 lb of N are 2.5 to 5 lb of a 20 % feed.
    expect(limits('2.5')).toEqual([])
    expect(limits('5')).toEqual([])
    expect(limits('5.01')).toEqual(['rate-above-label'])
    expect(limits('2.49')).toEqual(['rate-below-label'])
  })

  test('what still says the same raises nothing', () => {
    const products = sampleProducts().map((product) => ({ ...product, version: 1 }))
    expect(codes(now({ areas: areas.map((area) => ({ ...area, version: 1 })), products }))).toEqual([])
    expect(
      codes(
        now({
          areas: areas.map((area) => ({ ...area, version: 7 })),
          products: products.map((product) => ({ ...product, version: 7 })),
        }),
      ),
    ).toEqual([])
  })

  test(
    'a size measured anew, a label changed, a newer calibration: each offers the replan, and the replan ' +
      'clears it',
    () => {
      const kept = now({
        areas: areas.map(({ again, ...area }) => ({
          ...area,
          version: again ? 2 : 1,
          document: again?.document ?? area.document,
        })),
        products: sampleProducts().map((product) => ({
          ...product,
          version: 2,
          document: { ...product.document, density: typed('9.9', 'lb/gal' as const) },
        })),
        calibrations: ofMachine(
          document,
          sampleCalibrations()
            .filter(({ document: { kind } }) => kind === 'spread')
            .map((one) => ({
              ...one,
              version: 1,
              document: {
                ...one.document,
                course: { ...one.document.course, on: '2026-05-07' },
              } as typeof one.document,
            })),
        ),
      })
      const checks = told(kept)
      expect(checks.map(({ code }) => code)).toEqual(['label-changed', 'size-changed', 'calibration-newer'])
      const replanned = checks.reduce((doc, { remedies: [remedy] }) => {
        const [head = '', index] = (remedy?.path ?? '').split('.')
        const list = doc[head as 'lawns']
        return (
          Array.isArray(list)
            ? { ...doc, [head]: list.map((one, i) => (String(i) === index ? remedy?.value : one)) }
            : { ...doc, spread: { ...doc.spread, calibration: remedy?.value } }
        ) as typeof doc
      }, document)
      expect(told(kept, replanned)).toEqual([])
      expect(workOutApplication(replanned, '2026-05-08').size).toBeGreaterThan(
        workOutApplication(document, '2026-05-08').size,
      )
    },
  )

  test('a size changed in the job alone is a note, and the site’s is offered', () => {
    const changed = {
      ...document,
      lawns: document.lawns.map((lawn) => ({ ...lawn, instrument: 'tape' as const })),
    }
    const [check] = told(now({ areas: areas.map((area) => ({ ...area, version: 1 })) }), changed)
    expect(check).toMatchObject({ level: 'note', code: 'size-changed', remedies: [{ path: 'lawns.0' }] })
  })

  test('beds wait to be asked for; a label that prints only a range starts low', () => {
    const bed = areas.find(({ document: { use } }) => use === 'bed')
    expect(bed && lawnFromArea({ ...bed, version: 1 }).treated).toBe('no')
    const product = sampleProducts()[0]
    const line = product?.document.lines[0]
    if (!product || !line) throw new Error('no product')
    expect(
      noteFromLabel(
        { ...product, version: 1 },
        { ...line, rate: typed('', line.rate.unit) },
        'n',
        typed('', 'g'),
      ).rate.text,
    ).toBe('2.4')
    const ride = sampleEquipment().find(({ name }) => name.startsWith('60 gal'))
    const sprayed =
      ride &&
      sprayFrom(
        { ...ride, version: 1, document: ride.document as SprayerDocument },
        undefined,
        document.spray,
        'r',
        'us-1000',
      )
    expect(sprayed?.tank.text).toBe('56')
    expect(sprayed?.calibration.runs).toHaveLength(1)
  })
})

test('the same content is the same in any order of keys, and one changed leaf is seen', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const turned = (node: unknown): unknown =>
        Array.isArray(node)
          ? node.map(turned)
          : typeof node === 'object' && node !== null
            ? Object.fromEntries(
                Object.entries(node)
                  .toReversed()
                  .map(([name, inner]) => [name, turned(inner)]),
              )
            : node
      return sameContent(value, turned(value)) && !sameContent({ value, extra: 1 }, { value, extra: 2 })
    }),
  )
  expect(sameContent({ a: 1, b: undefined }, { a: 1 })).toBe(true)
  expect(sameContent([1, 2], { 0: 1, 1: 2 })).toBe(false)
})
