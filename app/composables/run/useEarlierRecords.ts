import type { RowProblem } from '#core/shape/columns'
import { earlierChunks, type EarlierChunk } from '#core/run/earlier/earlierChunks'
import {
  EARLIER_ROWS,
  type EarlierReading,
  type EarlierRows,
  type EarlierShown,
} from '#shared/schemas/earlier'

const LARGEST_BYTES = 20_000_000
const HEADS = ['product', 'used'] as const

/** A file of earlier records: read here, looked at by the server part by part, then taken in. */
export function useEarlierRecords() {
  const records = shallowRef<readonly EarlierShown[]>([])
  const problems = shallowRef<readonly RowProblem[]>([])
  const refused = ref('')
  const name = ref('')
  /** How many parts of the file are done, of how many; undefined where nothing is under way. */
  const progress = ref<{ readonly done: number; readonly all: number }>()
  let chunks: readonly EarlierChunk[] = []
  let stopped = false

  async function ask(chunk: EarlierChunk, take: EarlierRows['take']): Promise<EarlierReading> {
    return tell<EarlierReading>('POST', '/records/earlier', { ...chunk, take })
  }

  /** One part after the other, until all are done or somebody stops it. */
  async function each(take: EarlierRows['take'], got: (reading: EarlierReading) => void) {
    stopped = false
    refused.value = ''
    try {
      for (const [i, chunk] of chunks.entries()) {
        progress.value = { done: i, all: chunks.length }
        got(await ask(chunk, take))
        if (stopped) break
      }
    } catch (error) {
      refused.value = errorText(error)
    } finally {
      progress.value = undefined
    }
  }

  async function open(file: File) {
    drop()
    name.value = file.name
    if (file.size > LARGEST_BYTES) {
      refused.value = 'The file is over 20 MB: take fewer years at once.'
      return
    }
    const { default: Papa } = await import('papaparse')
    const { data, meta } = Papa.parse<Record<string, string>>((await file.text()).trim(), {
      header: true,
      skipEmptyLines: true,
      transformHeader: (head) => head.trim(),
    })
    const heads = (meta.fields ?? []).map((head) => head.toLowerCase())
    if (data.length === 0 || !HEADS.some((head) => heads.includes(head))) {
      refused.value =
        `${file.name} is no table of records: its first line must name the columns, ` +
        'product and used among them.'
      return
    }
    // What stands beyond the last head is no column.
    chunks = earlierChunks(
      data.map(({ __parsed_extra: _, ...row }) => row),
      EARLIER_ROWS,
    )
    await look()
  }

  async function look() {
    records.value = []
    problems.value = []
    await each('look', (reading) => {
      records.value = [...records.value, ...reading.records]
      problems.value = [...problems.value, ...reading.problems]
    })
  }

  /** @returns how many were taken in, of what was sent before it broke off or somebody stopped it */
  async function take(): Promise<number> {
    let added = 0
    await each('keep', (reading) => {
      added += reading.added
    })
    const why = refused.value
    await look()
    refused.value ||= why
    return added
  }

  function drop() {
    stopped = true
    chunks = []
    records.value = []
    problems.value = []
    refused.value = ''
    name.value = ''
  }
  const stop = () => {
    stopped = true
  }
  return { records, problems, refused, name, progress, open, take, drop, stop }
}
