import * as v from 'valibot'
import { AreaDocumentSchema, PictureScaleSchema } from '#core/ground/areaShape'
import { CUE_KINDS } from '#core/season/cues/cue'
import { held, type Held } from '#core/shape/held'
import { Day, Line, Name, Notes, Uuid, Version } from '#core/shape/texts'

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

const MOST_CUES = 300

const Pixels = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(30_000))
const Coordinate = v.pipe(v.number(), v.minValue(-1e6), v.maxValue(1e6))
const Turn = v.pipe(v.number(), v.minValue(-360), v.maxValue(360))

/** A picture lying under a site's plan. */
const MapPictureSchema = v.strictObject({
  id: Uuid,
  width: Pixels,
  height: Pixels,
  /** Where its top left corner lies on the plan, m, and how it is turned, degrees clockwise. */
  x: Coordinate,
  y: Coordinate,
  turn: Turn,
  /** Per cent. */
  opacity: v.pipe(v.number(), v.minValue(0), v.maxValue(100)),
  ...PictureScaleSchema.entries,
})
export type MapPicture = Held<typeof MapPictureSchema>

const SiteDocumentSchema = held(
  v.strictObject({
    schema: v.literal(1),
    contact: Line,
    notices: Notes,
    water: Notes,
    notes: Notes,
    /** Where the plan's zero lies on the earth; without it the plan has no position. */
    anchor: v.optional(
      v.strictObject({
        lat: v.pipe(v.number(), v.minValue(-89.9), v.maxValue(89.9)),
        lon: v.pipe(v.number(), v.minValue(-180), v.maxValue(180)),
        bearing: Turn,
      }),
    ),
    /** Its weather station; without one the crew's first. */
    stationId: v.optional(v.union([v.literal(''), Uuid])),
    picture: v.optional(MapPictureSchema),
    /** What product may cost here in a year, in the crew's currency; blank for no limit. */
    budget: v.optional(Line),
    /** What was seen that tells the season. */
    cues: v.optional(
      v.pipe(
        v.array(v.strictObject({ id: Uuid, on: Day, kind: v.picklist(CUE_KINDS) })),
        v.maxLength(MOST_CUES, `must have at most ${MOST_CUES} entries`),
      ),
    ),
  }),
)
export type SiteDocument = v.InferOutput<typeof SiteDocumentSchema>

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
