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
  const [left, right] = [a as Readonly<Record<string, unknown>>, b as Readonly<Record<string, unknown>>]
  const at = (node: Readonly<Record<string, unknown>>, name: string) =>
    Object.hasOwn(node, name) ? node[name] : undefined
  // Asked at every key of much that is drawn: no lists are made of it.
  for (const name of Object.keys(left)) if (!sameContent(left[name], at(right, name))) return false
  return Object.keys(right).every((name) => right[name] === undefined || at(left, name) !== undefined)
}
