import {
  CUBIC_METRES_PER,
  DENSITY_SI_PER,
  isMassUnit,
  KILOGRAMS_PER,
  METRES_PER,
  METRES_PER_SECOND_PER,
  SECONDS_PER,
  SQUARE_METRES_PER,
  type AmountUnit,
  type AreaUnit,
  type LengthUnit,
  type SpeedUnit,
  type TimeUnit,
} from './units'

/** A figure as somebody entered or reads it: the number beside its unit. */
export interface Quantity<U extends string = string> {
  readonly value: number
  readonly unit: U
}

declare const si: unique symbol
/**
 * A number whose SI unit the compiler knows; made only by the constructors below and where a formula ends.
 */
export type Si<U extends string> = number & { readonly [si]: U }
export type Metres = Si<'m'>
export type SquareMetres = Si<'m2'>
export type Kilograms = Si<'kg'>
export type CubicMetres = Si<'m3'>
export type MetresPerSecond = Si<'m/s'>
export type KilogramsPerCubicMetre = Si<'kg/m3'>

export const metres = (n: number) => n as Metres
export const squareMetres = (n: number) => n as SquareMetres
export const metresPerSecond = (n: number) => n as MetresPerSecond

export const quantity = <U extends string>(value: number, unit: U): Quantity<U> => ({ value, unit })

/** Conversions into SI; the unit tables hold the exact factors. */
export const lengthSi = (q: Quantity<LengthUnit>) => metres(q.value * METRES_PER[q.unit])
export const areaSi = (q: Quantity<AreaUnit>) => squareMetres(q.value * SQUARE_METRES_PER[q.unit])
export const speedSi = (q: Quantity<SpeedUnit>) => metresPerSecond(q.value * METRES_PER_SECOND_PER[q.unit])
export const timeSi = (q: Quantity<TimeUnit>) => (q.value * SECONDS_PER[q.unit]) as Si<'s'>
export const densitySi = (q: Quantity<keyof typeof DENSITY_SI_PER>) =>
  (q.value * DENSITY_SI_PER[q.unit]) as KilogramsPerCubicMetre

/** SI (kg or m3) in one of a mass or volume unit. */
export const amountFactor = (unit: AmountUnit): number =>
  isMassUnit(unit) ? KILOGRAMS_PER[unit] : CUBIC_METRES_PER[unit]

/** Square metres expressed in an area unit. */
export const areaIn = <U extends AreaUnit>(size: SquareMetres, unit: U): Quantity<U> =>
  quantity(size / SQUARE_METRES_PER[unit], unit)
