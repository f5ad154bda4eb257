interface Failed {
  readonly code?: unknown
  readonly original?: Failed
  readonly parent?: Failed
  readonly cause?: Failed
}

/** PostgreSQL's or the socket's own code of a failure, wherever the layers above have put it. */
export function databaseCode(error: unknown): string | undefined {
  const seen = new Set<unknown>()
  for (let one = error as Failed | undefined; one && typeof one === 'object' && !seen.has(one);) {
    seen.add(one)
    if (typeof one.code === 'string') return one.code
    one = one.original ?? one.parent ?? one.cause
  }
  return undefined
}
