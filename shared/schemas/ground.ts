import * as v from 'valibot'
import { OUTLINE_SOURCES } from '#core/ground/fieldNotes'
import type { Anchor } from '#core/ground/geodesy'
import { INSTRUMENTS } from '#core/ground/instruments'
import { MEASURING_RULES, READING_NAMES } from '#core/ground/methods/method'
import { METHOD_NAMES } from '#core/ground/methods/methods'
import type { PictureScale } from '#core/ground/pictureScale'
import {
  AREA_USES,
  CLIPPINGS,
  DISEASE_SEATS,
  PRIORITIES,
  SOIL_LEVELS,
  SUNS,
  type AreaDocument,
} from '#core/ground/areaDocument'
import { GRASS_NAMES } from '#core/ground/grasses'
import { CUE_KINDS, type Cue } from '#core/season/cues/cue'
import { AREA_UNITS, LENGTH_UNITS, SPAN_UNITS } from '#core/quantity/units'
import { entriesOf, enteredOf } from './quantity'
import { BlankOrDay, Day, Line, Name, Notes, Uuid, Version } from './texts'

const Length = enteredOf(LENGTH_UNITS)
const Span = enteredOf(SPAN_UNITS)
export const Share = enteredOf(['%'])

/** Most corners an outline is kept with; a longer track is simplified first. */
export const MOST_CORNERS = 5000
const Coordinate = v.pipe(v.number(), v.minValue(-1e6), v.maxValue(1e6))
const Pair = v.tuple([Coordinate, Coordinate])

/** Runs of a stride or a wheel over a taped length. */
export const tapedCourse = v.strictObject({
  distance: Length,
  on: BlankOrDay,
  runs: v.pipe(v.array(v.strictObject({ id: Uuid, read: Span })), v.maxLength(20)),
})
const pictureScale = { from: Pair, to: Pair, distance: Length }

const measuredWith = {
  instrument: v.picklist(INSTRUMENTS),
  tool: v.optional(v.strictObject({ id: Uuid, version: Version, name: Name, course: tapedCourse })),
}

const Outline = v.strictObject({
  from: v.picklist(OUTLINE_SOURCES),
  points: v.pipe(v.array(Pair), v.maxLength(MOST_CORNERS)),
  pointError: Length,
  picture: v.optional(v.strictObject({ id: Uuid, ...pictureScale })),
  origin: Line,
})

const Part = v.strictObject({
  id: Uuid,
  sign: v.picklist(['add', 'subtract']),
  shape: v.picklist([...METHOD_NAMES, 'known', 'outline']),
  lengths: v.strictObject(entriesOf(READING_NAMES, () => v.optional(Span))),
  angle: v.optional(enteredOf(['°'])),
  list: v.optional(v.pipe(v.array(Span), v.maxLength(120))),
  rule: v.optional(v.picklist(MEASURING_RULES)),
  outline: v.optional(Outline),
  size: enteredOf(AREA_UNITS),
  give: v.optional(Share),
  with: v.optional(v.strictObject(measuredWith)),
  place: v.optional(
    v.strictObject({
      x: Coordinate,
      y: Coordinate,
      turn: v.pipe(v.number(), v.minValue(-360), v.maxValue(360)),
    }),
  ),
  what: v.optional(Line),
  until: v.optional(BlankOrDay),
})

export const Grasses = v.pipe(v.array(v.picklist(GRASS_NAMES)), v.maxLength(GRASS_NAMES.length))

/** Field notes, wherever they stand: on a site or in a job. */
export const fieldNotes = {
  ...measuredWith,
  parts: v.pipe(v.array(Part), v.minLength(1), v.maxLength(60)),
  slope: v.optional(Share),
}

/** Version 1 of an area as written down. */
export const AreaDocumentShape = v.strictObject({
  schema: v.literal(1),
  ...fieldNotes,
  slope: Share,
  use: v.picklist(AREA_USES),
  grass: v.pipe(
    v.array(v.strictObject({ id: Uuid, species: v.picklist(GRASS_NAMES), share: Share, cultivar: Line })),
    v.maxLength(8),
  ),
  established: BlankOrDay,
  overseeding: BlankOrDay,
  overseedWith: v.optional(Grasses),
  cover: Share,
  cut: Length,
  thatch: Length,
  clippings: v.picklist(CLIPPINGS),
  sun: v.picklist(SUNS),
  irrigation: v.strictObject({ kind: v.picklist(['none', 'zone']), zone: Line, output: Length }),
  soil: Notes,
  mownOn: v.optional(
    v.pipe(v.array(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(6))), v.maxLength(7)),
  ),
  priority: v.picklist(PRIORITIES),
  notes: Notes,
  soilTest: v.optional(
    v.strictObject({
      on: BlankOrDay,
      ph: Line,
      p: v.picklist(SOIL_LEVELS),
      k: v.picklist(SOIL_LEVELS),
      organic: Share,
    }),
  ),
  diseases: v.optional(
    v.pipe(
      v.array(v.strictObject({ id: Uuid, name: Line, seat: v.picklist(DISEASE_SEATS), on: BlankOrDay })),
      v.maxLength(30),
    ),
  ),
  samples: v.optional(
    v.strictObject({
      count: Line,
      seed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4_294_967_295)),
    }),
  ),
})
const AreaDocumentSchema: v.GenericSchema<AreaDocument> = AreaDocumentShape

