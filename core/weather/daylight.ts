import { Body, Observer, SearchRiseSet } from 'astronomy-engine'

/** When the sun rises and sets at a place, as instants; undefined where it does not that day. */
export interface Daylight {
  readonly rises: Date | undefined
  readonly sets: Date | undefined
}

/**
 * Sunrise and sunset of the solar day that begins at local midnight by the sun.
 * @param on YYYY-MM-DD @param latitude, longitude degrees, south and west below zero
 */
export function daylight(on: string, latitude: number, longitude: number): Daylight {
  const midnight = new Date(Date.parse(on) - (longitude / 360) * 86_400_000)
  const place = new Observer(latitude, longitude, 0)
  const found = (direction: 1 | -1) => SearchRiseSet(Body.Sun, place, direction, midnight, 1)?.date
  return { rises: found(1), sets: found(-1) }
}
