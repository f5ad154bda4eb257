import { MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { answered } from '../http/computed'
import { answeredOnThread } from '../http/computedOnThread'
import { jsonIn, LARGEST_BODY } from '../http/readJson'
import { typedAs } from '../http/readBody'
import { readBytes } from '../http/readBytes'
import { answerMeasure } from '../services/compute/measure'

/** A body of more bytes holds outlines of a thousand corners: even reading it would hold others up. */
const SMALL_BODY = 16_384

export default defineEventHandler(async (event) => {
  const bytes = await readBytes(event, LARGEST_BODY)
  if (bytes.length <= SMALL_BODY) return answered(answerMeasure(typedAs(MeasureRequestSchema, jsonIn(bytes))))
  return answeredOnThread(event, 'measure', bytes)
})
