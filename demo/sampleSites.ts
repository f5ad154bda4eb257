import { blankArea, blankPart } from '#core/ground/blankArea'
import type { AreaDocument, GrassShare, LawnPart, OutlineNote } from '#core/ground/areaShape'
import type { SiteDocument } from '../shared/schemas/ground'
import type { GrassName } from '#core/ground/grasses'
import type { ReadingName } from '#core/ground/methods/method'
import type { MethodName } from '#core/ground/methods/methods'
import type { LengthUnit } from '#core/quantity/units'
import type { Cue } from '#core/season/cues/cue'
import { MEASURING_WHEEL } from './sampleEquipment'
import {
  ANCHORS,
  CEMETERY_PICTURE,
  CEMETERY_SCALE,
  cricketSquare,
  jumpPit,
  playingField,
  westSlope,
} from './sampleGround'
import { field, named, typed } from './typed'

export interface SampleArea {
  readonly id: string
  readonly name: string
  readonly document: AreaDocument
  /** Measured anew later. */ readonly again?: { readonly on: string; readonly document: AreaDocument }
}
export interface SampleSite {
  readonly id: string
  readonly name: string
  readonly place: string
  readonly contact: string
  readonly notices: string
  readonly water: string
  readonly notes: string
  readonly anchor: SiteDocument['anchor']
  readonly picture?: SiteDocument['picture']
  readonly budget?: string
  readonly cues?: readonly Cue[]
  readonly areas: readonly SampleArea[]
}

type Lengths = Partial<Record<ReadingName, string>>
const shape =
  (sign: LawnPart['sign'], kind: MethodName, lengths: Lengths, unit: LengthUnit, rest: Partial<LawnPart>) =>
  (id: string): LawnPart => {
    const blank = blankPart(id, sign, kind, unit === 'm' ? 'metric-100' : 'us-1000')
    return {
      ...blank,
      ...rest,
      lengths: {
        ...blank.lengths,
        ...Object.fromEntries(Object.entries(lengths).map(([name, text]) => [name, typed(text, unit)])),
      },
    }
  }
/** The piece before, put on the plan. */
const at =
  (piece: (id: string) => LawnPart, x: number, y: number, turn = 0) =>
  (id: string): LawnPart => ({ ...piece(id), place: { x, y, turn } })
const outline =
  (sign: LawnPart['sign'], note: OutlineNote, rest: Partial<LawnPart> = {}) =>
  (id: string): LawnPart => ({ ...blankPart(id, sign, 'outline', 'us-1000'), ...rest, outline: note })
const lawn = (kind: MethodName, lengths: Lengths, unit: LengthUnit = 'ft') =>
  shape('add', kind, lengths, unit, {})
const less = (what: string, kind: MethodName, lengths: Lengths, unit: LengthUnit = 'ft', until = '') =>
  shape('subtract', kind, lengths, unit, { what, until })

function area(
  site: string,
  name: string,
  parts: readonly ((id: string) => LawnPart)[],
  grass: readonly (readonly [GrassName, string, string?])[],
  rest: Partial<AreaDocument> = {},
): SampleArea {
  const document: AreaDocument = {
    ...blankArea(named(`part ${site} ${name} 0`), 'us-1000'),
    parts: parts.map((part, i) => part(named(`part ${site} ${name} ${i}`))),
    grass: grass.map(([species, share, cultivar = '']): GrassShare => ({
      id: named(`grass ${site} ${name} ${species}`),
      species,
      share: typed(share, '%'),
      cultivar,
    })),
    sun: 'full sun',
    clippings: 'kept',
    cover: typed('95', '%'),
    ...rest,
  }
  return { id: named(`area ${site} ${name}`), name, document }
}

const zone = (name: string, output: string): AreaDocument['irrigation'] => ({
  kind: 'zone',
  zone: name,
  output: field(output),
})
const site = (
  name: string,
  place: string,
  areas: readonly SampleArea[],
  rest: Partial<SampleSite> = {},
): SampleSite => ({
  id: named(`site ${name}`),
  name,
  place,
  anchor: undefined,
  contact: '',
  notices: '',
  water: '',
  notes: '',
  ...rest,
  areas,
})

const FESCUE = [
  ['tall fescue', '80'],
  ['Kentucky bluegrass', '20'],
] as const
const WHEEL: Partial<AreaDocument> = {
  instrument: 'wheel',
  tool: MEASURING_WHEEL,
  cut: field('3.25 in'),
  irrigation: zone('1', '1.1 in'),
}

