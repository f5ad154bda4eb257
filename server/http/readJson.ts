import type { H3Event } from 'h3'
import { failure } from './failure'
import { readBytes } from './readBytes'
import { unstorablePath } from './storable'

export const LARGEST_BODY = 1_048_576

/** Reads a body as strict JSON, whatever its content type. Fails with `too-large` before `invalid`. */
export const readJson = async (event: H3Event): Promise<unknown> =>
  jsonIn(await readBytes(event, LARGEST_BODY))

/** What bytes hold as strict JSON. Fails with `invalid`. */
export function jsonIn(bytes: Uint8Array): unknown {
  const text = decode(bytes)
  const body = parse(text)
  // Only an escape can bring in what is no text: without one nothing needs to be looked through.
  const path = ESCAPED.test(text) ? unstorablePath(body) : undefined
  if (path !== undefined)
    throw failure('invalid', [{ path, message: 'holds a character that cannot be kept: write it anew' }])
  return body
}

const ESCAPED = /\\u(?:0000|[dD][89a-fA-F])/
const strict = new TextDecoder('utf-8', { fatal: true })

function decode(bytes: Uint8Array): string {
  try {
    return strict.decode(bytes)
  } catch {
    throw failure('invalid', 'The body must be text in UTF-8.')
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw failure('invalid', 'The body must be JSON.')
  }
}
