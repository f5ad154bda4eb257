import { errorLines, sdOf, type GroundErrors } from '../../ground/netArea'
import { readFieldNotes } from '../../ground/readFieldNotes'
import { areaIn, squareMetres, type SquareMetres } from '../../quantity/quantity'
import { fieldReader, type FieldReader } from '../../quantity/fieldReader'
import { remembered } from '../../remembered'
import { figureText, sixDigits } from '../../working/figureText'
import { deferredWorkingBook, type WorkingBook } from '../../working/working'
import type { ApplicationDraft, AreaDraft } from '../../draft/applicationShape'
import type { MeasuredArea } from '../../draft/measuredArea'
import { refuseImpossibleAreas } from '../../rules/plausibilityRules'

/** The ground of an application: each area, and those that are treated together. */
export interface MeasureLink {
  readonly lawns: readonly MeasuredArea[]
  /** The treated areas together, m2, and one standard deviation. */
  readonly size: SquareMetres
  readonly sd: SquareMetres
}

/** Reads and measures every area of a draft for a day; what is wrong lands in the reader's problems. */
export function measureLink(
  { lawns }: Pick<ApplicationDraft, 'lawns'>,
  day: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasureLink {
  const measured = lawns.map((area, index) => {
    const read = readOnce(area, index, day)
    fields.problems.push(...read.problems)
    read.working.copyInto(book)
    return read.measured
  })
  if (!lawns.some(({ treated }) => treated === 'yes'))
    fields.missing('lawns.0.treated', 'Tick at least one lawn to treat.')
  refuseImpossibleAreas(measured, fields)
  return { lawns: measured, ...treatedGround(measured, book) }
}

// At every key only what was typed in is another object: an area that is the same one is not measured again.
const readings = remembered((_lawn: AreaDraft) => new Map<string, ReturnType<typeof readArea>>())

function readOnce(lawn: AreaDraft, index: number, day: string): ReturnType<typeof readArea> {
  const known = readings(lawn)
  const key = `${index} ${day}`
  const found = known.get(key) ?? readArea(lawn, index, day)
  if (!found.measured.awaited) known.set(key, found)
  return found
}

function readArea(lawn: AreaDraft, index: number, day: string) {
  const [fields, working] = [fieldReader(), deferredWorkingBook()]
  const name = lawn.name.trim() || `Lawn ${index + 1}`
  const ground = readFieldNotes(
    lawn,
    { path: `lawns.${index}`, name, figure: `lawns.${lawn.id}.size`, day },
    fields,
    working,
  )
  const measured: MeasuredArea = { id: lawn.id, name, treated: lawn.treated, ...ground }
  return { measured, problems: fields.problems, working }
}

/**
 * The treated lawns together. What one instrument measured is wrong the same way on all of them, so its
 * errors add; those of different instruments, and readings, combine as independent ones do.
 */
function treatedGround(
  lawns: readonly MeasuredArea[],
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
