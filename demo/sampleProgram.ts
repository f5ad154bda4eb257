import { BACKPACK, PUSH, RIDE, TOW } from './sampleEquipment'

/** One entry of the crew's season: where, what, with what, and every day it was done. */
export interface ProgramEntry {
  readonly site: string
  /** Areas treated; all turf of the site where left out. */
  readonly areas?: readonly string[]
  readonly purpose: string
  readonly target: string
  /** Product names, each with its rate line where that is not the first. */
  readonly products: readonly (readonly [name: string, line?: number])[]
  readonly equipment: string
  readonly days: readonly string[]
  /** Done on two dates of a year, at the listed rate each time. */
  readonly split?: 'repeat'
}

const SLOW = 'Slow-feed 21-0-6 granule'
const AUTUMN = 'Autumn 5-0-26 granule'
const IRON = 'Chelated iron 6 %'
const STICKER = 'Non-ionic surfactant'
const COOPERAGE = 'Cooperage Row'
const BOWLS = 'Tamsin Point Bowls Club'
const SCHOOL = 'St Brannock’s School'
const MARLOW = 'Marlow Court'
const CEMETERY = 'Quarry Lane Cemetery'
const SALTINGS = 'The Saltings'

/** Two seasons that are over, up to the evening of 5 May 2026. */
export const PROGRAM: readonly ProgramEntry[] = [
  {
    site: COOPERAGE,
    purpose: 'Pre-emergent, split',
    target: 'summer annual grasses',
    products: [['Prodiamine 65 % granule for water']],
    equipment: TOW,
    split: 'repeat',
    days: ['2025-04-09', '2025-05-16', '2026-03-24'],
  },
  {
    site: COOPERAGE,
    purpose: 'Spring and autumn feed',
    target: 'feeding',
    products: [[SLOW]],
    equipment: PUSH,
    days: ['2025-04-29', '2025-09-09'],
  },
  {
    site: COOPERAGE,
    purpose: 'Potash before winter',
    target: 'hardening',
    products: [[AUTUMN]],
    equipment: PUSH,
    days: ['2025-10-24'],
  },
  {
    site: COOPERAGE,
    purpose: 'Iron for colour',
    target: 'colour',
    products: [[IRON], [STICKER]],
    equipment: TOW,
    days: ['2025-05-20', '2025-06-24', '2025-08-26', '2026-04-14'],
  },
  {
    site: COOPERAGE,
    areas: ['Shared green'],
    purpose: 'Brown patch, preventive',
    target: 'brown patch',
    products: [['Azoxystrobin 50 % granule for water']],
    equipment: TOW,
    days: ['2025-06-12', '2025-07-08', '2025-08-04'],
  },
  {
    site: BOWLS,
    purpose: 'Growth regulator',
    target: 'growth',
    products: [['Trinexapac-ethyl 11.3 %'], [IRON]],
    equipment: TOW,
    days: ['2025-04-22', '2025-05-20', '2025-06-17', '2025-07-15', '2025-08-12', '2025-09-09', '2026-04-10'],
  },
  {
    site: BOWLS,
    areas: ['Green'],
    purpose: 'Dollar spot, preventive',
    target: 'dollar spot',
    products: [['Propiconazole 14.3 % concentrate']],
    equipment: TOW,
    days: ['2025-05-06', '2025-06-03', '2025-07-01', '2025-07-29', '2025-08-26', '2026-04-16'],
  },
  {
    site: BOWLS,
    areas: ['Green'],
    purpose: 'Dollar spot, other group',
    target: 'dollar spot',
    products: [['Thiophanate-methyl suspension']],
    equipment: TOW,
    days: ['2025-06-19', '2025-08-14'],
  },
  {
    site: BOWLS,
    areas: ['Green'],
    purpose: 'Wetting agent',
    target: 'dry patch',
    products: [['Block-copolymer wetting agent']],
    equipment: TOW,
    days: ['2025-05-12', '2025-06-09', '2025-07-07', '2025-08-04', '2026-04-20'],
  },
  {
    site: BOWLS,
    areas: ['Green'],
    purpose: 'Light soluble feed',
    target: 'feeding',
    products: [['Ammonium sulfate 21-0-0']],
    equipment: TOW,
    days: ['2025-04-08', '2025-05-13', '2025-06-10', '2025-09-02', '2025-10-07', '2026-03-31', '2026-04-21'],
  },
  {
    site: SCHOOL,
    purpose: 'Feed with pre-emergent',
    target: 'summer annual grasses',
    products: [['Dithiopyr on 19-0-4 granule']],
    equipment: PUSH,
    days: ['2025-04-04', '2026-03-30'],
  },
  {
    site: SCHOOL,
    purpose: 'Field feed',
    target: 'feeding',
    products: [[SLOW]],
    equipment: PUSH,
    days: ['2025-05-22', '2025-09-02'],
  },
  {
    site: SCHOOL,
    purpose: 'Potash before winter',
    target: 'hardening',
    products: [[AUTUMN]],
    equipment: PUSH,
    days: ['2025-11-05'],
  },
  {
    site: SCHOOL,
    areas: ['Playing field'],
    purpose: 'White grubs, preventive',
    target: 'white grubs',
    products: [['Chlorantraniliprole granule']],
    equipment: PUSH,
    days: ['2025-06-18'],
  },
  {
    site: SCHOOL,
    areas: ['Playing field'],
    purpose: 'Leaf feed with iron',
    target: 'colour',
    products: [['Liquid 16-4-6'], [IRON]],
    equipment: RIDE,
    days: ['2025-05-28', '2025-10-02', '2026-04-17'],
  },
  {
    site: MARLOW,
    areas: ['Croquet lawn'],
    purpose: 'Summer feed',
    target: 'feeding',
    products: [[SLOW]],
    equipment: PUSH,
    days: ['2025-05-28', '2025-07-16'],
  },
  {
    site: MARLOW,
    areas: ['Terrace'],
    purpose: 'Feed, terrace',
    target: 'feeding',
    products: [[SLOW, 1]],
    equipment: PUSH,
    days: ['2025-06-11', '2026-04-29'],
  },
  {
    site: MARLOW,
    areas: ['Croquet lawn'],
    purpose: 'Growth regulator',
    target: 'growth',
    products: [['Trinexapac-ethyl 11.3 %'], [STICKER]],
    equipment: TOW,
    days: ['2025-06-04', '2025-07-02', '2025-07-30'],
  },
  {
    site: MARLOW,
    areas: ['Terrace'],
    purpose: 'Winter annuals',
    target: 'winter annual weeds',
    products: [['Indaziflam suspension']],
    equipment: TOW,
    days: ['2025-09-22'],
  },
  {
    site: CEMETERY,
    purpose: 'Broadleaf pre-emergent',
    target: 'broadleaf weeds',
    products: [['Isoxaben 75 % dry flowable']],
    equipment: TOW,
    days: ['2025-04-11', '2026-04-15'],
  },
  {
    site: CEMETERY,
    purpose: 'Light feed',
    target: 'feeding',
    products: [[SLOW, 1]],
    equipment: PUSH,
    days: ['2025-05-07', '2025-09-04'],
  },
  {
    site: SALTINGS,
    areas: ['Fescue front'],
    purpose: 'Autumn feed',
    target: 'feeding',
    products: [[SLOW]],
    equipment: PUSH,
    days: ['2025-09-05'],
  },
  {
    site: SALTINGS,
    areas: ['Fescue front'],
    purpose: 'Potash before winter',
    target: 'hardening',
    products: [[AUTUMN]],
    equipment: PUSH,
    days: ['2025-11-03'],
  },
  {
    site: SALTINGS,
    areas: ['Centipede side'],
    purpose: 'One light feed',
    target: 'feeding',
    products: [[SLOW, 1]],
    equipment: PUSH,
    days: ['2025-06-05'],
  },
  {
    site: SALTINGS,
    purpose: 'Iron for colour',
    target: 'colour',
    products: [[IRON], [STICKER]],
    equipment: BACKPACK,
    days: ['2025-05-27', '2025-07-03', '2025-09-16'],
  },
  {
    site: SALTINGS,
    areas: ['Fescue front'],
    purpose: 'White grubs, preventive',
    target: 'white grubs',
    products: [['Imidacloprid suspension']],
    equipment: BACKPACK,
    days: ['2025-06-27'],
  },
  {
    site: SALTINGS,
    purpose: 'Humic conditioner',
    target: 'soil',
    products: [['Humic soil conditioner']],
    equipment: BACKPACK,
    days: ['2025-05-19', '2026-04-02'],
  },
  {
    site: SALTINGS,
    areas: ['Fescue front'],
    purpose: 'Surface insects',
    target: 'surface insects',
    products: [['Bifenthrin granule']],
    equipment: PUSH,
    days: ['2025-06-20', '2026-05-05'],
  },
]

