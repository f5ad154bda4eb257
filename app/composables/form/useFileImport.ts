import * as v from 'valibot'

/** What a file holds, or why it is not taken; never a part of it. */
export interface FileRead<Item> {
  readonly items: readonly Item[]
  readonly problems: readonly string[]
}
/** How many were new and how many were stored under their id already. */
export interface Imported {
  readonly added: number
  readonly kept: number
}

export interface FileFormat<Item> {
  /** The column that no table of this kind is without. */
  readonly column: string
  readonly rows: (rows: readonly Readonly<Record<string, string>>[]) => {
    readonly items: readonly Item[]
    readonly problems: readonly { readonly line: number; readonly column: string; readonly message: string }[]
  }
  readonly json: (value: unknown) => FileRead<Item>
  /** Why these can't go here, though each can be read. */
  readonly refuse?: (items: readonly Item[]) => string | undefined
  readonly send: (items: readonly Item[]) => Promise<Imported>
}

const LARGEST_BYTES = 1_000_000
const SHOWN_PROBLEMS = 8

/** A file read on this device, shown, and taken in as a whole or not at all. */
export function useFileImport<Item>({ column, rows, json, refuse, send }: FileFormat<Item>) {
  const found = shallowRef<readonly Item[]>([])
  const problems = shallowRef<readonly string[]>([])
  const busy = ref(false)

  async function read(name: string, text: string): Promise<FileRead<Item>> {
    if (/^\s*\{/.test(text)) {
      try {
        return json(JSON.parse(text))
      } catch {
        return {
          items: [],
          problems: ['The file is not whole JSON: it was cut off or changed. Export it again.'],
        }
      }
    }
    // Fetched when a table is really opened: most visits never do.
    const { default: Papa } = await import('papaparse')
    const { data } = Papa.parse<Record<string, string>>(text.trim(), {
      header: true,
      skipEmptyLines: true,
      transformHeader: (head) => head.trim(),
    })
    if (data.length === 0 || !Object.hasOwn(data[0] ?? {}, column))
      return {
        items: [],
        problems: [
          `${name} is no such table: its first line must name the columns, ${column} among them. ` +
            'Export one to see how.',
        ],
      }
    const table = rows(data)
    return {
      items: table.items,
      problems: table.problems.map(
        (problem) => `Line ${problem.line}, ${problem.column}: ${problem.message}`,
      ),
    }
  }

  async function open(file: File) {
    found.value = []
    problems.value = []
    if (file.size > LARGEST_BYTES) {
      problems.value = ['The file is over 1 MB, far more than one holds. Is it the right one?']
      return
    }
    const answer = await read(file.name, await file.text())
    const refused = answer.items.length > 0 ? refuse?.(answer.items) : undefined
    if (refused) problems.value = [refused]
    else if (answer.problems.length > 0)
      problems.value = [
        ...answer.problems.slice(0, SHOWN_PROBLEMS),
        ...(answer.problems.length > SHOWN_PROBLEMS
          ? [`and ${answer.problems.length - SHOWN_PROBLEMS} more`]
          : []),
      ]
    else found.value = answer.items
  }

  async function take(): Promise<Imported | undefined> {
    busy.value = true
    try {
      const done = await send(found.value)
      found.value = []
      return done
    } catch (error) {
      problems.value = [errorText(error)]
      return undefined
    } finally {
      busy.value = false
    }
  }
  return {
    found,
    problems,
    busy,
    open,
    take,
    drop: () => {
      found.value = []
    },
  }
}

/** The items of a JSON file by its schema, or the places that do not fit. */
export function jsonItems<S extends v.GenericSchema, Item>(
  schema: S,
  value: unknown,
  items: (output: v.InferOutput<S>) => readonly Item[],
): FileRead<Item> {
  const read = v.safeParse(schema, value)
  if (read.success) return { items: items(read.output), problems: [] }
  return {
    items: [],
    problems: read.issues
      .slice(0, SHOWN_PROBLEMS)
      .map((issue) => `${v.getDotPath(issue) ?? 'the file'}: ${issue.message}`),
  }
}
