import * as v from 'valibot'
import { LENGTH_UNITS, SPAN_UNITS } from '../quantity/units'
import { enteredOf } from '../shape/figures'
import type { Held } from '../shape/held'
import { BlankOrDay, Uuid } from '../shape/texts'

/** Runs of a stride or a wheel over a taped length. */
export const TapedCourseSchema = v.strictObject({
  distance: enteredOf(LENGTH_UNITS),
  /** YYYY-MM-DD or blank. */
  on: BlankOrDay,
  runs: v.pipe(v.array(v.strictObject({ id: Uuid, read: enteredOf(SPAN_UNITS) })), v.maxLength(20)),
})
export type TapedCourse = Held<typeof TapedCourseSchema>
