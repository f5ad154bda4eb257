import { blankProductDocument, blankRateLine } from '#core/label/blankProduct'
import type { Form, RateBasis } from '#core/label/label'
import type { ProductKind } from '#core/label/productDocument'
import type { ProductDocument, RateLine } from '#core/label/productShape'
import type { RateUnit } from '#core/quantity/units'
import { field, named, typed } from './typed'

export interface SampleProduct {
  readonly id: string
  readonly name: string
  readonly document: ProductDocument
}

/**
 * A line of a made-up label: use, usual rate, low, high, most, most in a year, repeat from and to in days.
 */
interface Line {
  readonly use: string
  readonly rate: string
  readonly range?: readonly [string, string]
  readonly most?: string
  readonly year?: string
  readonly repeat?: readonly [string, string]
  readonly unit: RateUnit
  readonly basis?: RateBasis
  readonly more?: Pick<RateLine, 'figures' | 'inRow' | 'perYear' | 'method' | 'grasses'>
}
interface Label {
  readonly kind: ProductKind
  readonly form: Form
  readonly lines: readonly Line[]
  readonly density?: string
  readonly analysis?: readonly [string, string, string, string, string]
  readonly actives?: readonly (readonly [string, string, string])[]
  readonly packages?: readonly (readonly [string, string])[]
  readonly reentry?: string
  readonly reorderAt?: string
  readonly signal?: ProductDocument['signal']
  readonly more?: Pick<
    ProductDocument,
    | 'harms'
    | 'potassium'
    | 'shelfLife'
    | 'restrictions'
    | 'grain'
    | 'coating'
    | 'releases'
    | 'saltIndex'
    | 'dials'
    | 'nForms'
    | 'measures'
    | 'ph'
  >
}

function product(name: string, label: Label): SampleProduct {
  const blank = blankProductDocument(named(`line ${name} 0`), 'us-1000')
  const [n = '', p2o5 = '', k2o = '', fe = '', slowN = ''] = label.analysis ?? []
  return {
    id: named(`product ${name}`),
    name,
    document: {
      ...blank,
      ...label.more,
      kind: label.kind,
      form: label.form,
      registration: 'sample label',
      label: 'sample',
      signal: label.signal ?? '',
      density: label.density ? field(label.density) : blank.density,
      analysis: {
        n: typed(n, '%'),
        p2o5: typed(p2o5, '%'),
        k2o: typed(k2o, '%'),
        fe: typed(fe, '%'),
        slowN: typed(slowN, '%'),
      },
      actives: (label.actives ?? []).map(([active, content, group]) => ({
        id: named(`active ${name} ${active}`),
        name: active,
        content: field(content),
        group,
      })),
      lines: label.lines.map(
        (
          {
            use,
            rate,
            range: [low = '', high = ''] = [],
            most = '',
            year = '',
            repeat: [from = '', to = ''] = [],
            unit,
            basis = 'product',
            more,
          },
          i,
        ) => ({
          ...blankRateLine(named(`line ${name} ${i}`), label.form, 'us-1000'),
          use,
          basis,
          rate: typed(rate, unit),
          low: typed(low, unit),
          high: typed(high, unit),
          most: typed(most, unit),
          year: typed(year, unit),
          repeatFrom: typed(from, 'd'),
          repeatTo: typed(to, 'd'),
          ...more,
        }),
      ),
      packages: (label.packages ?? []).map(([size, price], i) => ({
        id: named(`package ${name} ${i}`),
        size: field(size),
        price,
      })),
      reentry: label.reentry ? field(label.reentry) : blank.reentry,
      reorderAt: label.reorderAt
        ? field(label.reorderAt)
        : { text: '', unit: label.packages?.[0] ? field<'lb'>(label.packages[0][0]).unit : 'lb' },
    },
  }
}

const LB = 'lb/1000 ft2'
const FLOZ = 'fl oz/1000 ft2'
const OZ = 'oz/1000 ft2'

