/**
 * A copy of a document with one field changed, everything else shared.
 * @param path dotted; blank replaces the whole
 */
export function withValue<T>(node: T, path: string, value: unknown): T {
  const [head, ...rest] = path.split('.')
  if (head === undefined || head === '') return value as T
  const next =
    rest.length === 0 ? value : withValue((node as Record<string, unknown>)[head], rest.join('.'), value)
  if (Array.isArray(node)) return node.map((item, index) => (String(index) === head ? next : item)) as T
  return { ...node, [head]: next }
}