export const SaveAreaSchema = v.strictObject({
  version: Version,
  siteId: Uuid,
  name: Name,
  position: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(10_000)),
  document: AreaDocumentSchema,
})
export type SaveArea = v.InferOutput<typeof SaveAreaSchema>

/** An area as it is stored; its size was computed by the server, null until it can be. */
export interface Area extends SaveArea {
  readonly id: string
  readonly sizeM2: number | null
  readonly sdM2: number | null
  readonly updatedAt: string
}

/** A size an area has had. */
export interface AreaSize {
  readonly id: string
  readonly on: string
  readonly sizeM2: number
  readonly sdM2: number
  readonly at: string
}

/** A picture lying under a site's plan. */
export interface MapPicture extends PictureScale {
  readonly id: string
  readonly width: number
  readonly height: number
  /** Where its top left corner lies on the plan, m, and how it is turned, degrees clockwise. */
  readonly x: number
  readonly y: number
  readonly turn: number
  /** Per cent. */
  readonly opacity: number
}

export interface SiteDocument {
  readonly schema: 1
  readonly contact: string
  readonly notices: string
  readonly water: string
  readonly notes: string
  /** Where the plan's zero lies on the earth; without it the plan has no position. */
  readonly anchor?: Anchor
  /** Its weather station; without one the crew's first. */
  readonly stationId?: string
  readonly picture?: MapPicture
  /** What product may cost here in a year, in the crew's currency; blank for no limit. */
  readonly budget?: string
  /** What was seen that tells the season. */
  readonly cues?: readonly (Cue & { readonly id: string })[]
}
const MOST_CUES = 300

const Pixels = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(30_000))
export const SiteDocumentShape = v.strictObject({
  schema: v.literal(1),
  contact: Line,
  notices: Notes,
  water: Notes,
  notes: Notes,
  anchor: v.optional(
    v.strictObject({
      lat: v.pipe(v.number(), v.minValue(-89.9), v.maxValue(89.9)),
      lon: v.pipe(v.number(), v.minValue(-180), v.maxValue(180)),
      bearing: v.pipe(v.number(), v.minValue(-360), v.maxValue(360)),
    }),
  ),
  stationId: v.optional(v.union([v.literal(''), Uuid])),
  budget: v.optional(Line),
  cues: v.optional(
    v.pipe(
      v.array(v.strictObject({ id: Uuid, on: Day, kind: v.picklist(CUE_KINDS) })),
      v.maxLength(MOST_CUES, `must have at most ${MOST_CUES} entries`),
    ),
  ),
  picture: v.optional(
    v.strictObject({
      id: Uuid,
      width: Pixels,
      height: Pixels,
      x: Coordinate,
      y: Coordinate,
      turn: v.pipe(v.number(), v.minValue(-360), v.maxValue(360)),
      opacity: v.pipe(v.number(), v.minValue(0), v.maxValue(100)),
      ...pictureScale,
    }),
  ),
})
const SiteDocumentSchema: v.GenericSchema<SiteDocument> = SiteDocumentShape

export const SaveSiteSchema = v.strictObject({
  version: Version,
  name: Name,
  place: Line,
  document: SiteDocumentSchema,
})
export type SaveSite = v.InferOutput<typeof SaveSiteSchema>

export interface Site extends SaveSite {
  readonly id: string
  readonly updatedAt: string
}

/**
 * Several areas of a site changed as one: arranged, split, merged, brought from a file. All of it is done or
 * none.
 */
export const SaveSiteMapSchema = v.strictObject({
  areas: v.pipe(v.array(v.strictObject({ id: Uuid, ...SaveAreaSchema.entries })), v.maxLength(100)),
  removed: v.pipe(v.array(v.strictObject({ id: Uuid, version: Version })), v.maxLength(100)),
})
export type SaveSiteMap = v.InferOutput<typeof SaveSiteMapSchema>

export const CopySiteSchema = v.strictObject({ id: Uuid, name: Name })

/** A row of the list of sites. */
export interface SiteRow {
  readonly id: string
  readonly name: string
  readonly place: string
  readonly areas: number
  /** Turf together, m2. */
  readonly sizeM2: number
  /** Last day anything was put down, blank for never. */
  readonly lastOn: string
}

export interface SitePage {
  readonly rows: readonly SiteRow[]
  readonly next: string | null
}

export type { LedgerRow } from '#core/season/ledger'
