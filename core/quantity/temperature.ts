import type { Quantity } from './quantity'
import { TEMPERATURE_SCALES, type TemperatureUnit } from './units'

/** Degrees Celsius of a reading. @example 50 °F: (50 - 32) x 5/9 = 10 °C */
export const celsius = ({ value, unit }: Quantity<TemperatureUnit>): number =>
  (value - TEMPERATURE_SCALES[unit].freezing) * TEMPERATURE_SCALES[unit].kelvin

/** Degrees Celsius of a threshold that is printed in °F. @example 50: 10 °C */
export const fromFahrenheit = (degrees: number): number => celsius({ value: degrees, unit: '°F' })

/** A reading told in a unit. @param degrees °C */
export const temperatureIn = (degrees: number, unit: TemperatureUnit): number =>
  degrees / TEMPERATURE_SCALES[unit].kelvin + TEMPERATURE_SCALES[unit].freezing
