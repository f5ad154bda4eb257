import * as v from 'valibot'
import { INSTRUMENTS } from '#core/ground/netArea'
import { SHAPE_KINDS } from '#core/ground/shapes'
import type { ApplicationDocument } from '#core/jobsheet/document'
import { FORMS, RATE_BASES } from '#core/label/label'
import { LOAD_STYLES } from '#core/plan/planRequest'
import { AMOUNT_UNITS, AREA_UNITS, CONTENT_UNITS, DENSITY_UNITS, LENGTH_UNITS, MASS_UNITS, RATE_UNITS, SPEED_UNITS, VOLUME_UNITS } from '#core/quantity/units'
import { enteredOf } from './quantity'

export const Uuid = v.pipe(v.string(), v.uuid('must be a UUID'))
const Text = v.pipe(v.string(), v.maxLength(200, 'is too long'))
const Rate = enteredOf(RATE_UNITS)
const Length = enteredOf(LENGTH_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Speed = enteredOf(SPEED_UNITS)
const Share = enteredOf(['%'])

const Part = v.strictObject({
  id: Uuid,
  sign: v.picklist(['add', 'subtract']),
  shape: v.picklist([...SHAPE_KINDS, 'known']),
  lengths: v.strictObject({
    length: v.optional(Length), width: v.optional(Length), base: v.optional(Length), height: v.optional(Length),
    side: v.optional(Length), opposite: v.optional(Length), diameter: v.optional(Length),
  }),
  size: enteredOf(AREA_UNITS),
})

const Lawn = v.strictObject({
  id: Uuid, name: Text, treated: v.picklist(['yes', 'no']), instrument: v.picklist(INSTRUMENTS), parts: v.pipe(v.array(Part), v.minLength(1), v.maxLength(40)),
})

const Product = v.strictObject({
  id: Uuid, name: Text, registration: Text, form: v.picklist(FORMS), rate: Rate, basis: v.picklist(RATE_BASES), low: Rate, high: Rate, most: Rate,
  density: enteredOf(DENSITY_UNITS),
  analysis: v.strictObject({ n: Share, p2o5: Share, k2o: Share, fe: Share, slowN: Share }),
  active: v.strictObject({ name: Text, content: enteredOf(CONTENT_UNITS) }),
  step: enteredOf(AMOUNT_UNITS),
})

export const Day = v.pipe(v.string(), v.isoDate('must be a day, YYYY-MM-DD'), v.check((day) => new Date(`${day}T00:00:00Z`).toISOString().startsWith(day), 'no such day'))
const BlankOrDay = v.union([v.literal(''), Day])
const course = { on: BlankOrDay, length: Length, width: Length, speed: Speed }
const runs = <const E extends v.ObjectEntries>(entries: E) => v.pipe(v.array(v.strictObject({ id: Uuid, ...entries })), v.minLength(1), v.maxLength(20))

/** Version 1 of an application as entered; later versions join it in a variant, and every one ever written stays readable. */
export const ApplicationDocumentSchema: v.GenericSchema<ApplicationDocument> = v.strictObject({
  schema: v.literal(1),
  lawns: v.pipe(v.array(Lawn), v.minLength(1), v.maxLength(100)),
  products: v.pipe(v.array(Product), v.minLength(1), v.maxLength(20)),
  method: v.picklist(['spread', 'spray']),
  spread: v.strictObject({
    equipment: Text, passes: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)), reserve: Mass, speedToday: Speed,
    calibration: v.strictObject({ ...course, setting: Text, product: Text, runs: runs({ start: Mass, left: Mass }) }),
  }),
  spray: v.strictObject({
    equipment: Text, tank: Volume, loads: v.picklist(LOAD_STYLES), dead: Volume, agitate: Volume, speedToday: Speed,
    calibration: v.strictObject({ ...course, runs: runs({ used: Volume }) }),
  }),
}) as v.GenericSchema<ApplicationDocument>
