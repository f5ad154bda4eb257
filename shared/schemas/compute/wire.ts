import * as v from 'valibot'
import { LARGEST } from '#core/quantity/entered'
import { NotNegative, Positive, quantityOf } from '#core/shape/figures'

/**
 * The units of the public routes. They stand here by name: what screens accept may grow, what other programs
 * were promised does not change with it.
 */
export const WIRE_LENGTHS = ['ft', 'in', 'yd', 'm', 'cm', 'mm'] as const
const WIRE_AREAS = ['ft2', '1000 ft2', 'ac', 'm2', '100 m2', 'ha'] as const
const WIRE_MASSES = ['lb', 'oz', 'g', 'kg'] as const
const WIRE_VOLUMES = ['fl oz', 'tsp', 'tbsp', 'cup', 'pt', 'qt', 'gal', 'mL', 'L'] as const
const WIRE_SPEEDS = ['mph', 'km/h', 'm/s', 'ft/min'] as const
export const WIRE_TIMES = ['s', 'min', 'h', 'd'] as const
export const WIRE_PRESSURES = ['psi', 'bar', 'kPa'] as const
export const WIRE_FLOWS = ['kg/s', 'kg/min', 'g/s', 'lb/min'] as const
type WireArea = (typeof WIRE_AREAS)[number]
const perArea = <A extends string>(amounts: readonly A[]) =>
  amounts.flatMap((amount) => WIRE_AREAS.map((area): `${A}/${WireArea}` => `${amount}/${area}`))
export const WIRE_MASS_RATES = perArea(WIRE_MASSES)
export const WIRE_CARRIERS = perArea(WIRE_VOLUMES)

export const Length = quantityOf(WIRE_LENGTHS, Positive)
export const Speed = quantityOf(WIRE_SPEEDS, Positive)
export const Time = quantityOf(WIRE_TIMES, Positive)
export const Mass = quantityOf(WIRE_MASSES, Positive)
export const MassLeft = quantityOf(WIRE_MASSES, NotNegative)
export const Volume = quantityOf(WIRE_VOLUMES, Positive)
export const VolumeLeft = quantityOf(WIRE_VOLUMES, NotNegative)
export const Area = quantityOf(WIRE_AREAS, Positive)
export const Pressure = quantityOf(WIRE_PRESSURES, Positive)

/** A bare number, such as a setting or a per cent. */
export const Figure = v.pipe(
  v.number('must be a number'),
  v.minValue(-LARGEST, 'must be at least -1,000,000,000'),
  v.maxValue(LARGEST, 'must be at most 1,000,000,000'),
)
export const Whole = v.pipe(v.number('must be a number'), v.integer('must be a whole number'))

/** A list is counted before its rows are looked at, so that a huge one costs nothing. */
export const listOf = <const S extends v.GenericSchema>(row: S, least: number, most: number) =>
  v.pipe(
    v.array(v.unknown(), 'must be a list'),
    v.minLength(least, `must have at least ${least} ${least === 1 ? 'row' : 'rows'}`),
    v.maxLength(most, `must have at most ${most} rows`),
    v.array(row),
  )

/** What every answer carries: how its figures came about. */
export const WorkingSchema = v.array(v.strictObject({ figure: v.string(), lines: v.array(v.string()) }))
export const Pair = v.tuple([v.number(), v.number()])
export const figureIn = <const U extends string>(unit: U) =>
  v.strictObject({ value: v.number(), unit: v.literal(unit) })
