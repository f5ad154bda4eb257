import { temperatureIn } from './temperature'
import type { TemperatureUnit } from './units'

/** A temperature to the tenth, whole where it is whole. @example toldTemperature(10, '°F') // '50 °F' */
export const toldTemperature = (celsius: number, unit: TemperatureUnit): string =>
  `${Number(temperatureIn(celsius, unit).toFixed(1))} ${unit}`
