/**
 * Whether two plain values say the same, whatever the order of their keys (JSONB does not keep it).
 * A key that holds undefined is as good as absent.
 */
export function sameContent(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (
    typeof a !== 'object' ||
    typeof b !== 'object' ||
    a === null ||
    b === null ||
    Array.isArray(a) !== Array.isArray(b)
  )
    return false
  const [left, right] = [a, b].map((node) =>
    Object.entries(node).filter(([, value]) => value !== undefined),
  ) as [[string, unknown][], [string, unknown][]]
  if (left.length !== right.length) return false
  const other = new Map(right)
  return left.every(([name, value]) => other.has(name) && sameContent(value, other.get(name)))
}
