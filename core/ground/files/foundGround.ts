import type { Position } from '../geodesy'

/** What can be measured in a file of places. */
export interface FoundShape {
  readonly name: string
  /** A ring was closed in the file; a line is closed by us. */
  readonly kind: 'ring' | 'line'
  readonly places: readonly Position[]
  /** Rings inside it that are not part of it. */
  readonly holes: readonly (readonly Position[])[]
}

export type FileKind = 'GeoJSON' | 'KML' | 'GPX'

export interface FoundGround {
  readonly kind: FileKind
  readonly shapes: readonly FoundShape[]
  /** Points and other things that have no area. */
  readonly skipped: number
}

export interface FileProblem {
  readonly kind:
    'empty' | 'tooLarge' | 'tooManyPoints' | 'notRead' | 'hostile' | 'noGround' | 'notDegrees' | 'swapped'
  /** What is wrong and what would be right. */
  readonly message: string
}

export const MOST_BYTES = 10 * 1024 * 1024
export const MOST_POINTS = 200_000
export const MOST_SHAPES = 500
