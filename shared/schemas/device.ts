import * as v from 'valibot'
import type { PracticeAct } from '#core/practice/practiceMachine'

const Some = (most: number) => v.pipe(v.number(), v.gtValue(0), v.maxValue(most))
const Setting = v.pipe(v.number(), v.minValue(0), v.maxValue(1000))
const Nozzle = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60))
const Pressure = Some(2e6)

/** What was done with the practice machines so far; SI, within what a bench can hold. */
export const PracticeActsShape = v.pipe(
  v.array(
    v.variant('act', [
      v.strictObject({
        act: v.literal('charge'),
        amount: v.pipe(v.number(), v.minValue(0), v.maxValue(1000)),
      }),
      v.strictObject({ act: v.literal('spread'), setting: Setting, length: Some(10_000), speed: Some(20) }),
      v.strictObject({ act: v.literal('catch'), setting: Setting, time: Some(3600) }),
      v.strictObject({
        act: v.literal('spray'),
        length: Some(10_000),
        speed: Some(20),
        nozzles: Nozzle,
        pressure: Pressure,
      }),
      v.strictObject({ act: v.literal('jug'), nozzle: Nozzle, time: Some(3600), pressure: Pressure }),
      v.strictObject({ act: v.literal('walk'), length: Some(10_000), speed: Some(20) }),
    ]),
  ),
  v.maxLength(200),
)
export const PracticeActsSchema: v.GenericSchema<readonly PracticeAct[]> = PracticeActsShape

export interface Device {
  readonly id: string
  readonly name: string
  readonly measures: 'weight' | 'volume' | 'distance'
}
