import type { Row } from '../../shape/columns'

/** Rows that are sent together, and the line of the file the first of them stands on. */
export interface EarlierChunk {
  readonly firstLine: number
  readonly rows: readonly Row[]
}

/** Cuts a long table where a record ends: rows of one record stay together. @param most rows, about */
export function earlierChunks(rows: readonly Row[], most: number): readonly EarlierChunk[] {
  const chunks: { firstLine: number; rows: Row[] }[] = []
  rows.forEach((row, i) => {
    const last = chunks.at(-1)
    const before = last?.rows.at(-1)
    const goesOn = before !== undefined && (row.record ?? '') !== '' && row.record === before.record
    if (last && (last.rows.length < most || (goesOn && last.rows.length < 2 * most))) last.rows.push(row)
    else chunks.push({ firstLine: i + 2, rows: [row] })
  })
  return chunks
}
