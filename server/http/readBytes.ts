import type { H3Event } from 'h3'
import { failure } from './failure'

/** A body this far over the limit is not even drained: the connection goes. */
const DRAINED = 16 * 1_048_576

/**
 * Reads a body up to a number of bytes, counted as they come (chunked bodies tell no length). An oversized
 * one is drained, so that the client hears the answer. Fails with `too-large`.
 */
export async function readBytes(event: H3Event, largest: number): Promise<Buffer> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > Math.max(DRAINED, 2 * largest)) break
    if (size <= largest) chunks.push(chunk)
  }
  if (size > largest) throw failure('too-large', `The body must be at most ${largest} bytes.`)
  return Buffer.concat(chunks)
}
