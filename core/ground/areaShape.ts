import * as v from 'valibot'
import { AREA_UNITS, LENGTH_UNITS, SPAN_UNITS } from '../quantity/units'
import { enteredOf, entriesOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Line, Name, Notes, Uuid, Version } from '../shape/texts'
import { AREA_USES, CLIPPINGS, DISEASE_SEATS, PRIORITIES, SOIL_LEVELS, SUNS } from './areaChoices'
import { OUTLINE_SOURCES } from './fieldNotes'
import { GRASS_NAMES } from './grasses'
import { GrassesSchema } from './grassesSchema'
import { INSTRUMENTS } from './instruments'
import { MEASURING_RULES, READING_NAMES } from './methods/method'
import { METHOD_NAMES } from './methods/methods'
import { TapedCourseSchema } from './tapedCourse'

const Length = enteredOf(LENGTH_UNITS)
const Span = enteredOf(SPAN_UNITS)
const Share = enteredOf(['%'])
const Coordinate = v.pipe(v.number(), v.minValue(-1e6), v.maxValue(1e6))
/** A place on a site's plan or in a picture. */
export const PlaceSchema = v.tuple([Coordinate, Coordinate])
const some = <S extends v.GenericSchema>(schema: S, most: number) =>
  v.pipe(v.array(schema), v.maxLength(most))

/** Most corners an outline is kept with; a longer track is simplified first. */
export const MOST_CORNERS = 5000

/**
 * A calibrated tool as a measurement used it, frozen: a later calibration changes nothing that was measured
 * before.
 */
const ToolNoteSchema = v.strictObject({ id: Uuid, version: Version, name: Name, course: TapedCourseSchema })
export type ToolNote = Held<typeof ToolNoteSchema>

/** An instrument, and the tool's own calibration where it has one. */
const MeasuredWithSchema = v.strictObject({
  instrument: v.picklist(INSTRUMENTS),
  tool: v.optional(ToolNoteSchema),
})
export type MeasuredWith = Held<typeof MeasuredWithSchema>

/** Two places of a picture, pixels from its top left corner, and what lies between them. */
export const PictureScaleSchema = v.strictObject({ from: PlaceSchema, to: PlaceSchema, distance: Length })

/** Corners on the site's plan, with what is known of how well they are placed. */
const OutlineNoteSchema = v.strictObject({
  /** How it came onto the plan. */
  from: v.picklist(OUTLINE_SOURCES),
  points: some(PlaceSchema, MOST_CORNERS),
  /** One standard deviation of a position fix; for walked and imported outlines. */
  pointError: Length,
  /** For a traced outline: the scale of its picture as it was when traced. */
  picture: v.optional(v.strictObject({ id: Uuid, ...PictureScaleSchema.entries })),
  /** Where it comes from and what was done to it, in words: file, day, corners before and after. */
  origin: Line,
})
export type OutlineNote = Held<typeof OutlineNoteSchema>

/** One piece of a lawn as it was written down. */
const LawnPartSchema = v.strictObject({
  id: Uuid,
  sign: v.picklist(['add', 'subtract']),
  shape: v.picklist([...METHOD_NAMES, 'known', 'outline']),
  lengths: v.strictObject(entriesOf(READING_NAMES, () => v.optional(Span))),
  angle: v.optional(enteredOf(['°'])),
  list: v.optional(some(Span, 120)),
  /**
   * The rule it is worked by; absent: the method's first; blank: the same, but asked where readings can't
   * tell it.
   */
  rule: v.optional(v.picklist(MEASURING_RULES)),
  outline: v.optional(OutlineNoteSchema),
  size: enteredOf(AREA_UNITS),
  /** Give or take of a known size, as whoever gave it says; blank or absent: nobody said. */
  give: v.optional(Share),
  /** Measured with something else than the rest. */
  with: v.optional(MeasuredWithSchema),
  /** Where it is shown on the plan when only its dimensions are known. */
  place: v.optional(
    v.strictObject({
      x: Coordinate,
      y: Coordinate,
      turn: v.pipe(v.number(), v.minValue(-360), v.maxValue(360)),
    }),
  ),
  /** What is taken away, in words: bed, house, seeded patch. */
  what: v.optional(Line),
  /** Last day, YYYY-MM-DD, on which it is taken away; blank or absent for good. */
  until: v.optional(BlankOrDay),
})
export type LawnPart = Held<typeof LawnPartSchema>

/** How a piece of ground was measured, kept as written so that it can be checked and computed again. */
export const FieldNotesSchema = v.strictObject({
  ...MeasuredWithSchema.entries,
  parts: v.pipe(v.array(LawnPartSchema), v.minLength(1), v.maxLength(60)),
  /** Per cent; when given, the sloped surface is what is dosed. */
  slope: v.optional(Share),
})
export type FieldNotes = Held<typeof FieldNotesSchema>

const GrassShareSchema = v.strictObject({
  id: Uuid,
  species: v.picklist(GRASS_NAMES),
  share: Share,
  cultivar: Line,
})
export type GrassShare = Held<typeof GrassShareSchema>

const WeekDay = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(6))
const Seed = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4_294_967_295))

/** An area of a site as written down: how it was measured and what grows there (trade.md 2). */
export const AreaDocumentSchema = held(
  v.strictObject({
    schema: v.literal(1),
    ...FieldNotesSchema.entries,
    slope: Share,
    use: v.picklist(AREA_USES),
    grass: some(GrassShareSchema, 8),
    /** YYYY-MM-DD or blank, as are the days below. */
    established: BlankOrDay,
    overseeding: BlankOrDay,
    /** What is to be sown then, where that is settled. */
    overseedWith: v.optional(GrassesSchema),
    cover: Share,
    cut: Length,
    thatch: Length,
    clippings: v.picklist(CLIPPINGS),
    sun: v.picklist(SUNS),
    irrigation: v.strictObject({
      kind: v.picklist(['none', 'zone']),
      zone: Line,
      /** Depth that falls in an hour, as caught. */
      output: Length,
    }),
    soil: Notes,
    /** Days of the week on which it is mown, 0 Sunday. */
    mownOn: v.optional(some(WeekDay, 7)),
    priority: v.picklist(PRIORITIES),
    notes: Notes,
    /** The last soil test: N is never on it. Words as the laboratory gives them. */
    soilTest: v.optional(
      v.strictObject({
        on: BlankOrDay,
        ph: Line,
        p: v.picklist(SOIL_LEVELS),
        k: v.picklist(SOIL_LEVELS),
        organic: Share,
      }),
    ),
    /** Diseases seen here, the same spot year after year. */
    diseases: v.optional(
      some(v.strictObject({ id: Uuid, name: Line, seat: v.picklist(DISEASE_SEATS), on: BlankOrDay }), 30),
    ),
    /** Random places for soil samples: the same number gives the same places. */
    samples: v.optional(v.strictObject({ count: Line, seed: Seed })),
  }),
)
export type AreaDocument = v.InferOutput<typeof AreaDocumentSchema>
