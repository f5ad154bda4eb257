import type { H3Event } from 'h3'
import { failure } from './failure'

/** A body this far over the limit is not even drained: the connection goes. */
const DRAINED = 16 * 1_048_576

/**
 * Reads a body up to a number of bytes, counted as they come (chunked bodies tell no length). An oversized
 * one is drained, so that the client hears the answer. Fails with `too-large`.
 * Listens by hand: iterating over the stream costs a request a third of its reading.
 */
export function readBytes(event: H3Event, largest: number): Promise<Buffer> {
  const { req } = event.node
  const chunks: Buffer[] = []
  let size = 0
  return new Promise((resolve, reject) => {
    const tooLarge = () => reject(failure('too-large', `The body must be at most ${largest} bytes.`))
    req.on('data', (chunk: Buffer) => {
      size += chunk.length
      if (size <= largest) chunks.push(chunk)
      if (size <= Math.max(DRAINED, 2 * largest)) return
      req.destroy()
      tooLarge()
    })
    req.on('end', () => {
      if (size > largest) return tooLarge()
      const [first] = chunks
      resolve(chunks.length === 1 && first ? first : Buffer.concat(chunks))
    })
    req.on('error', reject)
    req.on('close', () => {
      if (!req.complete) reject(failure('invalid', 'The body did not arrive whole.'))
    })
  })
}
