import Papa from 'papaparse'

/** What a spreadsheet would run as a formula, whatever follows it in the cell, line breaks too. */
const FORMULA = /^\s*[=+\-@\t\r]/

interface Shape {
  readonly columns?: readonly string[]
  /** Lines that go on from a heading written before. */
  readonly heading?: 'written' | 'none'
}

/** Rows as CSV; a cell that a spreadsheet would run as a formula is written as text. */
export const csvOf = (rows: readonly object[], { columns, heading = 'written' }: Shape = {}): string =>
  `${Papa.unparse([...rows], {
    header: heading === 'written',
    escapeFormulae: FORMULA,
    ...(columns && { columns: [...columns] }),
  })}\r\n`
