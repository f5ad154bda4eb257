import type { H3Event } from 'h3'
import { failure } from './failure'
import { readBytes } from './readBytes'

export const LARGEST_BODY = 1_048_576

/** Reads a body as strict JSON, whatever its content type. Fails with `too-large` before `invalid`. */
export async function readJson(event: H3Event): Promise<unknown> {
  const bytes = await readBytes(event, LARGEST_BODY)
  try {
    return JSON.parse(new TextDecoder('utf-8').decode(bytes))
  } catch {
    throw failure('invalid', 'The body must be JSON.')
  }
}
