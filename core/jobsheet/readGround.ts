import { readFieldNotes, type MeasuredGround } from '../ground/readFieldNotes'
import { squareMetres, type SquareMetres } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { LawnNote } from './document'

/** A lawn of the document, measured as far as it can be. */
export interface SheetLawn extends MeasuredGround {
  readonly id: string
  readonly name: string
  readonly treated: 'yes' | 'no'
}

/** Reads and measures every lawn of a document for a day; what is wrong lands in the reader's problems. */
export function readGround(lawns: readonly LawnNote[], day: string, fields: FieldReader, book: WorkingBook): readonly SheetLawn[] {
  return lawns.map((lawn, index) => {
    const name = lawn.name.trim() || `Lawn ${index + 1}`
    return { id: lawn.id, name, treated: lawn.treated, ...readFieldNotes(lawn, { path: `lawns.${index}`, name, figure: `lawns.${lawn.id}.size`, day }, fields, book) }
  })
}

/** The treated lawns together: errors of scale and reading added as if one instrument had measured them all. */
export function treatedGround(lawns: readonly SheetLawn[]): { readonly size: SquareMetres; readonly sd: SquareMetres } {
  const treated = lawns.filter((lawn) => lawn.treated === 'yes')
  const sum = (pick: (lawn: SheetLawn) => number | undefined) => squareMetres(treated.reduce((total, lawn) => total + (pick(lawn) ?? 0), 0))
  return { size: sum(({ size }) => size), sd: sum(({ sd }) => sd) }
}
