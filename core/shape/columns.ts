import { figureCell, figureIn } from '../quantity/cells'
import type { Entered } from '../quantity/entered'
import type { FigureField } from '../quantity/figureField'
import { valueAt, withValue } from './paths'

/** Says what is wrong with a cell. */
type Say = (message: string) => void

/** What a cell holds, and how it is written. */
interface Cell {
  readonly write: (value: unknown) => string
  /** Of a cell that is not blank; what is wrong is said. @param blank what stands there unsaid */
  readonly read: (text: string, say: Say, newId: () => string, blank: unknown) => unknown
}

/** A column of a table of documents: its head, and the dotted path of what its cells hold. */
export interface Column extends Cell {
  readonly head: string
  readonly path: string
}

/** Something a table says that can't be taken, with its line of the file (the heads are line 1). */
export interface RowProblem {
  readonly line: number
  readonly column: string
  readonly message: string
}

export type Row = Readonly<Partial<Record<string, string>>>

/** A row of a file: its cells without blanks around them, and where it stands. */
export interface RowAt {
  readonly at: (head: string) => string
  readonly line: number
}

const text: Cell = { write: (value) => String(value ?? ''), read: (typed) => typed }
const figure = ({ kind, unit }: FigureField): Cell => ({
  write: (value) => figureCell(value as Entered | undefined),
  read: (typed, say, _, blank) =>
    figureIn(typed, kind, (blank as Entered<typeof unit> | undefined)?.unit ?? unit, say),
})
const choice = (values: readonly string[]): Cell => ({
  write: text.write,
  read: (typed, say, _, blank) => known(typed, values, say) ?? blank,
})

/** One of a column's words. */
function known(typed: string, values: readonly string[], say: Say): string | undefined {
  if (values.includes(typed)) return typed
  say(`“${typed}” is not known here: one of ${values.filter(Boolean).join(', ')}.`)
  return undefined
}

/** Things in one cell are parted by ;. */
const thingsIn = (typed: string): readonly string[] =>
  typed
    .split(';')
    .map((one) => one.trim())
    .filter(Boolean)

const several = (cell: Cell): Cell => ({
  write: (value) => ((value ?? []) as readonly unknown[]).map(cell.write).join('; '),
  read: (typed, say, newId) => thingsIn(typed).flatMap((one) => cell.read(one, say, newId, undefined) ?? []),
})

/** A thing of several parts, parted by |; it gets an id of its own. */
const thing = (parts: Readonly<Record<string, Cell>>): Cell => ({
  write: (value) =>
    Object.entries(parts)
      .map(([name, cell]) => cell.write(valueAt(value, name)))
      .join(' | '),
  read: (typed, say, newId) => {
    const cells = typed.split('|').map((part) => part.trim())
    if (!cells[0]) return undefined
    return Object.entries(parts).reduce<object>(
      (made, [name, cell], place) => ({
        ...made,
        [name]: cell.read(cells[place] ?? '', say, newId, undefined),
      }),
      { id: newId() },
    )
  },
})

/** The kinds of cells there are. */
export const CELLS = {
  text,
  figure,
  choice,
  figures: (field: FigureField) => several(figure(field)),
  words: (values: readonly string[]) => several(choice(values)),
  things: (parts: Readonly<Record<string, Cell>>) => several(thing(parts)),
} as const

/** A column whose path is its head, unless it is told. */
export const column = (head: string, cell: Cell = text, path = head): Column => ({ head, path, ...cell })

/** A document as cells. */
export const rowOf = (columns: readonly Column[], document: unknown): Record<string, string> =>
  Object.fromEntries(columns.map(({ head, path, write }) => [head, write(valueAt(document, path))]))

/**
 * A document of the cells of a row; blank cells leave what the blank document says.
 * @param parts what a part of the document that is absent in the blank one begins with, by its path
 */
export function documentOf<T>(
  columns: readonly Column[],
  row: RowAt,
  blank: T,
  parts: Readonly<Record<string, object>>,
  newId: () => string,
  problems: RowProblem[],
): T {
  return columns.reduce((document, { head, path, read }) => {
    const typed = row.at(head)
    if (typed === '') return document
    const say: Say = (message) => problems.push({ line: row.line, column: head, message })
    const parent = path.slice(0, Math.max(0, path.lastIndexOf('.')))
    const part = parts[parent]
    const lacks = part && valueAt(document, parent) === undefined
    const ready = lacks ? withValue(document, parent, part) : document
    return withValue(ready, path, read(typed, say, newId, valueAt(ready, path)))
  }, blank)
}

/** Rows of a file that tell of one thing follow each other. @param goesOn whether a row is of the last one */
export function groupedRows(
  rows: readonly Row[],
  goesOn: (row: RowAt, first: RowAt) => boolean,
  headOf: (head: string) => string = (head) => head,
  firstLine = 2,
): readonly (readonly [RowAt, ...RowAt[]])[] {
  const groups: [RowAt, ...RowAt[]][] = []
  rows.forEach((row, place) => {
    const cells = new Map(Object.entries(row).map(([head, cell = '']) => [headOf(head), cell.trim()]))
    const own: RowAt = { at: (head) => cells.get(head) ?? '', line: firstLine + place }
    const last = groups.at(-1)
    if (last && goesOn(own, last[0])) last.push(own)
    else groups.push([own])
  })
  return groups
}
