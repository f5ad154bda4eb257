import type { H3Event } from 'h3'
import { failure } from './failure'

export const LARGEST_BODY = 1_048_576
/** A body this far over the limit is not even drained: the connection goes. */
const LARGEST_DRAINED = 16 * LARGEST_BODY

/**
 * Reads a body as strict JSON, whatever its content type, counting bytes as they come (chunked bodies tell no length).
 * Fails with `too-large` before `invalid`. An oversized body is drained, so that the client hears the answer.
 */
export async function readJson(event: H3Event): Promise<unknown> {
  const text = await readText(event)
  try {
    return JSON.parse(text)
  }
  catch {
    throw failure('invalid', 'The body must be JSON.')
  }
}

async function readText(event: H3Event): Promise<string> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > LARGEST_DRAINED) break
    if (size <= LARGEST_BODY) chunks.push(chunk)
  }
  if (size > LARGEST_BODY) throw failure('too-large', `The body must be at most ${LARGEST_BODY} bytes.`)
  return new TextDecoder('utf-8').decode(Buffer.concat(chunks))
}