/** The shelf of the sample crew: made-up labels under plain names. */
export const sampleProducts = (): readonly SampleProduct[] => [
  product('Slow-feed 21-0-6 granule', {
    kind: 'fertilizer',
    form: 'granule',
    more: {
      grain: typed('2.1', 'mm'),
      coating: 'polymer',
      releases: typed('10', 'wk'),
      saltIndex: '24',
      dials: [{ id: named('dial slow'), spreader: '80 lb broadcast push spreader', dial: '14' }],
    },
    analysis: ['21', '0', '6', '0', '60'],
    packages: [['50 lb', '41.50']],
    reorderAt: '100 lb',
    lines: [
      { use: 'lawns and sports turf', rate: '3.4', range: ['2.4', '4.8'], most: '4.8', unit: LB },
      { use: 'fine fescue, centipede: light', rate: '2.4', range: ['1.2', '2.6'], most: '2.6', unit: LB },
    ],
  }),
  product('Autumn 5-0-26 granule', {
    kind: 'fertilizer',
    form: 'granule',
    more: { grain: typed('2.9', 'mm'), potassium: 'sulfate' },
    analysis: ['5', '0', '26', '0', '20'],
    packages: [['50 lb', '38.00']],
    reorderAt: '50 lb',
    lines: [{ use: 'autumn, sulfate of potash', rate: '4.1', range: ['3', '6'], most: '6', unit: LB }],
  }),
  product('Ammonium sulfate 21-0-0', {
    kind: 'fertilizer',
    form: 'solution',
    more: {
      nForms: { nitrate: typed('', '%'), ammonium: typed('100', '%'), urea: typed('', '%') },
      saltIndex: '69',
      measures: [{ id: named('cup ammonium'), tool: 'cup', marks: '4', holds: field('8.3 oz') }],
    },
    analysis: ['21', '0', '0', '0', '0'],
    packages: [['50 lb', '29.75']],
    lines: [{ use: 'soluble feed', rate: '0.62', range: ['0.3', '1.2'], most: '1.2', unit: LB }],
  }),
  product('Liquid 16-4-6', {
    kind: 'fertilizer',
    form: 'solution',
    density: '10.3 lb/gal',
    more: { nForms: { nitrate: typed('8', '%'), ammonium: typed('20', '%'), urea: typed('72', '%') } },
    analysis: ['16', '4', '6', '0', '25'],
    packages: [['2.5 gal', '44.00']],
    lines: [{ use: 'leaf feed', rate: '9', range: ['6', '15'], unit: FLOZ }],
  }),
  product('Chelated iron 6 %', {
    kind: 'iron',
    form: 'solution',
    density: '10.9 lb/gal',
    analysis: ['0', '0', '0', '6', '0'],
    packages: [['2.5 gal', '62.00']],
    reorderAt: '64 fl oz',
    lines: [{ use: 'colour', rate: '3.4', range: ['2', '5'], unit: FLOZ }],
  }),
  product('Ferrous sulfate 20 % Fe', {
    kind: 'iron',
    form: 'solution',
    more: { measures: [{ id: named('cup ferrous'), tool: 'cup', marks: '4', holds: field('9.6 oz') }] },
    analysis: ['0', '0', '0', '20', '0'],
    packages: [['50 lb', '33.00']],
    lines: [{ use: 'colour, moss', rate: '3.2', range: ['2', '4'], unit: OZ }],
  }),
  product('Prodiamine 65 % granule for water', {
    kind: 'pre-emergent herbicide',
    form: 'dry flowable',
    actives: [['prodiamine', '65 %', '3']],
    packages: [['5 lb', '96.00']],
    reentry: '12 h',
    signal: 'caution',
    lines: [
      {
        use: 'summer annual grasses, split in two',
        rate: '0.28',
        range: ['0.18', '0.55'],
        most: '0.55',
        year: '0.83',
        repeat: ['30', '45'],
        unit: OZ,
        more: {
          perYear: '2',
          figures: {
            seedAfter: typed('60', 'd'),
            seedBefore: typed('120', 'd'),
            lasts: typed('90', 'd'),
            waterDepth: typed('0.5', 'in'),
            waterWithin: typed('14', 'd'),
          },
        },
      },
    ],
  }),
  product('Dithiopyr on 19-0-4 granule', {
    kind: 'pre-emergent herbicide',
    form: 'granule',
    more: { potassium: 'chloride' },
    analysis: ['19', '0', '4', '0', '40'],
    actives: [['dithiopyr', '0.13 %', '3']],
    packages: [['50 lb', '58.00']],
    signal: 'caution',
    lines: [
      {
        use: 'summer annual grasses with feed',
        rate: '3.9',
        range: ['2.9', '4.6'],
        most: '4.6',
        year: '8.7',
        unit: LB,
      },
    ],
  }),
  product('Indaziflam suspension', {
    kind: 'pre-emergent herbicide',
    form: 'suspension',
    more: {
      harms: ['Kentucky bluegrass', 'perennial ryegrass', 'tall fescue', 'fine fescue', 'creeping bentgrass'],
    },
    actives: [['indaziflam', '7.4 %', '29']],
    packages: [['32 fl oz', '310.00']],
    reentry: '12 h',
    signal: 'caution',
    lines: [
      {
        use: 'warm-season turf, winter annuals',
        rate: '0.12',
        range: ['0.08', '0.17'],
        most: '0.17',
        year: '0.23',
        unit: FLOZ,
      },
    ],
  }),
  product('Isoxaben 75 % dry flowable', {
    kind: 'pre-emergent herbicide',
    form: 'dry flowable',
    actives: [['isoxaben', '75 %', '29']],
    packages: [['1 lb', '148.00']],
    reentry: '12 h',
    signal: 'caution',
    lines: [
      {
        use: 'broadleaf weeds',
        rate: '0.31',
        range: ['0.24', '0.49'],
        most: '0.49',
        year: '0.98',
        repeat: ['60', '120'],
        unit: OZ,
      },
    ],
  }),
  product('Propiconazole 14.3 % concentrate', {
    kind: 'fungicide',
    form: 'emulsifiable concentrate',
    density: '9.1 lb/gal',
    more: { shelfLife: typed('156', 'wk'), ph: { from: '5', to: '7', last: '' } },
    actives: [['propiconazole', '14.3 %', '3']],
    packages: [
      ['64 fl oz', '128.00'],
      ['2.5 gal', '455.00'],
    ],
    reentry: '12 h',
    reorderAt: '16 fl oz',
    signal: 'warning',
    lines: [
      {
        use: 'dollar spot, preventive',
        rate: '1.6',
        range: ['0.5', '2'],
        most: '2',
        year: '12',
        repeat: ['14', '21'],
        unit: FLOZ,
      },
      {
        use: 'brown patch',
        rate: '1.9',
        range: ['1', '2'],
        most: '2',
        year: '12',
        repeat: ['14', '28'],
        unit: FLOZ,
      },
    ],
  }),
  product('Azoxystrobin 50 % granule for water', {
    kind: 'fungicide',
    form: 'dry flowable',
    actives: [['azoxystrobin', '50 %', '11']],
    packages: [['1 lb', '215.00']],
    reentry: '4 h',
    signal: 'caution',
    lines: [
      {
        use: 'brown patch, summer patch',
        rate: '0.33',
        range: ['0.2', '0.4'],
        most: '0.4',
        year: '2.9',
        repeat: ['14', '28'],
        unit: OZ,
      },
    ],
  }),
  product('Thiophanate-methyl suspension', {
    kind: 'fungicide',
    form: 'suspension',
    actives: [['thiophanate-methyl', '41.25 %', '1']],
    packages: [['2.5 gal', '190.00']],
    reentry: '24 h',
    signal: 'caution',
    lines: [
      {
        use: 'dollar spot, brown patch',
        rate: '2.7',
        range: ['1', '4'],
        most: '4',
        repeat: ['10', '14'],
        unit: FLOZ,
      },
    ],
  }),
  product('Myclobutanil granule', {
    kind: 'fungicide',
    form: 'granule',
    actives: [['myclobutanil', '0.62 %', '3']],
    packages: [['25 lb', '54.00']],
    reentry: '24 h',
    signal: 'caution',
    lines: [
      {
        use: 'brown patch, home lawns',
        rate: '3.1',
        range: ['2', '4'],
        most: '4',
        repeat: ['14', '28'],
        unit: LB,
      },
    ],
  }),
  product('Chlorantraniliprole granule', {
    kind: 'insecticide',
    form: 'granule',
    actives: [['chlorantraniliprole', '0.2 %', '28']],
    packages: [['50 lb', '92.00']],
    lines: [
      {
        use: 'white grubs, preventive',
        rate: '1.9',
        range: ['1.15', '2.3'],
        most: '2.3',
        year: '5.7',
        unit: LB,
      },
    ],
  }),
  product('Imidacloprid suspension', {
    kind: 'insecticide',
    form: 'suspension',
    actives: [['imidacloprid', '21.4 %', '4A']],
    packages: [['27.5 fl oz', '48.00']],
    reentry: '12 h',
    signal: 'caution',
    lines: [
      {
        use: 'white grubs, preventive',
        rate: '0.52',
        range: ['0.46', '0.6'],
        most: '0.6',
        year: '0.6',
        unit: FLOZ,
        more: { perYear: '1', figures: { waterDepth: typed('0.25', 'in'), waterWithin: typed('24', 'h') } },
      },
    ],
  }),
  product('Bifenthrin granule', {
    kind: 'insecticide',
    form: 'granule',
    actives: [['bifenthrin', '0.2 %', '3A']],
    packages: [['25 lb', '27.00']],
    reentry: '24 h',
    signal: 'caution',
    lines: [
      { use: 'surface insects', rate: '2.7', range: ['2.3', '4.6'], most: '4.6', year: '9.2', unit: LB },
    ],
  }),
  product('Bacillus thuringiensis granule', {
    kind: 'insecticide',
    form: 'granule',
    actives: [['Bacillus thuringiensis', '1.5 %', '11A']],
    packages: [['25 lb', '71.00']],
    reentry: '4 h',
    lines: [{ use: 'beetle larvae', rate: '2.8', range: ['2.3', '3.4'], repeat: ['7', '14'], unit: LB }],
  }),
  product('Trinexapac-ethyl 11.3 %', {
    kind: 'growth regulator',
    form: 'emulsifiable concentrate',
    actives: [['trinexapac-ethyl', '11.3 %', '']],
    packages: [
      ['1 L', '84.00'],
      ['5 L', '372.00'],
    ],
    reorderAt: '500 mL',
    signal: 'caution',
    lines: [
      {
        use: 'greens and fine turf',
        rate: '9.5',
        range: ['8', '12.5'],
        most: '12.5',
        repeat: ['21', '28'],
        unit: 'mL/100 m2',
      },
    ],
  }),
  product('Prohexadione-calcium 27.5 % granule', {
    kind: 'growth regulator',
    form: 'dry flowable',
    actives: [['prohexadione-calcium', '27.5 %', '']],
    packages: [['5 lb', '160.00']],
    reentry: '12 h',
    lines: [
      {
        use: 'cool-season turf',
        rate: '0.42',
        range: ['0.21', '0.69'],
        most: '0.69',
        repeat: ['14', '21'],
        unit: OZ,
      },
    ],
  }),
  product('Block-copolymer wetting agent', {
    kind: 'wetting agent',
    form: 'surfactant',
    packages: [['2.5 gal', '118.00']],
    lines: [{ use: 'dry spots', rate: '5.6', range: ['4', '8'], repeat: ['25', '30'], unit: FLOZ }],
  }),
  product('Non-ionic surfactant', {
    kind: 'adjuvant',
    form: 'surfactant',
    packages: [['1 gal', '31.00']],
    lines: [{ use: 'with leaf-applied products', rate: '0.25', range: ['0.125', '0.5'], unit: '%' }],
  }),
  product('Acidifying water conditioner', {
    kind: 'adjuvant',
    form: 'water conditioner',
    packages: [['1 gal', '26.00']],
    lines: [{ use: 'hard or alkaline water', rate: '1.2', range: ['0.6', '2.5'], unit: 'mL/L' }],
  }),
  product('Blue marker dye', {
    kind: 'dye',
    form: 'dye',
    packages: [['1 qt', '22.00']],
    lines: [{ use: 'marking', rate: '0.9', range: ['0.5', '1.5'], unit: 'fl oz/gal' }],
  }),
  product('Humic soil conditioner', {
    kind: 'soil conditioner',
    form: 'solution',
    packages: [['2.5 gal', '39.00']],
    lines: [{ use: 'turf', rate: '4.7', range: ['3', '9'], unit: FLOZ }],
  }),
]
