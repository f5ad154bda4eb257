import { boundsOf, type Point, type Ring } from './plane'

/** A place on the earth, degrees, WGS 84: longitude first, as GeoJSON has it. */
export type Position = readonly [lon: number, lat: number]

/** Where the zero of a site's plan lies, and how its upward axis is turned from north, degrees clockwise. */
export interface Anchor {
  readonly lat: number
  readonly lon: number
  readonly bearing: number
}

/** WGS 84: half the long axis, m, and flattening. Source: NIMA TR8350.2. */
const A = 6_378_137
const F = 1 / 298.257223563
const E2 = F * (2 - F)
const RAD = Math.PI / 180

/** Radius of curvature across the meridian, m. */
const normalRadius = (phi: number) => A / Math.sqrt(1 - E2 * Math.sin(phi) ** 2)

/**
 * Length of the meridian from the equator, m.
 * Source: series in the third flattening, to the fourth power (J. P. Snyder, Map Projections: A Working
 * Manual, USGS 1987, eq. 3-21, in Helmert's form).
 */
function meridian(phi: number): number {
  const n = F / (2 - F)
  const [n2, n3, n4] = [n * n, n ** 3, n ** 4]
  const rectifying = (A / (1 + n)) * (1 + n2 / 4 + n4 / 64)
  return (
    rectifying *
    (phi -
      (3 / 2) * (n - (3 / 8) * n3) * Math.sin(2 * phi) +
      (15 / 16) * (n2 - n4 / 4) * Math.sin(4 * phi) -
      (35 / 48) * n3 * Math.sin(6 * phi) +
      (315 / 512) * n4 * Math.sin(8 * phi))
  )
}

/** Radius of curvature along the meridian, m. */
const meridianRadius = (phi: number) => (A * (1 - E2)) / (1 - E2 * Math.sin(phi) ** 2) ** 1.5

const wrapped = (degrees: number) => ((((degrees + 180) % 360) + 360) % 360) - 180

/** Turns the plan's axes onto east and north, or back. */
function rotated([x, y]: Point, degrees: number): Point {
  if (degrees === 0) return [x, y]
  const [sin, cos] = [Math.sin(degrees * RAD), Math.cos(degrees * RAD)]
  return [x * cos + y * sin, -x * sin + y * cos]
}

/**
 * A place on the earth as a point of the plan, m.
 * Source: the sinusoidal projection of the ellipsoid, which keeps areas exactly, so that the plain shoelace
 * formula on the plan is the area on the earth whatever the anchor. Lengths near the anchor are nearly true:
 * off by under 1 in 10,000 within a kilometre.
 */
export function toPlan([lon, lat]: Position, anchor: Anchor): Point {
  const phi = lat * RAD
  const east = normalRadius(phi) * Math.cos(phi) * wrapped(lon - anchor.lon) * RAD
  return rotated([east, meridian(phi) - meridian(anchor.lat * RAD)], -anchor.bearing)
}

/**
 * A point of the plan as a place on the earth. The latitude is found by Newton's method; four rounds are
 * exact to a double.
 */
export function toEarth(point: Point, anchor: Anchor): Position {
  const [east, north] = rotated(point, anchor.bearing)
  const along = meridian(anchor.lat * RAD) + north
  let phi = anchor.lat * RAD
  for (let round = 0; round < 4; round++) phi -= (meridian(phi) - along) / meridianRadius(phi)
  return [wrapped(anchor.lon + east / (normalRadius(phi) * Math.cos(phi)) / RAD), phi / RAD]
}

/** The middle of places, as the anchor of a plan that has none: to a tenth of a metre, north up. */
export function anchorFor(places: Iterable<Position>): Anchor | undefined {
  const box = boundsOf(places)
  if (!box) return undefined
  const rounded = (degrees: number) => Math.round(degrees * 1e6) / 1e6
  return { lat: rounded((box.minY + box.maxY) / 2), lon: rounded((box.minX + box.maxX) / 2), bearing: 0 }
}

export const ringToPlan = (ring: readonly Position[], anchor: Anchor): Ring =>
  ring.map((place) => toPlan(place, anchor))
export const ringToEarth = (ring: Ring, anchor: Anchor): readonly Position[] =>
  ring.map((point) => toEarth(point, anchor))
