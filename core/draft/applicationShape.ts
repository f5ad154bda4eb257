import * as v from 'valibot'
import { SprayerCourseSchema, SpreaderCourseSchema } from '../calibration/calibrationShape'
import { DropsSchema } from '../calibration/equipmentShape'
import { FieldNotesSchema, PlaceSchema } from '../ground/areaShape'
import { COMPASS_POINTS } from '../ground/compass'
import { TURF_STATES } from '../ground/turfStates'
import { FORMS, RATE_BASES } from '../label/label'
import { AnalysisSchema, MeasuresSchema, MixPhSchema } from '../label/productShape'
import { LOAD_STYLES } from '../plan/planRequest'
import {
  AMOUNT_UNITS,
  CONTENT_UNITS,
  DENSITY_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  RATE_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
  VOLUME_UNITS,
} from '../quantity/units'
import { enteredOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Line, SourceSchema, Uuid } from '../shape/texts'
import { AIM_CHOICES, FATES, HEADER_CHOICES, SPLITS, TREATED } from './applicationChoices'

const Rate = enteredOf(RATE_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Speed = enteredOf(SPEED_UNITS)
const Time = enteredOf(TIME_UNITS)
const Length = enteredOf(LENGTH_UNITS)
const Temperature = enteredOf(TEMPERATURE_UNITS)
/** What a piece of the document was copied from; the copy stands until somebody replans. */
const source = v.optional(SourceSchema)
const Compass = v.picklist(['', ...COMPASS_POINTS])
const some = <S extends v.GenericSchema>(schema: S, most: number) =>
  v.pipe(v.array(schema), v.maxLength(most))

const LawnLanesSchema = v.strictObject({
  id: Uuid,
  /** Degrees clockwise from north, as typed or dragged. */
  direction: Line,
  start: v.optional(PlaceSchema),
})
export type LawnLanesDraft = Held<typeof LawnLanesSchema>

/** Choices about lanes; blank: the tool's own. Places lie on the site's plan. */
const LanesSchema = v.strictObject({
  /** Lane spacing, where it is not the calibrated width. */
  apart: Length,
  /** Laps round edges and exclusions. */
  headers: v.picklist(HEADER_CHOICES),
  shutSide: v.picklist(['', 'left', 'right']),
  aim: v.picklist(AIM_CHOICES),
  /** Which way the slope falls, for lanes along its contour. */
  downhill: Compass,
  turn: enteredOf(STOPWATCH_UNITS),
  truck: v.optional(PlaceSchema),
  /** From open water, where it is not the label's. */
  buffer: Length,
  /** From planting; no label names one. */
  bedBuffer: v.optional(Length),
  windFrom: Compass,
  wind: Speed,
  lawns: some(LawnLanesSchema, 100),
})
export type LanesDraft = Held<typeof LanesSchema>

/** A rate of one lawn's own. */
const OwnRateSchema = v.strictObject({
  product: Uuid,
  rate: Rate,
  /**
   * The label's line it is printed on, and that line's limits; absent: the limits of the product's own line.
   */
  line: v.optional(Uuid),
  low: v.optional(Rate),
  high: v.optional(Rate),
  most: v.optional(Rate),
})
export type OwnRate = Held<typeof OwnRateSchema>

const AreaDraftSchema = v.strictObject({
  /** The saved area's own id where it came from one. */
  id: Uuid,
  name: Line,
  /** A check plot stays untreated on purpose, to show what the product did. */
  treated: v.picklist(TREATED),
  ...FieldNotesSchema.entries,
  source,
  own: v.optional(some(OwnRateSchema, 20)),
})
export type AreaDraft = Held<typeof AreaDraftSchema>

const ProductDraftSchema = v.strictObject({
  id: Uuid,
  name: Line,
  /** As written on the label; it goes on the record. */
  registration: Line,
  form: v.picklist(FORMS),
  rate: Rate,
  basis: v.picklist(RATE_BASES),
  low: Rate,
  high: Rate,
  most: Rate,
  /** What the label's limits count; absent: product. */
  limitBasis: v.optional(v.picklist(RATE_BASES)),
  density: enteredOf(DENSITY_UNITS),
  analysis: AnalysisSchema,
  /** `group` is the mode-of-action group as printed. */
  active: v.strictObject({ name: Line, content: enteredOf(CONTENT_UNITS), group: v.optional(Line) }),
  step: enteredOf(AMOUNT_UNITS),
  /** Nobody goes back before this; blank or absent: once dry. */
  reentry: v.optional(Time),
  /** The label's longest interval before a repeat. */
  repeat: v.optional(Time),
  /** How long it works by its label: what a day is covered to. */
  lasts: v.optional(Time),
  /** `line` is the label's rate line it was taken from. */
  source: v.optional(v.strictObject({ ...SourceSchema.entries, line: Uuid })),
  split: v.optional(v.picklist(SPLITS)),
  /** As on the label: pH of the finished mix, and household measures weighed once. */
  ph: v.optional(MixPhSchema),
  measures: v.optional(MeasuresSchema),
})
export type ProductDraft = Held<typeof ProductDraftSchema>

const SpreadDraftSchema = v.strictObject({
  equipment: Line,
  passes: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
  reserve: Mass,
  /** The speed walked today, if it is not the calibration's. */
  speedToday: Speed,
  /** Setting of the day where it is not the calibrated one: read off the spreader's curve. */
  dial: v.optional(Line),
  /** Repeated light passes: as many as the setting needs until the weighed amount is out. */
  until: v.optional(v.picklist(['', 'out'])),
  calibration: v.strictObject({ ...SpreaderCourseSchema.entries, source }),
  source,
})
export type SpreadDraft = Held<typeof SpreadDraftSchema>

const SprayDraftSchema = v.strictObject({
  equipment: Line,
  tank: Volume,
  loads: v.picklist(LOAD_STYLES),
  dead: Volume,
  agitate: Volume,
  speedToday: Speed,
  /** The nozzle set that was on when the job took the sprayer. */
  nozzles: v.optional(v.strictObject({ what: Line, fitted: BlankOrDay, drops: v.optional(DropsSchema) })),
  /** One mix with other applications of the day that are sprayed alike. */
  shared: v.optional(v.picklist(['', 'day'])),
  calibration: v.strictObject({ ...SprayerCourseSchema.entries, source }),
  source,
})
export type SprayDraft = Held<typeof SprayDraftSchema>

const ConditionsSchema = v.strictObject({
  turf: v.picklist(TURF_STATES),
  air: Temperature,
  soil: Temperature,
})
export type ConditionsDraft = Held<typeof ConditionsSchema>

const AftercareSchema = v.strictObject({
  where: v.picklist(FATES),
  /** Before the next application of the visit. */
  wait: Time,
  /** What waters it in, or which sprinkler run is cancelled. */
  water: Line,
})
export type AftercareDraft = Held<typeof AftercareSchema>

/**
 * One application as a person entered it: every field is the text typed and the unit it stood in, blank where
 * nothing was typed. This is what is saved; figures are computed from it again by whoever reads it. Version 2
 * added what its pieces were copied from, dated exclusions and slope, all optional: version 1 reads as it is.
 */
export const ApplicationDraftSchema = held(
  v.strictObject({
    schema: v.picklist([1, 2]),
    lawns: v.pipe(v.array(AreaDraftSchema), v.minLength(1), v.maxLength(100)),
    products: v.pipe(v.array(ProductDraftSchema), v.minLength(1), v.maxLength(20)),
    method: v.picklist(['spread', 'spray']),
    spread: SpreadDraftSchema,
    spray: SprayDraftSchema,
    /** What the turf and the weather are expected to be. */
    day: v.optional(ConditionsSchema),
    /** Where it belongs and what follows it. */
    fate: v.optional(AftercareSchema),
    /** What of its lanes was overruled by hand; absent: nothing. */
    lanes: v.optional(LanesSchema),
  }),
)
export type ApplicationDraft = v.InferOutput<typeof ApplicationDraftSchema>
