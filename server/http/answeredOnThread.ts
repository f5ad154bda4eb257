import { setResponseHeader, type H3Event } from 'h3'
import { onThread } from '../services/groundThread'
import { failure } from './failure'
import { requestSignal } from './requestSignal'

/** Has a body read, computed and written on a thread of its own, so that it holds no other request up. */
export async function answeredOnThread(
  event: H3Event,
  task: 'measure' | 'lanes' | 'coverage',
  bytes: Uint8Array,
): Promise<string> {
  const there = await onThread(task, bytes, requestSignal(event))
  if ('refused' in there) throw failure(there.refused.code, there.refused.issues)
  setResponseHeader(event, 'content-type', 'application/json')
  return there.text
}
