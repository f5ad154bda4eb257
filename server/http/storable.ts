/** Whether the database can keep a text to the letter: no NUL, no half of a surrogate pair. */
export const isStorable = (text: string): boolean => !text.includes('\0') && text.isWellFormed()

/** Where in a body the first text stands that could not be kept; undefined where all can. */
export function unstorablePath(body: unknown, path = ''): string | undefined {
  if (typeof body === 'string') return isStorable(body) ? undefined : path
  if (typeof body !== 'object' || body === null) return undefined
  for (const [name, value] of Object.entries(body)) {
    if (!isStorable(name)) return path
    const found = unstorablePath(value, path === '' ? name : `${path}.${name}`)
    if (found !== undefined) return found
  }
  return undefined
}
