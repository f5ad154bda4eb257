import { blankArea, blankPart } from '#core/ground/blankArea'
import type { AreaDocument, GrassShare } from '#core/ground/areaDocument'
import type { LawnPart } from '#core/ground/fieldNotes'
import type { GrassName } from '#core/ground/grasses'
import type { LengthName, ShapeKind } from '#core/ground/shapes'
import type { LengthUnit } from '#core/quantity/units'
import { field, named, typed } from './typed'

export interface SampleArea { readonly id: string; readonly name: string; readonly document: AreaDocument; /** Measured anew later. */ readonly again?: { readonly on: string; readonly document: AreaDocument } }
export interface SampleSite { readonly id: string; readonly name: string; readonly place: string; readonly contact: string; readonly notices: string; readonly water: string; readonly notes: string; readonly areas: readonly SampleArea[] }

type Lengths = Partial<Record<LengthName, string>>
const shape = (sign: LawnPart['sign'], kind: ShapeKind, lengths: Lengths, unit: LengthUnit, rest: Partial<LawnPart>) => (id: string): LawnPart => {
  const blank = blankPart(id, sign, kind, unit === 'm' ? 'metric-100' : 'us-1000')
  return { ...blank, ...rest, lengths: { ...blank.lengths, ...Object.fromEntries(Object.entries(lengths).map(([name, text]) => [name, typed(text, unit)])) } }
}
const lawn = (kind: ShapeKind, lengths: Lengths, unit: LengthUnit = 'ft') => shape('add', kind, lengths, unit, {})
const less = (what: string, kind: ShapeKind, lengths: Lengths, unit: LengthUnit = 'ft', until = '') => shape('subtract', kind, lengths, unit, { what, until })

function area(site: string, name: string, parts: readonly ((id: string) => LawnPart)[], grass: readonly (readonly [GrassName, string, string?])[], rest: Partial<AreaDocument> = {}): SampleArea {
  const document: AreaDocument = {
    ...blankArea(named(`part ${site} ${name} 0`), 'us-1000'),
    parts: parts.map((part, i) => part(named(`part ${site} ${name} ${i}`))),
    grass: grass.map(([species, share, cultivar = '']): GrassShare => ({ id: named(`grass ${site} ${name} ${species}`), species, share: typed(share, '%'), cultivar })),
    sun: 'full sun', clippings: 'kept', cover: typed('95', '%'), ...rest,
  }
  return { id: named(`area ${site} ${name}`), name, document }
}

const zone = (name: string, output: string): AreaDocument['irrigation'] => ({ kind: 'zone', zone: name, output: field(output) })
const site = (name: string, place: string, areas: readonly SampleArea[], rest: Partial<SampleSite> = {}): SampleSite =>
  ({ id: named(`site ${name}`), name, place, contact: '', notices: '', water: '', notes: '', ...rest, areas })

const FESCUE = [['tall fescue', '80'], ['Kentucky bluegrass', '20']] as const
const WHEEL: Partial<AreaDocument> = { instrument: 'wheel', cut: field('3.25 in'), irrigation: zone('1', '1.1 in') }

