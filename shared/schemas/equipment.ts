import * as v from 'valibot'
import {
  SPRAYER_TYPES,
  SPREADER_TYPES,
  TOOL_TYPES,
  type EquipmentDocument,
} from '#core/calibration/equipmentDocument'
import { DROP_SIZES } from '#core/calibration/dropSize'
import type { CalibrationDocument } from '#core/calibration/calibrationDocument'
import { SPRAY_METHODS, SPREAD_METHODS } from '#core/calibration/courseNote'
import {
  AMOUNT_UNITS,
  AREA_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  PRESSURE_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  VOLUME_UNITS,
} from '#core/quantity/units'
import { tapedCourse } from './ground'
import { enteredOf } from './quantity'
import { BlankOrDay, Instant, Line, Name, Notes, Uuid, Version } from './texts'

const Length = enteredOf(LENGTH_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Stopwatch = enteredOf(STOPWATCH_UNITS)

/** Drop-size classes as typed from a nozzle's own sheet. */
export const Drops = v.pipe(
  v.array(v.strictObject({ id: Uuid, pressure: enteredOf(PRESSURE_UNITS), size: v.picklist(DROP_SIZES) })),
  v.maxLength(20),
)

export const EquipmentDocumentShape = v.variant('kind', [
  v.strictObject({
    schema: v.literal(1),
    kind: v.literal('spreader'),
    type: v.picklist(SPREADER_TYPES),
    hopper: Mass,
    reserve: Mass,
    swath: Length,
    dial: v.strictObject({ low: Line, high: Line }),
    notes: Notes,
    cleaned: v.optional(v.union([v.literal(''), Instant])),
  }),
  v.strictObject({
    schema: v.literal(1),
    kind: v.literal('sprayer'),
    type: v.picklist(SPRAYER_TYPES),
    tank: Volume,
    fillTo: Volume,
    dead: Volume,
    agitate: Volume,
    nozzles: v.strictObject({
      count: Line,
      spacing: Length,
      what: Line,
      fitted: v.optional(BlankOrDay),
      drops: v.optional(Drops),
    }),
    notes: Notes,
    cleaned: v.optional(v.union([v.literal(''), Instant])),
  }),
  v.strictObject({
    schema: v.literal(1),
    kind: v.literal('tool'),
    type: v.picklist(TOOL_TYPES),
    step: enteredOf(AMOUNT_UNITS),
    capacity: enteredOf(AMOUNT_UNITS),
    tare: Mass,
    length: Length,
    factor: Line,
    course: v.optional(tapedCourse),
    notes: Notes,
  }),
])
const EquipmentDocumentSchema: v.GenericSchema<EquipmentDocument> = EquipmentDocumentShape

export const SaveEquipmentSchema = v.strictObject({
  version: Version,
  name: Name,
  document: EquipmentDocumentSchema,
})
export type SaveEquipment = v.InferOutput<typeof SaveEquipmentSchema>

export interface Equipment extends SaveEquipment {
  readonly id: string
  readonly updatedAt: string
}

const runs = <const E extends v.ObjectEntries>(entries: E) =>
  v.pipe(v.array(v.strictObject({ id: Uuid, ...entries })), v.minLength(1), v.maxLength(20))
const times = v.pipe(v.array(Stopwatch), v.minLength(1), v.maxLength(20))
const course = {
  on: BlankOrDay,
  length: Length,
  width: Length,
  speed: enteredOf(SPEED_UNITS),
  timed: v.optional(v.strictObject({ length: Length, times })),
}
const Ground = enteredOf(AREA_UNITS)

/** The two courses, as they stand in a calibration and, with what they were copied from, in a job. */
export const spreaderCourse = {
  ...course,
  by: v.optional(v.picklist(SPREAD_METHODS)),
  setting: Line,
  product: Line,
  ground: v.optional(Ground),
  passes: v.optional(Line),
  step: v.optional(Mass),
  runs: runs({ start: Mass, left: Mass, caught: v.optional(Mass), time: v.optional(Stopwatch) }),
}
export const sprayerCourse = {
  ...course,
  by: v.optional(v.picklist(SPRAY_METHODS)),
  pressure: v.optional(enteredOf(PRESSURE_UNITS)),
  nozzles: v.optional(Line),
  product: v.optional(Line),
  count: v.optional(Line),
  catching: v.optional(
    v.strictObject({ time: Stopwatch, catches: v.pipe(v.array(Volume), v.minLength(1), v.maxLength(60)) }),
  ),
  covered: v.optional(v.strictObject({ ground: Ground, time: Stopwatch })),
  ground: v.optional(Ground),
  step: v.optional(Volume),
  runs: runs({
    used: Volume,
    start: v.optional(Volume),
    left: v.optional(Volume),
    time: v.optional(Stopwatch),
  }),
}

const remarks = { schema: v.literal(1), heldBy: Line, by: Line, notes: Notes }
export const CalibrationDocumentShape = v.variant('kind', [
  v.strictObject({ ...remarks, kind: v.literal('spread'), course: v.strictObject(spreaderCourse) }),
  v.strictObject({ ...remarks, kind: v.literal('spray'), course: v.strictObject(sprayerCourse) }),
])
export const CalibrationDocumentSchema: v.GenericSchema<CalibrationDocument> = CalibrationDocumentShape

export const SaveCalibrationSchema = v.strictObject({
  version: Version,
  equipmentId: Uuid,
  document: CalibrationDocumentSchema,
})
export type SaveCalibration = v.InferOutput<typeof SaveCalibrationSchema>

/** A calibration as it is stored; what it comes to was computed by the server, null until it can be. */
export interface Calibration extends SaveCalibration {
  readonly id: string
  /** Kg or m3 on each m2 in one pass. */
  readonly perPass: number | null
  readonly updatedAt: string
}
