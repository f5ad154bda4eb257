import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { PROJECT } from '../scripts/setup/paths.mjs'

const FILE = join(PROJECT, 'docs', 'bench.json')
type Figures = Readonly<Record<string, unknown>>

/** What was measured, by its name. */
export const figures = (): Figures => JSON.parse(readFileSync(FILE, 'utf8')) as Figures

/** Writes what one script measured beside what the others did. */
export function keepFigures(measured: Figures): void {
  writeFileSync(FILE, `${JSON.stringify({ ...figures(), ...measured }, null, 2)}\n`)
}
