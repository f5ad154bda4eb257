import { MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { answered } from '../http/computed'
import { failure } from '../http/failure'
import { jsonIn, LARGEST_BODY } from '../http/readJson'
import { typedAs } from '../http/readBody'
import { readBytes } from '../http/readBytes'
import { requestSignal } from '../http/requestSignal'
import { answerMeasure } from '../services/compute/measure'
import { onThread } from '../services/groundThread'

/** A body of more bytes holds outlines of a thousand corners: even reading it would hold others up. */
const SMALL_BODY = 16_384

export default defineEventHandler(async (event) => {
  const bytes = await readBytes(event, LARGEST_BODY)
  if (bytes.length <= SMALL_BODY) return answered(answerMeasure(typedAs(MeasureRequestSchema, jsonIn(bytes))))
  const there = await onThread('measure', bytes, requestSignal(event))
  if ('refused' in there) throw failure(there.refused.code, there.refused.issues)
  setResponseHeader(event, 'content-type', 'application/json')
  return there.text
})
