import type { Bounds, Point } from './plane'

export const COMPASS_POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const
export type CompassPoint = (typeof COMPASS_POINTS)[number]

const SECTOR = 360 / COMPASS_POINTS.length

/** Degrees clockwise from north. @example degreesOf('SE') // 135 */
export const degreesOf = (point: CompassPoint): number => COMPASS_POINTS.indexOf(point) * SECTOR

/** The point that is nearest to a direction. @example pointNear(350) // 'N' */
export function pointNear(degrees: number): CompassPoint {
  const turned = ((degrees % 360) + 360) % 360
  return COMPASS_POINTS[Math.round(turned / SECTOR) % COMPASS_POINTS.length]!
}

const WORDS: Readonly<Record<CompassPoint, string>> = {
  N: 'north',
  NE: 'north-east',
  E: 'east',
  SE: 'south-east',
  S: 'south',
  SW: 'south-west',
  W: 'west',
  NW: 'north-west',
}
export const compassWords = (point: CompassPoint): string => WORDS[point]

/** The middle of a side of a box, or its corner. @example of a box from 0, 0 to 2, 2: 'NE' // [2, 2] */
export function sideOf({ minX, minY, maxX, maxY }: Bounds, point: CompassPoint): Point {
  const along = (low: string, high: string, least: number, most: number): number =>
    point.includes(high) ? most : point.includes(low) ? least : (least + most) / 2
  return [along('W', 'E', minX, maxX), along('S', 'N', minY, maxY)]
}
