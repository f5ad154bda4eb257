import * as v from 'valibot'
import type { BenchTestDocument } from '#core/calibration/benchTest'
import { BOOM_UNKNOWNS } from '#core/calibration/solveBoom'
import { TRAVELS } from '#core/calibration/trayPattern'
import {
  AMOUNT_UNITS,
  LENGTH_UNITS,
  PRESSURE_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  VOLUME_UNITS,
} from '#core/quantity/units'
import { enteredOf } from './quantity'
import { BlankOrDay, Line, Notes, Uuid, Version } from './texts'

const Length = enteredOf(LENGTH_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Pressure = enteredOf(PRESSURE_UNITS)
const Stopwatch = enteredOf(STOPWATCH_UNITS)
const remarks = { schema: v.literal(1), on: BlankOrDay, by: Line, notes: Notes }
const some = <S extends v.GenericSchema>(schema: S, most: number) =>
  v.pipe(v.array(schema), v.minLength(1), v.maxLength(most))

export const BenchTestDocumentShape = v.variant('kind', [
  v.strictObject({
    ...remarks,
    kind: v.literal('pattern'),
    product: Line,
    setting: Line,
    travel: v.picklist(TRAVELS),
    limit: enteredOf(['%']),
    spacing: Length,
    tray: v.strictObject({ width: Length, length: Length }),
    passes: Line,
    catches: some(enteredOf(AMOUNT_UNITS), 61),
    lane: Length,
  }),
  v.strictObject({
    ...remarks,
    kind: v.literal('nozzles'),
    heldBy: Line,
    time: Stopwatch,
    catches: some(Volume, 60),
    spacing: Length,
    rated: Volume,
    pressure: v.strictObject({ now: Pressure, low: Pressure, high: Pressure }),
    course: v.strictObject({ length: Length, times: some(Stopwatch, 20) }),
    wanted: enteredOf(['gal/1000 ft2', 'L/100 m2']),
    ask: v.optional(
      v.strictObject({
        unknown: v.picklist(BOOM_UNKNOWNS),
        speed: enteredOf(SPEED_UNITS),
        spacing: Length,
        pressure: Pressure,
        gravity: Line,
      }),
    ),
    fan: v.optional(v.strictObject({ height: Length, angle: enteredOf(['°']) })),
    dripping: v.optional(Line),
  }),
])
const BenchTestDocumentSchema: v.GenericSchema<BenchTestDocument> = BenchTestDocumentShape

export const SaveBenchTestSchema = v.strictObject({
  version: Version,
  equipmentId: Uuid,
  document: BenchTestDocumentSchema,
})
export type SaveBenchTest = v.InferOutput<typeof SaveBenchTestSchema>

/** A tray test or a nozzle check as it is stored. */
export interface BenchTest extends SaveBenchTest {
  readonly id: string
  readonly updatedAt: string
}