/** A visit around the morning of 6 May, with its applications in order. */
export interface PlannedVisit {
  readonly site: string
  readonly purpose: string
  readonly day: string
  readonly state: 'draft' | 'planned'
  readonly givenTo?: string
  readonly startedAt?: string
  /** When it was found fit to go; absent: it waits at its gate. */
  readonly wentAt?: string
  readonly applications: readonly (Pick<ProgramEntry, 'areas' | 'products' | 'equipment'> & {
    readonly rates?: Readonly<Record<string, string>>
    /** Areas with a rate line of their own. */ readonly own?: Readonly<Record<string, number>>
    readonly shared?: 'day'
  })[]
}

export const VISITS: readonly PlannedVisit[] = [
  {
    site: COOPERAGE,
    purpose: 'Spring feed, front strips',
    day: '2026-05-06',
    state: 'planned',
    givenTo: 'T. Arkwright',
    applications: [{ areas: ['Front strips 1-3', 'Front strips 4-6'], products: [[SLOW]], equipment: PUSH }],
  },
  {
    site: BOWLS,
    purpose: 'Growth regulator with iron',
    day: '2026-05-06',
    state: 'planned',
    givenTo: 'J. Lindqvist',
    startedAt: '2026-05-06T11:05:00.000Z',
    applications: [{ products: [['Trinexapac-ethyl 11.3 %'], [IRON], [STICKER]], equipment: TOW }],
  },
  {
    site: SCHOOL,
    purpose: 'Soil conditioner, front lawn',
    day: '2026-05-06',
    state: 'planned',
    givenTo: 'T. Arkwright',
    startedAt: '2026-05-06T11:10:00.000Z',
    wentAt: '2026-05-06T11:14:00.000Z',
    applications: [{ areas: ['Front lawn'], products: [['Humic soil conditioner']], equipment: BACKPACK }],
  },
  {
    site: SALTINGS,
    purpose: 'Iron for colour, front and side',
    day: '2026-05-07',
    state: 'draft',
    applications: [{ products: [[IRON], [STICKER]], equipment: BACKPACK, rates: { [IRON]: '5.8' } }],
  },
  {
    site: COOPERAGE,
    purpose: 'Iron on the green',
    day: '2026-05-07',
    state: 'planned',
    givenTo: 'J. Lindqvist',
    applications: [{ areas: ['Shared green'], products: [[IRON], [STICKER]], equipment: TOW, shared: 'day' }],
  },
  {
    site: SCHOOL,
    purpose: 'Iron on the front lawn',
    day: '2026-05-07',
    state: 'planned',
    givenTo: 'J. Lindqvist',
    applications: [{ areas: ['Front lawn'], products: [[IRON], [STICKER]], equipment: TOW, shared: 'day' }],
  },
  {
    site: CEMETERY,
    purpose: 'Light feed on the slopes',
    day: '2026-05-08',
    state: 'planned',
    givenTo: 'T. Arkwright',
    applications: [{ areas: ['East slope'], products: [[SLOW, 1]], equipment: PUSH }],
  },
  {
    site: SALTINGS,
    purpose: 'Spring feed, each grass at its rate',
    day: '2026-05-12',
    state: 'planned',
    applications: [
      {
        areas: ['Fescue front', 'Centipede side'],
        products: [[SLOW]],
        equipment: PUSH,
        own: { 'Centipede side': 1 },
      },
    ],
  },
  {
    site: MARLOW,
    purpose: 'First feed, then iron',
    day: '2026-05-11',
    state: 'planned',
    applications: [
      { areas: ['Croquet lawn'], products: [[SLOW]], equipment: PUSH },
      { areas: ['Croquet lawn'], products: [[IRON], [STICKER]], equipment: TOW },
    ],
  },
]
