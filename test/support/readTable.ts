import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import Papa from 'papaparse'

/**
 * Rows of a CSV table that stands beside a test; each was worked out apart from the code, with its arithmetic
 * in words.
 * @param file name beside the test; @param base the test's import.meta.url
 */
export function readTable(file: string, base: string): readonly Record<string, string>[] {
  const text = readFileSync(fileURLToPath(new URL(file, base)), 'utf8')
  return Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true }).data
}

/** A cell that must hold a figure. */
export function figure(row: Record<string, string>, column: string): number {
  const value = Number(row[column])
  if (row[column] === undefined || row[column] === '' || Number.isNaN(value))
    throw new Error(`no figure in ${column} of ${JSON.stringify(row)}`)
  return value
}
