import type { Shown, UnitSystem } from './systems'
import { temperatureIn } from './temperature'
import { TEMPERATURE_SCALES, type TemperatureUnit } from './units'

/** The unit in which a crew reads temperatures. */
export const temperatureUnitOf = (system: UnitSystem): TemperatureUnit =>
  system.startsWith('metric') ? '°C' : '°F'

/** A temperature to the tenth, whole where it is whole. @param celsius °C */
export const showTemperature = (celsius: number, unit: TemperatureUnit): Shown => ({
  figure: String(Number(temperatureIn(celsius, unit).toFixed(1))),
  unit,
})

/** The same as one word. @example toldTemperature(10, '°F') // '50 °F' */
export function toldTemperature(celsius: number, unit: TemperatureUnit): string {
  const { figure } = showTemperature(celsius, unit)
  return `${figure} ${unit}`
}

/** A difference of temperatures, such as give or take. @param kelvin K @returns in degrees of the unit */
export const temperatureSpanIn = (kelvin: number, unit: TemperatureUnit): number =>
  kelvin / TEMPERATURE_SCALES[unit].kelvin

/** How deep a probe is read, as a crew says it. */
export const probeDepth = (system: UnitSystem) =>
  system.startsWith('metric') ? ({ text: '5', unit: 'cm' } as const) : ({ text: '2', unit: 'in' } as const)
