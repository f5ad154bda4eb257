import type { OutlineNote } from '#core/ground/areaShape'
import type { Anchor } from '#core/ground/geodesy'
import { toMillimetre } from '#core/ground/editOutline'
import type { Point, Ring } from '#core/ground/plane'
import { withoutSmallLoops } from '#core/ground/cutLoops'
import { simplify } from '#core/ground/simplify'
import { simulatedWalk } from '#core/simulated/simulatedWalk'
import { EMPTY_TRACK, outlineOf, withFix } from '#core/ground/walkTrack'
import { named, typed } from './typed'

/** Tamsin Point lies in the open sea, where nobody can take it for theirs. */
const anchor = (lat: number, lon: number): Anchor => ({ lat, lon, bearing: 0 })
export const ANCHORS = {
  row: anchor(39.0213, -70.4107),
  bowls: anchor(39.0184, -70.4051),
  school: anchor(39.0262, -70.4188),
  court: anchor(39.0155, -70.4122),
  cemetery: anchor(39.0301, -70.4069),
  saltings: anchor(39.0117, -70.3994),
} as const

/** A playing field as a phone saw it: the true edge walked once, wobbles under a metre left out. */
const FIELD: Ring = [
  [-62, -37],
  [61, -38],
  [63, 22],
  [48, 37],
  [-61, 38],
]
const track = simulatedWalk(FIELD, ANCHORS.school, 1.3, 8).reduce(
  (sum, fix) => withFix(sum, fix, ANCHORS.school),
  EMPTY_TRACK,
)
const PHONE = typed('1.6', 'm' as const)
const imported = (points: Ring): OutlineNote => ({
  from: 'imported',
  points: points.map(toMillimetre),
  pointError: PHONE,
  origin: `playing-field.gpx, ${track.points.length} points smoothed to ${points.length} within 1 m`,
})
export const playingField = (): OutlineNote =>
  imported(withoutSmallLoops(simplify(outlineOf(track, 'track'), 1)).ring)

const box = (x: number, y: number, wide: number, high: number): Ring => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
]
const drawn = (points: Ring): OutlineNote => ({
  from: 'drawn',
  points,
  pointError: PHONE,
  origin: 'taped from the edge',
})
export const jumpPit = (): OutlineNote => drawn(box(-56, -33, 12.8, 2.9))
export const cricketSquare = (): OutlineNote => drawn(box(-11, -4, 21.9, 9.1))

export const CEMETERY_PICTURE = named('picture Quarry Lane Cemetery')
/** 700 x 520 pixels; the chapel wall, 40 m long, gives it its scale: 10 pixels a metre. */
export const CEMETERY_SCALE = { from: [150, 40], to: [550, 40], distance: typed('40', 'm' as const) } as const
const traced = (pixels: readonly Point[]): OutlineNote => ({
  from: 'traced',
  pointError: typed('3', 'm'),
  origin: 'plan of 2019',
  picture: { id: CEMETERY_PICTURE, ...CEMETERY_SCALE },
  points: pixels.map(([x, y]) => toMillimetre([(x - 350) / 10, (260 - y) / 10])),
})
const round = (x: number, y: number, radius: number): readonly Point[] =>
  Array.from(
    { length: 16 },
    (_, i) => [x + radius * Math.cos((i * Math.PI) / 8), y + radius * Math.sin((i * Math.PI) / 8)] as const,
  )

/** The picture's own pixels, as they were traced. */
export const WEST_SLOPE = {
  edge: [
    [130, 80],
    [560, 70],
    [575, 250],
    [540, 372],
    [300, 392],
    [122, 360],
  ],
  yew: round(230, 190, 32),
  wallBed: [
    [300, 82],
    [480, 78],
    [480, 98],
    [300, 102],
  ],
  steps: [
    [490, 300],
    [552, 314],
    [546, 336],
    [486, 322],
  ],
  memorial: round(420, 220, 17),
  path: [
    [126, 268],
    [330, 262],
    [330, 278],
    [126, 285],
  ],
} as const satisfies Readonly<Record<string, readonly Point[]>>
export const westSlope = (piece: keyof typeof WEST_SLOPE): OutlineNote => traced(WEST_SLOPE[piece])
