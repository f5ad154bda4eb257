import { isError } from 'h3'
import type { LargeGround, WorkedGround } from '#core/ground/largeGround'
import { workOutGround } from '#core/ground/workOutGround'
import type { ErrorBody } from '#shared/errorCodes'
import { MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { answered } from '../http/computed'
import { jsonIn } from '../http/readJson'
import { typedAs } from '../http/readBody'
import { answerMeasure } from '../services/compute/measure'

/** What runs on a thread of its own, so that no outline holds up the requests of others. */

export const combine = (ground: LargeGround): WorkedGround => workOutGround(ground)

/** The body of a request read, measured and written; or why not. */
export function measure(
  body: Uint8Array,
): { readonly text: string } | { readonly refused: ErrorBody['error'] } {
  try {
    return { text: JSON.stringify(answered(answerMeasure(typedAs(MeasureRequestSchema, jsonIn(body))))) }
  } catch (error) {
    // An error loses its fields on the way between threads.
    if (isError<ErrorBody>(error) && error.data) return { refused: error.data.error }
    throw error
  }
}
