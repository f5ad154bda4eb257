type Node = Readonly<Record<string, unknown>>

/** What stands at a dotted path of a document; undefined where nothing does. */
export const valueAt = (node: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((at, name) => (at as Node | undefined)?.[name], node)

/**
 * A copy of a document with one field changed, everything else shared.
 * @param path dotted; blank replaces the whole
 */
export function withValue<T>(node: T, path: string, value: unknown): T {
  const [head, ...rest] = path.split('.')
  if (head === undefined || head === '') return value as T
  const next = rest.length === 0 ? value : withValue((node as Node)?.[head], rest.join('.'), value)
  if (Array.isArray(node)) return node.map((item, index) => (String(index) === head ? next : item)) as T
  return { ...node, [head]: next }
}
