import type { Entered } from '#core/quantity/entered'

/** One place where two versions of the same thing say something else. */
export interface Difference {
  readonly path: string
  readonly mine: string
  readonly theirs: string
}

const isEntered = (node: unknown): node is Entered =>
  typeof node === 'object' && node !== null && 'text' in node && 'unit' in node

const said = (node: unknown): string => {
  if (node === undefined || node === null || node === '') return 'blank'
  if (isEntered(node)) return node.text === '' ? 'blank' : `${node.text} ${node.unit}`
  return typeof node === 'object' ? 'there' : String(node)
}

/**
 * Where two versions differ, down to the single field, in the order of mine. Ids, versions and stamps don't
 * count.
 */
export function differences(mine: unknown, theirs: unknown, path = ''): readonly Difference[] {
  if (Object.is(mine, theirs)) return []
  const whole = (node: unknown) => typeof node === 'object' && node !== null && !isEntered(node)
  if (!whole(mine) || !whole(theirs))
    return said(mine) === said(theirs) ? [] : [{ path, mine: said(mine), theirs: said(theirs) }]
  const [left, right] = [mine, theirs] as [Record<string, unknown>, Record<string, unknown>]
  return [...new Set([...Object.keys(left), ...Object.keys(right)])]
    .filter((name) => !SILENT.has(name))
    .flatMap((name) => differences(left[name], right[name], path === '' ? name : `${path}.${name}`))
}
const SILENT = new Set([
  'id',
  'version',
  'updatedAt',
  'source',
  'schema',
  'sizeM2',
  'sdM2',
  'perPass',
  'onHand',
])

/** A path in words: `document.lines.0.repeatFrom` is `lines 1, repeat from`. */
export const pathWords = (path: string): string =>
  path
    .replace(/^document\./, '')
    .replaceAll(/\.(\d+)/g, (_, index: string) => ` ${Number(index) + 1}`)
    .replaceAll('.', ', ')
    .replaceAll(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
