import * as v from 'valibot'
import { INSTRUMENTS } from '#core/ground/netArea'
import { SHAPE_KINDS } from '#core/ground/shapes'
import { AREA_USES, CLIPPINGS, PRIORITIES, SUNS, type AreaDocument } from '#core/ground/areaDocument'
import { GRASS_NAMES } from '#core/ground/grasses'
import { AREA_UNITS, LENGTH_UNITS } from '#core/quantity/units'
import { enteredOf } from './quantity'
import { BlankOrDay, Line, Name, Notes, Uuid, Version } from './texts'

const Length = enteredOf(LENGTH_UNITS)
export const Share = enteredOf(['%'])

const Part = v.strictObject({
  id: Uuid,
  sign: v.picklist(['add', 'subtract']),
  shape: v.picklist([...SHAPE_KINDS, 'known']),
  lengths: v.strictObject({
    length: v.optional(Length), width: v.optional(Length), base: v.optional(Length), height: v.optional(Length),
    side: v.optional(Length), opposite: v.optional(Length), diameter: v.optional(Length),
  }),
  size: enteredOf(AREA_UNITS),
  what: v.optional(Line),
  until: v.optional(BlankOrDay),
})

/** Field notes, wherever they stand: on a site or in a job. */
export const fieldNotes = { instrument: v.picklist(INSTRUMENTS), parts: v.pipe(v.array(Part), v.minLength(1), v.maxLength(40)), slope: v.optional(Share) }

/** Version 1 of an area as written down. */
const AreaDocumentSchema = v.strictObject({
  schema: v.literal(1), ...fieldNotes, slope: Share, use: v.picklist(AREA_USES),
  grass: v.pipe(v.array(v.strictObject({ id: Uuid, species: v.picklist(GRASS_NAMES), share: Share, cultivar: Line })), v.maxLength(8)),
  established: BlankOrDay, overseeding: BlankOrDay, cover: Share, cut: Length, thatch: Length, clippings: v.picklist(CLIPPINGS), sun: v.picklist(SUNS),
  irrigation: v.strictObject({ kind: v.picklist(['none', 'zone']), zone: Line, output: Length }),
  soil: Notes, priority: v.picklist(PRIORITIES), notes: Notes,
}) as v.GenericSchema<AreaDocument>

export const SaveAreaSchema = v.strictObject({
  version: Version, siteId: Uuid, name: Name, position: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(10_000)), document: AreaDocumentSchema,
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

export const SaveSiteSchema = v.strictObject({
  version: Version, name: Name, place: Line,
  document: v.strictObject({ schema: v.literal(1), contact: Line, notices: Notes, water: Notes, notes: Notes }),
})
export type SaveSite = v.InferOutput<typeof SaveSiteSchema>

export interface Site extends SaveSite {
  readonly id: string
  readonly updatedAt: string
}

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

/** One product on one area, as the ledger has it. */
export interface LedgerRow {
  readonly applicationId: string
  readonly areaId: string
  readonly product: string
  readonly on: string
  readonly dimension: 'mass' | 'volume'
  readonly amount: number
  readonly sizeM2: number
  /** Kg; null where the label does not tell. */
  readonly n: number | null
}