/** Widths across the shared green every 13 ft, ends measured. */
const GREEN = (id: string): LawnPart => ({
  ...blankPart(id, 'add', 'offsets', 'us-1000'),
  lengths: { spacing: field('13 ft') },
  rule: 'simpson',
  list: ['48', '61', `72'6"`, '78', '83', '82', '76.5', '69', '51'].map((text) => typed(text, 'ft')),
})

/** The six sites of the sample, as they were measured in March 2025. All made up. */
export const sampleSites = (): readonly SampleSite[] => [
  site(
    'Cooperage Row',
    'Tamsin Point, east side',
    [
      area(
        'Cooperage Row',
        'Front strips 1-3',
        [
          at(lawn('rectangle', { length: `96'4"`, width: '23.5' }), -16, -14),
          at(less('path', 'rectangle', { length: '96', width: '3.2' }), -16, -13.2),
        ],
        FESCUE,
        WHEEL,
      ),
      area(
        'Cooperage Row',
        'Front strips 4-6',
        [
          at(lawn('trapezoid', { side: '97', opposite: '88.5', height: '22' }), 17, -14.2),
          at(less('round bed', 'circle', { diameter: '9.5' }), 24, -14.4),
        ],
        FESCUE,
        WHEEL,
      ),
      area(
        'Cooperage Row',
        'Shared green',
        [at(GREEN, -16, -5), at(less('flower bed', 'ellipse', { length: '18', width: '11.5' }), -2, 5, 12)],
        FESCUE,
        {
          cut: field('3.25 in'),
          irrigation: zone('2', '0.9 in'),
          soil: 'Clay.',
          soilTest: { on: '2024-09-12', ph: '6.8', p: 'high', k: 'enough', organic: typed('4.1', '%') },
        },
      ),
    ],
    {
      contact: 'Residents’ association',
      anchor: ANCHORS.row,
      budget: '150',
      cues: [
        { on: '2026-03-28', kind: 'shrub in bloom' },
        { on: '2026-04-14', kind: 'first mow' },
      ],
    },
  ),
  site(
    'Tamsin Point Bowls Club',
    'Harbour Lane',
    [
      area(
        'Bowls',
        'Green',
        [
          at(lawn('rectangle', { length: '38.4', width: '38.4' }, 'm'), 0, 0),
          at(less('untreated check strip', 'rectangle', { length: '38.4', width: '1' }, 'm'), 0, 11),
        ],
        [['creeping bentgrass', '100', 'sample blend A']],
        {
          cut: field('0.22 in'),
          clippings: 'collected',
          thatch: field('0.4 in'),
          irrigation: zone('green', '0.6 in'),
          priority: 'high',
          diseases: [
            { id: named('disease Bowls Green'), name: 'dollar spot', seat: 'leaf', on: '2025-06-14' },
          ],
        },
      ),
      area(
        'Bowls',
        'Surrounds',
        [
          at(lawn('rectangle', { length: '46', width: '46' }, 'm'), 0, 0),
          at(less('green', 'rectangle', { length: '38.4', width: '38.4' }, 'm'), 0, 0),
        ],
        [['perennial ryegrass', '100']],
        { cut: field('1.5 in') },
      ),
    ],
    {
      contact: 'Keeper of the green',
      anchor: ANCHORS.bowls,
      notes: 'Dollar spot along the south ditch every June.',
    },
  ),
  site(
    'St Brannock’s School',
    'Mill Road',
    [
      area(
        'School',
        'Playing field',
        [
          outline('add', playingField()),
          outline('subtract', jumpPit(), { what: 'long-jump pit' }),
          outline('subtract', cricketSquare(), { what: 'cricket square, seeded', until: '2025-06-30' }),
        ],
        [
          ['perennial ryegrass', '60'],
          ['Kentucky bluegrass', '40'],
        ],
        { cut: field('2 in') },
      ),
      area(
        'School',
        'Front lawn',
        [at(lawn('three sides', { first: '118', second: '92', third: '86.5' }), -48, -68)],
        [['perennial ryegrass', '100']],
        { instrument: 'wheel', tool: MEASURING_WHEEL, cut: field('2.5 in') },
      ),
    ],
    {
      contact: 'Site manager',
      anchor: ANCHORS.school,
      notices: 'Written notice three days before any pesticide; signs at all four gates.',
    },
  ),
  site(
    'Marlow Court',
    'Bay View',
    [
      area(
        'Marlow',
        'Croquet lawn',
        [at(lawn('rectangle', { length: '105', width: '84' }), 0, 0, 20)],
        [['bermuda', '100', 'hybrid, sample cultivar']],
        { cut: field('0.5 in'), overseeding: '2026-10-05', irrigation: zone('court', '0.8 in') },
      ),
      area(
        'Marlow',
        'Terrace',
        [at(lawn('rectangle', { length: '84', width: '31' }), 8, 22.5, 20)],
        [['zoysia', '100']],
        { cut: field('1.5 in'), irrigation: zone('terrace', '1.0 in') },
      ),
    ],
    {
      contact: 'Caretaker',
      anchor: ANCHORS.court,
      notes: 'Sheltered south slope; greens up early.',
      cues: [{ on: '2026-04-24', kind: 'half green' }],
    },
  ),
  site(
    'Quarry Lane Cemetery',
    'Quarry Lane',
    [
      {
        ...area(
          'Cemetery',
          'East slope',
          [
            at(lawn('rectangle', { length: '188', width: '74' }), 54, 4),
            at(less('chapel path', 'rectangle', { length: '41', width: '12' }), 38, 10),
          ],
          [['fine fescue', '100']],
          { instrument: 'paced', slope: typed('14', '%'), cut: field('3 in') },
        ),
        again: {
          on: '2026-05-04',
          document: area(
            'Cemetery',
            'East slope',
            [
              at(lawn('rectangle', { length: `191'6"`, width: `75'3"` }), 54, 4),
              at(less('chapel path', 'rectangle', { length: '41', width: '12' }), 38, 10),
            ],
            [['fine fescue', '100']],
            { instrument: 'wheel', slope: typed('14', '%'), cut: field('3 in') },
          ).document,
        },
      },
      area(
        'Cemetery',
        'West slope',
        [
          outline('add', westSlope('edge')),
          outline('subtract', westSlope('yew'), { what: 'yew' }),
          outline('subtract', westSlope('wallBed'), { what: 'wall bed' }),
          outline('subtract', westSlope('steps'), { what: 'steps' }),
          outline('subtract', westSlope('memorial'), { what: 'memorial' }),
          outline('subtract', westSlope('path'), { what: 'path' }),
        ],
        [
          ['fine fescue', '90'],
          ['perennial ryegrass', '10'],
        ],
        { slope: typed('14', '%'), cut: field('3 in') },
      ),
      area(
        'Cemetery',
        'Kerb and paving cracks',
        [at(lawn('rectangle', { length: '320', width: '0.5' }), 26, -21)],
        [],
        { use: 'strip', cover: typed('', '%') },
      ),
    ],
    {
      contact: 'Parish clerk',
      notices: 'No work during services.',
      anchor: ANCHORS.cemetery,
      picture: {
        id: CEMETERY_PICTURE,
        width: 700,
        height: 520,
        x: -35,
        y: 26,
        turn: 0,
        opacity: 70,
        ...CEMETERY_SCALE,
      },
    },
  ),
  site(
    'The Saltings',
    'Creek Road',
    [
      area(
        'Saltings',
        'Fescue front',
        [
          at(lawn('rectangle', { length: '71', width: '38.5' }), 0, 0),
          at(less('rose bed', 'triangle', { base: '14', height: '11' }), -5, 2),
          at(
            less('rabbit corner, reseeded', 'rectangle', { length: '12', width: '9' }, 'ft', '2026-05-20'),
            8.9,
            -4.4,
          ),
        ],
        [['tall fescue', '100']],
        { cut: field('3.5 in'), sun: 'part shade' },
      ),
      area(
        'Saltings',
        'Centipede side',
        [at(lawn('trapezoid', { side: '44', opposite: '36', height: '27.5' }), 17, 3, 90)],
        [['centipede', '100']],
        { cut: field('2 in') },
      ),
      area('Saltings', 'Beds', [at(lawn('ellipse', { length: '22', width: '9' }), 2, 9.6, -8)], [], {
        use: 'bed',
        cover: typed('', '%'),
      }),
    ],
    {
      anchor: ANCHORS.saltings,
      water: 'Creek along the north side: keep 25 ft off, or as the label says if more.',
    },
  ),
]
