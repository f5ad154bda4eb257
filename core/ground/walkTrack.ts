import { toPlan, type Anchor, type Position } from './geodesy'
import { distance, type Point, type Ring } from './plane'

/** One position as a phone tells it. */
export interface Fix {
  readonly place: Position
  /** Radius within which it lies with 95 % confidence, m, as browsers tell it. */
  readonly accuracy: number
  /** Seconds since the walk began. */
  readonly at: number
}

/** Standard deviations along one axis in the radius of 95 %, for a round scatter (Rayleigh). */
const SDS_IN_RADIUS = 2.448
const axisError = (accuracy: number): number => accuracy / SDS_IN_RADIUS
/** @param sd along one axis, m; @returns the radius within which 95 % lie, m */
export const radius95 = (sd: number): number => SDS_IN_RADIUS * sd

/** Nearer than this to the one before, a position adds nothing but noise, m. */
const LEAST_STEP = 1
/** A position told worse than this (95 % radius, m) is not taken. */
export const WORST_ACCURACY = 25

/** A perimeter as it is being walked; corners are the positions the walker marked. */
export interface WalkTrack {
  readonly points: readonly Point[]
  /** Indexes into points. */
  readonly corners: readonly number[]
  /** Sum of the axis errors of the positions taken, and how many were refused as too poor. */
  readonly errorSum: number
  readonly refused: number
}

export const EMPTY_TRACK: WalkTrack = { points: [], corners: [], errorSum: 0, refused: 0 }

/** The track with one more position. */
export function withFix(track: WalkTrack, fix: Fix, anchor: Anchor): WalkTrack {
  if (!(fix.accuracy <= WORST_ACCURACY)) return { ...track, refused: track.refused + 1 }
  const point = toPlan(fix.place, anchor)
  const last = track.points.at(-1)
  if (last && distance(last, point) < LEAST_STEP) return track
  return { ...track, points: [...track.points, point], errorSum: track.errorSum + axisError(fix.accuracy) }
}

/** Marks the last position as a corner. */
export function withCorner(track: WalkTrack): WalkTrack {
  const index = track.points.length - 1
  return index < 0 || track.corners.at(-1) === index
    ? track
    : { ...track, corners: [...track.corners, index] }
}

/**
 * Forgets everything after the corner before the last one marked, so that it can be walked again from there.
 */
export function withoutLastCorner(track: WalkTrack): WalkTrack {
  if (track.corners.length === 0) return EMPTY_TRACK
  const corners = track.corners.slice(0, -1)
  const kept = corners.length === 0 ? 0 : corners.at(-1)! + 1
  const mean = track.points.length === 0 ? 0 : track.errorSum / track.points.length
  return { ...track, points: track.points.slice(0, kept), corners, errorSum: mean * kept }
}

/**
 * The outline: the corners alone where three or more were marked and the walker went straight between them,
 * else every position.
 */
export const outlineOf = ({ points, corners }: WalkTrack, by: 'corners' | 'track'): Ring =>
  by === 'corners' && corners.length >= 3 ? corners.map((index) => points[index]!) : points

/** One standard deviation of a position, m: the mean of what the source told. Undefined before the first. */
export const meanPointError = ({ points, errorSum }: WalkTrack): number | undefined =>
  points.length === 0 ? undefined : errorSum / points.length
