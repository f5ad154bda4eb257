import * as v from 'valibot'
import {
  AMOUNT_UNITS,
  LENGTH_UNITS,
  PRESSURE_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  VOLUME_UNITS,
} from '../quantity/units'
import { enteredOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Line, Notes } from '../shape/texts'
import { BOOM_UNKNOWNS } from './solveBoom'
import { TRAVELS } from './trayPattern'

const Length = enteredOf(LENGTH_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Pressure = enteredOf(PRESSURE_UNITS)
const Stopwatch = enteredOf(STOPWATCH_UNITS)
const remarks = { schema: v.literal(1), on: BlankOrDay, by: Line, notes: Notes }
const some = <S extends v.GenericSchema>(schema: S, most: number) =>
  v.pipe(v.array(schema), v.minLength(1), v.maxLength(most))

/** Equal trays across the throw of a spreader: what each caught on all passes together, left to right. */
const PatternBenchTestSchema = v.strictObject({
  ...remarks,
  kind: v.literal('pattern'),
  product: Line,
  setting: Line,
  travel: v.picklist(TRAVELS),
  /** Largest CV that is still even enough. */
  limit: enteredOf(['%']),
  spacing: Length,
  tray: v.strictObject({ width: Length, length: Length }),
  passes: Line,
  catches: some(enteredOf(AMOUNT_UNITS), 61),
  /** Lane spacing in mind; blank: the effective swath. */
  lane: Length,
})
export type PatternBenchTest = Held<typeof PatternBenchTestSchema>

/**
 * Each nozzle of a sprayer caught for the same time, with the speed it is driven at and the carrier that is
 * wanted.
 */
const NozzleBenchTestSchema = v.strictObject({
  ...remarks,
  kind: v.literal('nozzles'),
  heldBy: Line,
  time: Stopwatch,
  catches: some(Volume, 60),
  spacing: Length,
  /** What a new one gives in a minute at this pressure. */
  rated: Volume,
  pressure: v.strictObject({ now: Pressure, low: Pressure, high: Pressure }),
  course: v.strictObject({ length: Length, times: some(Stopwatch, 20) }),
  /** Carrier wanted, in the tank's measure on 1,000 ft2 or 100 m2. */
  wanted: enteredOf(['gal/1000 ft2', 'L/100 m2']),
  /** What is to be found, and what is held instead of what was measured; absent: the speed. */
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
  /** Numbers of the nozzles whose check valve drips. */
  dripping: v.optional(Line),
})
export type NozzleBenchTest = Held<typeof NozzleBenchTestSchema>

export const BenchTestDocumentSchema = held(
  v.variant('kind', [PatternBenchTestSchema, NozzleBenchTestSchema]),
)
export type BenchTestDocument = v.InferOutput<typeof BenchTestDocumentSchema>
