import { isOver } from '../quantity/tolerance'
import type { Entered } from '../quantity/entered'
import type { LengthUnit } from '../quantity/units'
import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { FieldNotes } from './fieldNotes'
import type { GrassName } from './grasses'
import { readFieldNotes, type MeasuredGround } from './readFieldNotes'

/** What an area is: turf is treated, a bed or a strip only where a label allows it. */
export const AREA_USES = ['turf', 'bed', 'strip'] as const
export const CLIPPINGS = ['', 'kept', 'collected'] as const
export const SUNS = ['', 'full sun', 'part shade', 'shade'] as const
export const PRIORITIES = ['normal', 'high', 'low'] as const

/** What a laboratory says of a nutrient in the ground. */
export const SOIL_LEVELS = ['', 'low', 'enough', 'high'] as const
export type SoilLevel = (typeof SOIL_LEVELS)[number]

/** Whether a disease sits in the roots or on the leaf: what feeding does to it differs. */
export const DISEASE_SEATS = ['root', 'leaf'] as const
interface DiseaseNote {
  readonly id: string
  readonly name: string
  readonly seat: (typeof DISEASE_SEATS)[number]
  readonly on: string
}

export interface GrassShare {
  readonly id: string
  readonly species: GrassName
  readonly share: Entered<'%'>
  readonly cultivar: string
}

/** An area of a site as written down: how it was measured and what grows there (trade.md 2). */
export interface AreaDocument extends FieldNotes {
  readonly schema: 1
  readonly slope: Entered<'%'>
  readonly use: (typeof AREA_USES)[number]
  readonly grass: readonly GrassShare[]
  /** YYYY-MM-DD or blank, as are the days below. */
  readonly established: string
  readonly overseeding: string
  /** What is to be sown then, where that is settled. */
  readonly overseedWith?: readonly GrassName[]
  readonly cover: Entered<'%'>
  readonly cut: Entered<LengthUnit>
  readonly thatch: Entered<LengthUnit>
  readonly clippings: (typeof CLIPPINGS)[number]
  readonly sun: (typeof SUNS)[number]
  readonly irrigation: {
    readonly kind: 'none' | 'zone'
    readonly zone: string
    /** Depth that falls in an hour, as caught. */
    readonly output: Entered<LengthUnit>
  }
  readonly soil: string
  /** Days of the week on which it is mown, 0 Sunday. */
  readonly mownOn?: readonly number[]
  readonly priority: (typeof PRIORITIES)[number]
  readonly notes: string
  /** The last soil test: N is never on it. Words as the laboratory gives them. */
  readonly soilTest?: {
    readonly on: string
    readonly ph: string
    readonly p: SoilLevel
    readonly k: SoilLevel
    readonly organic: Entered<'%'>
  }
  /** Diseases seen here, the same spot year after year. */
  readonly diseases?: readonly DiseaseNote[]
  /** Random places for soil samples: the same number gives the same places. */
  readonly samples?: { readonly count: string; readonly seed: number }
}

/** Measures an area and reads its attributes. @param day YYYY-MM-DD; dated exclusions lapse */
export function readArea(
  document: AreaDocument,
  name: string,
  day: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredGround {
  const ground = readFieldNotes(
    document,
    { path: 'document', name: name.trim() || 'this area', figure: 'area.size', day },
    fields,
    book,
  )
  fields.optional('document.cover', document.cover, 'percent', 'Cover', 'zero-too')
  fields.optional('document.cut', document.cut, 'length', 'Height of cut', 'above-zero')
  fields.optional('document.thatch', document.thatch, 'length', 'Thatch depth', 'zero-too')
  if (document.irrigation.kind === 'zone')
    fields.optional(
      'document.irrigation.output',
      document.irrigation.output,
      'length',
      'Output in an hour',
      'above-zero',
    )
  const { soilTest } = document
  if (soilTest) {
    fields.optional('document.soilTest.organic', soilTest.organic, 'percent', 'Organic matter', 'zero-too')
    if (soilTest.ph.trim() && !(Number(soilTest.ph) > 2 && Number(soilTest.ph) < 11))
      fields.wrong('document.soilTest.ph', 'A soil’s pH lies between 2 and 11, such as 6.4.')
  }
  const shares = document.grass.map(
    ({ share }, i) =>
      fields.optional(`document.grass.${i}.share`, share, 'percent', 'Share', 'above-zero')?.value ?? 0,
  )
  const sum = shares.reduce((total, share) => total + share, 0)
  if (isOver(sum, 100))
    fields.wrong(
      `document.grass.${shares.length - 1}.share`,
      `The shares of the grasses come to ${Math.round(sum)} %: together they are at most 100 %.`,
    )
  return ground
}
