import type { Entered, Sign } from './entered'
import type { Kind, KindUnits } from './parseQuantity'
import {
  AMOUNT_UNITS,
  AREA_UNITS,
  CONTENT_UNITS,
  DENSITY_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  PRESSURE_UNITS,
  SPAN_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
  VOLUME_UNITS,
} from './units'

/** A field that takes a figure: told once, for its reader, its form and the sentences about it. */
export interface FigureField<K extends Kind = Kind> {
  readonly kind: K
  readonly sign: Sign
  /** In a sentence: "Dead volume can't be below zero." */
  readonly name: string
  /** Above the field. */
  readonly label: string
  /** The units a form offers beside the one that stands there. */
  readonly units: readonly KindUnits[K][]
  /** The unit of one that was never filled in. */
  readonly unit: KindUnits[K]
  readonly hint?: string
}

/** The figures of a document by their paths in it; `*` stands for a place in a list, or a name. */
export type FieldTable = Readonly<Record<string, FigureField>>

/** What a field of a table holds, and what is read of it. */
export type EnteredIn<F extends FigureField> = Entered<KindUnits[F['kind']]>

/** Units of each kind; of rates and carriers there are too many to list: those fields say which. */
const UNITS: { readonly [K in Kind]: readonly KindUnits[K][] } = {
  length: LENGTH_UNITS,
  span: SPAN_UNITS,
  angle: ['°'],
  area: AREA_UNITS,
  mass: MASS_UNITS,
  volume: VOLUME_UNITS,
  amount: AMOUNT_UNITS,
  speed: SPEED_UNITS,
  density: DENSITY_UNITS,
  content: CONTENT_UNITS,
  rate: [],
  massRate: [],
  carrier: [],
  percent: ['%'],
  stopwatch: STOPWATCH_UNITS,
  grain: ['mm'],
  pressure: PRESSURE_UNITS,
  time: TIME_UNITS,
  temperature: TEMPERATURE_UNITS,
}
const FIRST_UNIT: { readonly [K in Kind]: KindUnits[K] } = {
  length: 'ft',
  span: 'ft',
  angle: '°',
  area: 'ft2',
  mass: 'lb',
  volume: 'gal',
  amount: 'lb',
  speed: 'mph',
  density: 'lb/gal',
  content: '%',
  rate: 'lb/1000 ft2',
  massRate: 'lb/1000 ft2',
  carrier: 'gal/1000 ft2',
  percent: '%',
  stopwatch: 's',
  grain: 'mm',
  pressure: 'psi',
  time: 'd',
  temperature: '°F',
}

/**
 * A row of a table of fields.
 * @param name in a sentence; also the label unless another is given
 */
export const figureField = <const K extends Kind>(
  kind: K,
  sign: Sign,
  name: string,
  more: Partial<Pick<FigureField<K>, 'label' | 'units' | 'unit' | 'hint'>> = {},
): FigureField<K> => ({
  kind,
  sign,
  name,
  label: name,
  units: UNITS[kind],
  unit: FIRST_UNIT[kind],
  ...more,
})

/** A table below a path. @example fieldsUnder('document', { cut }) // { 'document.cut': cut } */
export const fieldsUnder = (path: string, table: FieldTable): FieldTable =>
  Object.fromEntries(Object.entries(table).map(([row, field]) => [`${path}.${row}`, field]))

/** The row of a path; undefined where no figure stands there. */
export function fieldAt(table: FieldTable, path: string): FigureField | undefined {
  const row = path.replaceAll(/\.\d+(?=\.|$)/g, '.*')
  return table[row] ?? table[row.replace(/[^.]+$/, '*')]
}
