import * as v from 'valibot'
import { TapedCourseSchema } from '../ground/tapedCourse'
import { AMOUNT_UNITS, LENGTH_UNITS, MASS_UNITS, PRESSURE_UNITS, VOLUME_UNITS } from '../quantity/units'
import { enteredOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Instant, Line, Notes, Uuid } from '../shape/texts'
import { DROP_SIZES } from './dropSize'
import { SPRAYER_TYPES, SPREADER_TYPES, TOOL_TYPES } from './equipmentKinds'

const Length = enteredOf(LENGTH_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Amount = enteredOf(AMOUNT_UNITS)
/** When it was last cleaned out, ISO instant. */
const Cleaned = v.optional(v.union([v.literal(''), Instant]))

/** Drop-size classes as typed from the nozzles' own sheet. */
export const DropsSchema = v.pipe(
  v.array(v.strictObject({ id: Uuid, pressure: enteredOf(PRESSURE_UNITS), size: v.picklist(DROP_SIZES) })),
  v.maxLength(20),
)

const SpreaderDocumentSchema = v.strictObject({
  schema: v.literal(1),
  kind: v.literal('spreader'),
  type: v.picklist(SPREADER_TYPES),
  hopper: Mass,
  /** What is charged beyond the need: the last of the hopper spreads badly. */
  reserve: Mass,
  swath: Length,
  dial: v.strictObject({ low: Line, high: Line }),
  notes: Notes,
  cleaned: Cleaned,
})
export type SpreaderDocument = Held<typeof SpreaderDocumentSchema>

const SprayerDocumentSchema = v.strictObject({
  schema: v.literal(1),
  kind: v.literal('sprayer'),
  type: v.picklist(SPRAYER_TYPES),
  tank: Volume,
  /** Mark to which it is really filled; blank means the whole tank. */
  fillTo: Volume,
  /** What never leaves hose and boom. */
  dead: Volume,
  /** Least volume the pump agitates. */
  agitate: Volume,
  nozzles: v.strictObject({
    count: Line,
    spacing: Length,
    what: Line,
    /** The day this set was put on: calibrations made before it no longer hold. */
    fitted: v.optional(BlankOrDay),
    drops: v.optional(DropsSchema),
  }),
  notes: Notes,
  cleaned: Cleaned,
})
export type SprayerDocument = Held<typeof SprayerDocumentSchema>

const ToolDocumentSchema = v.strictObject({
  schema: v.literal(1),
  kind: v.literal('tool'),
  type: v.picklist(TOOL_TYPES),
  /** Smallest step that can be read: 0.1 g, 5 mL. */
  step: Amount,
  capacity: Amount,
  tare: Mass,
  /** A stride, or the length one turn of a wheel really covers. */
  length: Length,
  /** True over shown; 1 for a tool that reads right. */
  factor: Line,
  /** Runs over a taped length, for a stride or a wheel. */
  course: v.optional(TapedCourseSchema),
  notes: Notes,
})
export type ToolDocument = Held<typeof ToolDocumentSchema>

export const EquipmentDocumentSchema = held(
  v.variant('kind', [SpreaderDocumentSchema, SprayerDocumentSchema, ToolDocumentSchema]),
)
export type EquipmentDocument = v.InferOutput<typeof EquipmentDocumentSchema>
