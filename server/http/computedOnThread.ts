import type { EventHandler, H3Event } from 'h3'
import { onThread } from '../services/groundThread'
import { failure } from './failure'
import { LARGEST_BODY } from './readJson'
import { readBytes } from './readBytes'
import { requestSignal } from './requestSignal'

type ThreadTask = 'measure' | 'lanes' | 'coverage'

/** Has a body read, computed and written on a thread of its own, so that it holds no other request up. */
export async function answeredOnThread(event: H3Event, task: ThreadTask, bytes: Uint8Array): Promise<string> {
  const there = await onThread(task, bytes, requestSignal(event))
  if ('refused' in there) throw failure(there.refused.code, there.refused.issues)
  setResponseHeader(event, 'content-type', 'application/json')
  return there.text
}

/** A route that computes so long that every request of it has a thread. */
export const computedOnThread = (task: ThreadTask): EventHandler =>
  defineEventHandler(async (event) => answeredOnThread(event, task, await readBytes(event, LARGEST_BODY)))
