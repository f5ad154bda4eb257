/** One day of weather at one place. Temperatures in degrees Celsius. */
export interface WeatherDay {
  /** YYYY-MM-DD on the clock of the place. */
  readonly on: string
  /** Least and most air temperature of the day. */
  readonly least: number
  readonly most: number
  /** Mean air temperature, where it was measured by the hour. */
  readonly mean?: number | undefined
  /** Relative humidity, mean of the day, %. */
  readonly humidity?: number | undefined
  /** m */
  readonly rain?: number | undefined
  /** Soil at 2 in, measured at the station. */
  readonly soil?: number | undefined
  /** Not yet come true. */
  readonly forecast: boolean
}

/** Mean of a day: as measured, else halfway between its least and its most (trade.md 10). */
export const meanOfDay = ({ mean, least, most }: WeatherDay): number => mean ?? (least + most) / 2
