import { errorLines, sdOf, type GroundErrors } from '../ground/netArea'
import { readFieldNotes, type MeasuredGround } from '../ground/readFieldNotes'
import { areaIn, squareMetres, type SquareMetres } from '../quantity/quantity'
import { fieldReader, type FieldReader } from '../quantity/fieldReader'
import { remembered } from '../remembered'
import { figureText, sixDigits } from '../working/figureText'
import { deferredWorkingBook, type WorkingBook } from '../working/working'
import type { LawnNote, Treated } from './document'

/** A lawn of the document, measured as far as it can be. */
export interface SheetLawn extends MeasuredGround {
  readonly id: string
  readonly name: string
  readonly treated: Treated
}

/** Reads and measures every lawn of a document for a day; what is wrong lands in the reader's problems. */
export function readGround(
  lawns: readonly LawnNote[],
  day: string,
  fields: FieldReader,
  book: WorkingBook,
): readonly SheetLawn[] {
  return lawns.map((lawn, index) => {
    const { sheetLawn, problems, working } = readOnce(lawn, index, day)
    fields.problems.push(...problems)
    working.copyInto(book)
    return sheetLawn
  })
}

// At every key only what was typed in is another object: a lawn that is the same one is not measured again.
const readings = remembered((_lawn: LawnNote) => new Map<string, ReturnType<typeof readLawn>>())

function readOnce(lawn: LawnNote, index: number, day: string): ReturnType<typeof readLawn> {
  const known = readings(lawn)
  const key = `${index} ${day}`
  const found = known.get(key) ?? readLawn(lawn, index, day)
  known.set(key, found)
  return found
}

function readLawn(lawn: LawnNote, index: number, day: string) {
  const [fields, working] = [fieldReader(), deferredWorkingBook()]
  const name = lawn.name.trim() || `Lawn ${index + 1}`
  const ground = readFieldNotes(
    lawn,
    { path: `lawns.${index}`, name, figure: `lawns.${lawn.id}.size`, day },
    fields,
    working,
  )
  const sheetLawn: SheetLawn = { id: lawn.id, name, treated: lawn.treated, ...ground }
  return { sheetLawn, problems: fields.problems, working }
}

/**
 * The treated lawns together. What one instrument measured is wrong the same way on all of them, so its
 * errors add; those of different instruments, and readings, combine as independent ones do.
 */
export function treatedGround(
  lawns: readonly SheetLawn[],
  book: WorkingBook,
): { readonly size: SquareMetres; readonly sd: SquareMetres } {
  const treated = lawns.filter((lawn) => lawn.treated === 'yes')
  const size = treated.reduce((total, lawn) => total + (lawn.size ?? 0), 0)
  const errors = joined(treated.flatMap((lawn) => lawn.errors ?? []))
  const sd = sdOf(errors)
  if (size > 0) {
    book.note('ground.size', () => [
      ...treated.map((lawn) => `${lawn.name}: ${sixDigits(lawn.size ?? 0)} m2`),
      ...errorLines(errors, sd, size),
      `carried to every amount on this ground: the same ${sixDigits((200 * sd) / size)} % of it, give ` +
        'or take',
      `ground together ${figureText(areaIn(squareMetres(size), 'ft2'))} = ${sixDigits(size)} m2`,
    ])
  }
  return { size: squareMetres(size), sd: squareMetres(sd) }
}

function joined(all: readonly GroundErrors[]): GroundErrors {
  const scales = new Map<string, { words: string; sd: number }>()
  for (const one of all)
    for (const [source, { words, sd }] of one.scales)
      scales.set(source, { words, sd: (scales.get(source)?.sd ?? 0) + sd })
  return { scales, readings: Math.hypot(...all.map(({ readings }) => readings)) }
}
