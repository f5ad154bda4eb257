/**
 * Pressure of vapour that air of a temperature can hold, kPa.
 * @param celsius air, °C
 * Source: Tetens, as in Allen et al. 1998 (FAO 56), equation 11.
 * @example saturationPressure(20) // 2.338
 */
const saturationPressure = (celsius: number): number =>
  0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3))

/**
 * Temperature to which air must cool for dew, °C.
 * @param celsius air, °C @param humidity relative, %, above 0
 * @example dewPoint(20, 50) // 9.27
 */
export function dewPoint(celsius: number, humidity: number): number {
  const share = Math.log((saturationPressure(celsius) * humidity) / 100 / 0.6108)
  return (237.3 * share) / (17.27 - share)
}

/** Relative humidity of air that has a dew point, %, at most 100. Both °C. */
export const humidityAt = (celsius: number, dew: number): number =>
  Math.min(100, (100 * saturationPressure(dew)) / saturationPressure(celsius))
