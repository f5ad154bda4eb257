import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part, sprayerCourse, spraying } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { EMPTY_LIBRARY, visitChecks, workedWith } from '../../test/support/worked'
import { lawnFromArea, noteFromLabel, type LibraryProduct } from '../draft/fromLibrary'
import { blankArea } from '../ground/blankArea'
import type { TurfState } from '../ground/turfStates'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import type { RateBasis } from '../label/label'
import type { ProductDocument } from '../label/productShape'
import { CUBIC_METRES_PER, KILOGRAMS_PER, SQUARE_METRES_PER, type ContentUnit } from '../quantity/units'
import type { LedgerRow } from '../season/ledger'
import type { LocalRule, LocalRuleKind } from './localRule'

const DAY = '2026-05-06'
type Set = Readonly<Record<string, string>>
const setOf = (text: string): Set =>
  Object.fromEntries(text.split(';').map((pair) => pair.split(/=(.*)/).slice(0, 2)))

const area = {
  id: 'area',
  version: 1,
  name: 'Front',
  document: {
    ...blankArea('part', 'us-1000'),
    parts: [part('add', 'rectangle', { length: '100', width: '50' })],
    grass: [{ id: 'g', species: 'tall fescue' as const, share: typed('', '%' as const), cultivar: '' }],
  },
}

/** "stuff 10 lb/gal/other 5 %": names with contents, apart by a slash before a letter. */
const activesOf = (text = ''): ProductDocument['actives'] =>
  [...text.matchAll(/(\w+) ([\d.]+) (lb\/gal|%)/g)].map(([, name = '', figure = '', unit], i) => ({
    id: `${i}`,
    name,
    content: typed(figure, unit as ContentUnit),
    group: '',
  }))

function liquid(name: string, set: Set): LibraryProduct {
  const blank = blankProductDocument('line', 'us-1000')
  const basis = (set.basis ?? 'product') as RateBasis
  const unit = basis === 'product' ? ('fl oz/1000 ft2' as const) : ('lb/1000 ft2' as const)
  const document: ProductDocument = {
    ...blank,
    form: 'solution',
    density: typed(set.density ?? '', 'lb/gal'),
    analysis: {
      ...blank.analysis,
      n: typed(set.n ?? '', '%'),
      p2o5: typed(set.p ?? '', '%'),
      k2o: typed(set.k ?? '', '%'),
    },
    actives: activesOf(set.actives),
    lines: [
      {
        ...blankRateLine('line', 'solution', 'us-1000'),
        basis,
        rate: typed(set.rate ?? '3', unit),
        year: typed(set.year ?? '', unit),
        period: 'calendar year',
        ...(set.yearActive && { yearActive: typed(set.yearActive, 'lb/1000 ft2' as const) }),
      },
    ],
  }
  return { id: name, version: 1, name, document }
}
const TWIN = liquid('twin', { actives: 'other 20 lb/gal' })

function rowOf(text: string, i: number, own: LibraryProduct): LedgerRow {
  const [on = '', name = '', ounces = '0', nitrogen = 'n=0'] = text.split(' ')
  const actives = { own: own.document.actives, feed: [] }[name] ?? TWIN.document.actives
  return {
    applicationId: `${i}`,
    areaId: 'area',
    product: name,
    sourceId: name === 'unnamed' ? null : name,
    active: actives.map((active) => active.name).join(' + '),
    groups: '',
    on,
    dimension: 'volume',
    amount: Number(ounces) * CUBIC_METRES_PER['fl oz'],
    sizeM2: SQUARE_METRES_PER['1000 ft2'],
    n: nitrogen === 'n=?' ? null : Number(nitrogen.slice(2)) * KILOGRAMS_PER.lb,
    p2o5: 0,
    k2o: 0,
    ...(name === 'gone' && { label: TWIN.document }),
  }
}
const localOf = (text: string | undefined): readonly LocalRule[] => {
  const [kind, limit = ''] = (text ?? '').split('/')
  return kind ? [{ id: 'r', kind: kind as LocalRuleKind, from: '', to: '', limit, source: 'the town' }] : []
}

test.each(readTable('notTold.csv', import.meta.url))(
  '$name: $words',
  ({ set: entered = '', ledger = '', expect: expected }) => {
    const set = setOf(entered)
    const own = liquid('own', set)
    const notes = [own, ...(set.with ? [TWIN] : [])].map((product) =>
      noteFromLabel(product, product.document.lines[0]!, product.id, typed('', 'mL')),
    )
    const runs = [typed('1', 'gal' as const)]
    const document = {
      ...spraying([lawnFromArea(area)], notes, {
        tank: typed('26', 'gal'),
        calibration: sprayerCourse('2026-05-01', typed('100', 'ft'), typed('10', 'ft'), '3.1', runs),
      }),
      day: {
        turf: (set.turf ?? '') as TurfState,
        air: typed('', '°F' as const),
        soil: typed('', '°F' as const),
      },
    }
    const { checks, plan } = workedWith(document, DAY, {
      library: {
        ...EMPTY_LIBRARY,
        areas: [area],
        products: [own, TWIN],
        local: localOf(set.local),
        mixes: [{ id: 'm', a: 'own', b: 'twin', verdict: 'mixes', words: '' }],
      },
      ledger: ledger
        .split(';')
        .filter(Boolean)
        .map((text, i) => rowOf(text, i, own)),
    })
    expect(plan).toBeDefined()
    expect(
      visitChecks({ checks })
        .filter(({ code }) => code !== 'little-water')
        .map(({ level, code }) => `${level} ${code}`)
        .join(', '),
    ).toBe(expected)
  },
)
