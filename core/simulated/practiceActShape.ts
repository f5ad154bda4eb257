import * as v from 'valibot'
import { held, type Held } from '../shape/held'

const Some = (most: number) => v.pipe(v.number(), v.gtValue(0), v.maxValue(most))
const Setting = v.pipe(v.number(), v.minValue(0), v.maxValue(1000))
const Nozzle = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60))
const Length = Some(10_000)
const Speed = Some(20)
const Time = Some(3600)
const Pressure = Some(2e6)

/** What somebody did with a practice machine, in order; SI, within what a bench can hold. */
const PracticeActSchema = v.variant('act', [
  v.strictObject({ act: v.literal('charge'), amount: v.pipe(v.number(), v.minValue(0), v.maxValue(1000)) }),
  v.strictObject({ act: v.literal('spread'), setting: Setting, length: Length, speed: Speed }),
  v.strictObject({ act: v.literal('catch'), setting: Setting, time: Time }),
  v.strictObject({
    act: v.literal('spray'),
    length: Length,
    speed: Speed,
    nozzles: Nozzle,
    pressure: Pressure,
  }),
  v.strictObject({ act: v.literal('jug'), nozzle: Nozzle, time: Time, pressure: Pressure }),
  v.strictObject({ act: v.literal('walk'), length: Length, speed: Speed }),
])
export type PracticeAct = Held<typeof PracticeActSchema>
export const PracticeActsSchema = held(v.pipe(v.array(PracticeActSchema), v.maxLength(200)))
