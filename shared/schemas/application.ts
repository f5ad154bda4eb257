import * as v from 'valibot'
import { TURF_STATES } from '#core/ground/turfStates'
import {
  AIM_CHOICES,
  FATES,
  HEADER_CHOICES,
  SPLITS,
  TREATED,
  type ApplicationDraft,
} from '#core/draft/applicationDraft'
import { COMPASS_POINTS } from '#core/ground/compass'
import { FORMS, RATE_BASES } from '#core/label/label'
import { LOAD_STYLES } from '#core/plan/planRequest'
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
} from '#core/quantity/units'
import { Drops, spreaderCourse, sprayerCourse } from './equipment'
import { fieldNotes, Share } from './ground'
import { Measures, MixPh } from './product'
import { enteredOf } from './quantity'
import { BlankOrDay, Line, SourceSchema, Uuid } from './texts'

const Rate = enteredOf(RATE_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Speed = enteredOf(SPEED_UNITS)
const Time = enteredOf(TIME_UNITS)
const Temperature = enteredOf(TEMPERATURE_UNITS)
const source = v.optional(SourceSchema)
const Compass = v.picklist(['', ...COMPASS_POINTS])
const Coordinate = v.pipe(v.number(), v.minValue(-1e6), v.maxValue(1e6))
const PlanPlace = v.tuple([Coordinate, Coordinate])

const Lanes = v.strictObject({
  apart: enteredOf(LENGTH_UNITS),
  headers: v.picklist(HEADER_CHOICES),
  shutSide: v.picklist(['', 'left', 'right']),
  aim: v.picklist(AIM_CHOICES),
  downhill: Compass,
  turn: enteredOf(STOPWATCH_UNITS),
  truck: v.optional(PlanPlace),
  buffer: enteredOf(LENGTH_UNITS),
  bedBuffer: v.optional(enteredOf(LENGTH_UNITS)),
  windFrom: Compass,
  wind: Speed,
  lawns: v.pipe(
    v.array(v.strictObject({ id: Uuid, direction: Line, start: v.optional(PlanPlace) })),
    v.maxLength(100),
  ),
})

const Lawn = v.strictObject({
  id: Uuid,
  name: Line,
  treated: v.picklist(TREATED),
  ...fieldNotes,
  source,
  own: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          product: Uuid,
          rate: Rate,
          line: v.optional(Uuid),
          low: v.optional(Rate),
          high: v.optional(Rate),
          most: v.optional(Rate),
        }),
      ),
      v.maxLength(20),
    ),
  ),
})

const Product = v.strictObject({
  id: Uuid,
  name: Line,
  registration: Line,
  form: v.picklist(FORMS),
  rate: Rate,
  basis: v.picklist(RATE_BASES),
  low: Rate,
  high: Rate,
  most: Rate,
  limitBasis: v.optional(v.picklist(RATE_BASES)),
  density: enteredOf(DENSITY_UNITS),
  analysis: v.strictObject({ n: Share, p2o5: Share, k2o: Share, fe: Share, slowN: Share }),
  active: v.strictObject({ name: Line, content: enteredOf(CONTENT_UNITS), group: v.optional(Line) }),
  step: enteredOf(AMOUNT_UNITS),
  reentry: v.optional(Time),
  repeat: v.optional(Time),
  lasts: v.optional(Time),
  source: v.optional(v.strictObject({ ...SourceSchema.entries, line: Uuid })),
  split: v.optional(v.picklist(SPLITS)),
  ph: v.optional(MixPh),
  measures: v.optional(Measures),
})

/**
 * An application as entered. Version 2 added what its pieces were copied from, dated exclusions and slope,
 * all optional: version 1 reads as it stands.
 */
export const ApplicationDraftShape = v.strictObject({
  schema: v.picklist([1, 2]),
  lawns: v.pipe(v.array(Lawn), v.minLength(1), v.maxLength(100)),
  products: v.pipe(v.array(Product), v.minLength(1), v.maxLength(20)),
  method: v.picklist(['spread', 'spray']),
  spread: v.strictObject({
    equipment: Line,
    passes: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
    reserve: Mass,
    speedToday: Speed,
    dial: v.optional(Line),
    until: v.optional(v.picklist(['', 'out'])),
    calibration: v.strictObject({ ...spreaderCourse, source }),
    source,
  }),
  spray: v.strictObject({
    equipment: Line,
    tank: Volume,
    loads: v.picklist(LOAD_STYLES),
    dead: Volume,
    agitate: Volume,
    speedToday: Speed,
    nozzles: v.optional(v.strictObject({ what: Line, fitted: BlankOrDay, drops: v.optional(Drops) })),
    shared: v.optional(v.picklist(['', 'day'])),
    calibration: v.strictObject({ ...sprayerCourse, source }),
    source,
  }),
  day: v.optional(v.strictObject({ turf: v.picklist(TURF_STATES), air: Temperature, soil: Temperature })),
  fate: v.optional(v.strictObject({ where: v.picklist(FATES), wait: Time, water: Line })),
  lanes: v.optional(Lanes),
})
export const ApplicationDraftSchema: v.GenericSchema<ApplicationDraft> = ApplicationDraftShape
