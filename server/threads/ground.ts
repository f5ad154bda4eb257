import { isError } from 'h3'
import type * as v from 'valibot'
import type { ComputeIssue } from '#core/computeIssue'
import type { LargeGround, WorkedGround } from '#core/ground/largeGround'
import { workOutGround } from '#core/ground/workOutGround'
import type { Result } from '#core/result'
import type { ErrorBody } from '#shared/errorCodes'
import { CoverageRequestSchema, LanesRequestSchema } from '#shared/schemas/compute/lanes'
import { MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { answered } from '../http/computed'
import { jsonIn } from '../http/readJson'
import { typedAs } from '../http/readBody'
import { answerCoverage, answerLanes } from '../services/compute/lanes'
import { answerMeasure } from '../services/compute/measure'

/** What runs on a thread of its own, so that no outline holds up the requests of others. */

export const combine = (ground: LargeGround): WorkedGround => workOutGround(ground)

/** The body of a request read, answered and written; or why not. */
type Told = { readonly text: string } | { readonly refused: ErrorBody['error'] }

function told<S extends v.GenericSchema>(
  body: Uint8Array,
  schema: S,
  answer: (request: v.InferOutput<S>) => Result<unknown, readonly ComputeIssue[]>,
): Told {
  try {
    return { text: JSON.stringify(answered(answer(typedAs(schema, jsonIn(body))))) }
  } catch (error) {
    // An error loses its fields on the way between threads.
    if (isError<ErrorBody>(error) && error.data) return { refused: error.data.error }
    throw error
  }
}

export const measure = (body: Uint8Array): Told => told(body, MeasureRequestSchema, answerMeasure)
export const lanes = (body: Uint8Array): Told => told(body, LanesRequestSchema, answerLanes)
export const coverage = (body: Uint8Array): Told => told(body, CoverageRequestSchema, answerCoverage)
