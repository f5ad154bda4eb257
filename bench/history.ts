import { blankArea } from '../core/ground/blankArea'
import { DEFAULT_HOUSE } from '../core/house'
import type { ApplicationDraft } from '../core/draft/applicationShape'
import { lawnFromArea, noteFromLabel, type LibraryArea, type LibraryProduct } from '../core/draft/fromLibrary'
import type { JobQuestion } from '../core/job/workOutJob'
import { blankProductDocument, blankRateLine } from '../core/label/blankProduct'
import { drawsFrom } from '../core/quantity/draws'
import type { LedgerRow } from '../core/season/ledger'
import { typed } from '../demo/typed'
import { part } from '../test/support/documents'
import { largeDocument } from './workload'

const AREAS = 40
const PRODUCTS = 6
const APPLICATIONS = 5000

/** The large sheet drawn from rooms, with five thousand applications behind it: what every check looks at. */
export function sheetWithHistory(): {
  readonly document: ApplicationDraft
  readonly known: Required<Pick<JobQuestion, 'library' | 'ledger'>>
} {
  const plain = largeDocument(AREAS, PRODUCTS)
  const areas = plain.lawns.map(({ name }, i): LibraryArea => ({
    id: `area ${i}`,
    version: 1,
    name,
    document: {
      ...blankArea('part', 'us-1000'),
      parts: [part('add', 'rectangle', { length: String(60 + i), width: '31' })],
      grass: [{ id: 'g', species: 'tall fescue', share: typed('', '%'), cultivar: '' }],
    },
  }))
  const products = plain.products.map((note, i): LibraryProduct => {
    const blank = blankProductDocument('line', 'us-1000')
    const line = {
      ...blankRateLine('line', 'solution', 'us-1000'),
      rate: note.rate,
      low: note.low,
      high: note.high,
      year: typed('900', 'fl oz/1000 ft2' as const),
      repeatFrom: typed('14', 'd' as const),
      perYear: '400',
    }
    return {
      id: `product ${i}`,
      version: 1,
      name: note.name,
      document: {
        ...blank,
        kind: 'fungicide',
        form: 'solution',
        density: note.density,
        actives: [{ id: 'a', name: `active ${i % 4}`, content: typed('14', '%'), group: String(i) }],
        lines: [line],
      },
    }
  })
  const draw = drawsFrom(11)
  const ledger = Array.from({ length: APPLICATIONS }, (_, i): LedgerRow => {
    const which = Math.floor(draw() * PRODUCTS)
    return {
      applicationId: `job ${i}`,
      areaId: `area ${i % AREAS}`,
      product: `Product ${which + 1}`,
      sourceId: `product ${which}`,
      active: `active ${which % 4}`,
      groups: String(which),
      on: `${2024 + (i % 3)}-0${1 + (i % 4)}-${String(1 + (i % 28)).padStart(2, '0')}`,
      dimension: 'volume',
      amount: 1e-4,
      sizeM2: 170,
      n: 0.01,
      p2o5: 0,
      k2o: 0.002,
    }
  })
  // Turf and weather noted, so that the checks of the day run too.
  const document = {
    ...plain,
    lawns: areas.map((area) => lawnFromArea(area)),
    day: { turf: 'growing' as const, air: typed('78', '°F' as const), soil: typed('62', '°F' as const) },
    products: products.map((product, i) => ({
      ...noteFromLabel(product, product.document.lines[0]!, `note ${i}`, typed('5', 'mL')),
      rate: plain.products[i]!.rate,
    })),
  }
  return {
    document,
    known: {
      ledger,
      library: {
        areas,
        products,
        calibrations: [],
        local: [{ id: 'r', kind: 'nitrogen in a year', from: '', to: '', limit: '4', source: 'town' }],
        mixes: [],
      },
    },
  }
}

export const BENCH_HOUSE = DEFAULT_HOUSE
