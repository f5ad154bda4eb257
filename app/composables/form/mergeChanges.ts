import { sameContent } from '#core/sameContent'

/** Both sides' changes in one, or nothing where they changed the same field to different values. */
export type Merged<T> =
  | { readonly ok: true; readonly value: T; readonly theirs: readonly string[] }
  | { readonly ok: false; readonly at: string }

/** Marks what one side does not have, where undefined is a value like any other. */
const ABSENT = Symbol('absent')

interface Merge {
  readonly value: unknown
  readonly theirs: readonly string[]
}
class Clash extends Error {
  constructor(readonly path: string) {
    super(path)
  }
}

/**
 * Merges two changes of the same thing, field by field.
 * @param base what both began with
 * @param mine what it is here
 * @param theirs what it is elsewhere
 * @returns the merged thing and the paths where theirs came in; or the first path that both changed
 */
export function mergeChanges<T>(base: T, mine: T, theirs: T): Merged<T> {
  try {
    const { value, theirs: from } = merge(base, mine, theirs, '')
    return { ok: true, value: value as T, theirs: from }
  } catch (error) {
    if (error instanceof Clash) return { ok: false, at: error.path }
    throw error
  }
}

function merge(base: unknown, mine: unknown, theirs: unknown, path: string): Merge {
  if (sameContent(mine, theirs) || sameContent(base, theirs)) return { value: mine, theirs: [] }
  const sides = [base, mine, theirs]
  if (sides.every(isRowList)) return mergeRows(base as Row[], mine as Row[], theirs as Row[], path)
  if (sides.every(isListOfOneLength))
    return mergeFields(base, mine, theirs, path, (fields) => [...fields.values()])
  if (sides.every(isPlain))
    return mergeFields(base, mine, theirs, path, (fields) => Object.fromEntries(fields))
  if (sameContent(base, mine)) return { value: theirs, theirs: [path] }
  throw new Clash(path)

  function isListOfOneLength(node: unknown) {
    return Array.isArray(node) && node.length === (base as readonly unknown[]).length
  }
}

interface Row {
  readonly id: string
}
const isRowList = (node: unknown): node is readonly Row[] =>
  Array.isArray(node) && node.every((row) => isPlain(row) && typeof row.id === 'string')

/** A figure and its unit belong together: half of each would be a third figure. */
const isPlain = (node: unknown): node is Readonly<Record<string, unknown>> =>
  typeof node === 'object' && node !== null && !Array.isArray(node) && !('text' in node && 'unit' in node)

function mergeFields(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: string,
  gather: (fields: ReadonlyMap<string, unknown>) => unknown,
): Merge {
  const [was, here, there] = [base, mine, theirs] as Readonly<Record<string, unknown>>[]
  const names = new Set([here, there].flatMap((side) => Object.keys(side ?? {})))
  const merged = [...names].map((name) => {
    const [a, b, c] = [was, here, there].map((side) =>
      side && Object.hasOwn(side, name) ? side[name] : undefined,
    )
    return [name, merge(a, b, c, joined(path, name))] as const
  })
  return {
    value: gather(
      new Map(merged.flatMap(([name, { value }]) => (value === undefined ? [] : [[name, value] as const]))),
    ),
    theirs: merged.flatMap(([, { theirs: from }]) => from),
  }
}

/** Rows are known by their id: one side's new row and the other's change of an old one both stay. */
function mergeRows(base: readonly Row[], mine: readonly Row[], theirs: readonly Row[], path: string): Merge {
  const find = (rows: readonly Row[], id: string) => rows.find((row) => row.id === id) ?? ABSENT
  const ids = [...new Set([...mine, ...theirs].map(({ id }) => id))]
  const merged = ids.map((id) =>
    mergeRow(find(base, id), find(mine, id), find(theirs, id), joined(path, String(ids.indexOf(id)))),
  )
  return {
    value: merged.flatMap(({ value }) => (value === ABSENT ? [] : [value])),
    theirs: merged.flatMap(({ theirs: from }) => from),
  }
}

function mergeRow(base: unknown, mine: unknown, theirs: unknown, path: string): Merge {
  if (mine !== ABSENT && theirs !== ABSENT) return merge(base, mine, theirs, path)
  if (mine === ABSENT && sameContent(base, theirs)) return { value: ABSENT, theirs: [] }
  if (theirs === ABSENT && sameContent(base, mine)) return { value: ABSENT, theirs: [path] }
  if (base === ABSENT)
    return mine === ABSENT ? { value: theirs, theirs: [path] } : { value: mine, theirs: [] }
  throw new Clash(path)
}

const joined = (path: string, name: string) => (path === '' ? name : `${path}.${name}`)