/** The six sites of the sample, as they were measured in March 2025. All made up. */
export const sampleSites = (): readonly SampleSite[] => [
  site('Cooperage Row', 'Tamsin Point, east side', [
    area('Cooperage Row', 'Front strips 1-3', [lawn('rectangle', { length: `96'4"`, width: '23.5' }), less('path', 'rectangle', { length: '96', width: '3.2' })], FESCUE, WHEEL),
    area('Cooperage Row', 'Front strips 4-6', [lawn('trapezoid', { side: '97', opposite: '88.5', height: '22' }), less('round bed', 'circle', { diameter: '9.5' })], FESCUE, WHEEL),
    area('Cooperage Row', 'Shared green', [lawn('rectangle', { length: '104', width: '62' }), lawn('rectangle', { length: '38', width: '27.5' }), less('flower bed', 'ellipse', { length: '18', width: '11.5' })],
      FESCUE, { cut: field('3.25 in'), irrigation: zone('2', '0.9 in'), soil: 'Clay, tested 2024: P high.' }),
  ], { contact: 'Residents’ association' }),
  site('Tamsin Point Bowls Club', 'Harbour Lane', [
    area('Bowls', 'Green', [lawn('rectangle', { length: '38.4', width: '38.4' }, 'm'), less('untreated check strip', 'rectangle', { length: '38.4', width: '1' }, 'm')], [['creeping bentgrass', '100', 'sample blend A']],
      { cut: field('0.22 in'), clippings: 'collected', thatch: field('0.4 in'), irrigation: zone('green', '0.6 in'), priority: 'high' }),
    area('Bowls', 'Surrounds', [lawn('rectangle', { length: '46', width: '46' }, 'm'), less('green', 'rectangle', { length: '38.4', width: '38.4' }, 'm')], [['perennial ryegrass', '100']], { cut: field('1.5 in') }),
  ], { contact: 'Keeper of the green', notes: 'Dollar spot along the south ditch every June.' }),
  site('St Brannock’s School', 'Mill Road', [
    area('School', 'Playing field', [lawn('rectangle', { length: '410', width: '246' }), less('long-jump pit', 'rectangle', { length: '42', width: '9.5' }), less('cricket square, seeded', 'rectangle', { length: '72', width: '30' }, 'ft', '2025-06-30')],
      [['perennial ryegrass', '60'], ['Kentucky bluegrass', '40']], { instrument: 'paced', cut: field('2 in') }),
    area('School', 'Front lawn', [lawn('triangle', { base: '118', height: '64.5' })], [['perennial ryegrass', '100']], { instrument: 'wheel', cut: field('2.5 in') }),
  ], { contact: 'Site manager', notices: 'Written notice three days before any pesticide; signs at all four gates.' }),
  site('Marlow Court', 'Bay View', [
    area('Marlow', 'Croquet lawn', [lawn('rectangle', { length: '105', width: '84' })], [['bermuda', '100', 'hybrid, sample cultivar']], { cut: field('0.5 in'), overseeding: '2026-10-05', irrigation: zone('court', '0.8 in') }),
    area('Marlow', 'Terrace', [lawn('rectangle', { length: '84', width: '31' })], [['zoysia', '100']], { cut: field('1.5 in'), irrigation: zone('terrace', '1.0 in') }),
  ], { contact: 'Caretaker', notes: 'Sheltered south slope; greens up early.' }),
  site('Quarry Lane Cemetery', 'Quarry Lane', [
    {
      ...area('Cemetery', 'East slope', [lawn('rectangle', { length: '188', width: '74' }), less('chapel path', 'rectangle', { length: '41', width: '12' })], [['fine fescue', '100']], { instrument: 'paced', slope: typed('14', '%'), cut: field('3 in') }),
      again: { on: '2026-05-04', document: area('Cemetery', 'East slope', [lawn('rectangle', { length: `191'6"`, width: `75'3"` }), less('chapel path', 'rectangle', { length: '41', width: '12' })], [['fine fescue', '100']],
        { instrument: 'wheel', slope: typed('14', '%'), cut: field('3 in') }).document },
    },
    area('Cemetery', 'West slope', [
      lawn('rectangle', { length: '142', width: '96' }), less('yew', 'circle', { diameter: '21' }), less('wall bed', 'rectangle', { length: '60', width: '4.5' }), less('steps', 'rectangle', { length: '18', width: '7' }), less('memorial', 'circle', { diameter: '11' }),
    ], [['fine fescue', '90'], ['perennial ryegrass', '10']], { instrument: 'wheel', slope: typed('14', '%'), cut: field('3 in') }),
    area('Cemetery', 'Kerb and paving cracks', [lawn('rectangle', { length: '320', width: '0.5' })], [], { use: 'strip', cover: typed('', '%') }),
  ], { contact: 'Parish clerk', notices: 'No work during services.' }),
  site('The Saltings', 'Creek Road', [
    area('Saltings', 'Fescue front', [lawn('rectangle', { length: '71', width: '38.5' }), less('rose bed', 'triangle', { base: '14', height: '11' }), less('rabbit corner, reseeded', 'rectangle', { length: '12', width: '9' }, 'ft', '2026-05-20')], [['tall fescue', '100']], { cut: field('3.5 in'), sun: 'part shade' }),
    area('Saltings', 'Centipede side', [lawn('trapezoid', { side: '44', opposite: '36', height: '27.5' })], [['centipede', '100']], { cut: field('2 in') }),
    area('Saltings', 'Beds', [lawn('ellipse', { length: '22', width: '9' })], [], { use: 'bed', cover: typed('', '%') }),
  ], { water: 'Creek along the north side: keep 25 ft off, or as the label says if more.' }),
]
