import { areaIn, type Quantity, type SquareMetres } from '../quantity/quantity'
import { formatArea } from '../quantity/format'
import type { FieldReader } from '../quantity/fieldReader'
import type { LengthUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'
import { lapsed, type FieldNotes, type LawnPart } from './fieldNotes'
import { netArea, type GroundPart } from './netArea'
import { SHAPE_LENGTHS } from './shapes'

/** Ground that could be measured, or could not yet (size undefined). */
export interface MeasuredGround {
  readonly size: SquareMetres | undefined
  /** One standard deviation, m2. */
  readonly sd: SquareMetres | undefined
  readonly parts: readonly GroundPart[]
}

/** Where the notes stand and what they are called. */
export interface NotesPlace {
  /** Dotted path of the notes in their document. */
  readonly path: string
  readonly name: string
  /** Figure under which the working is kept. */
  readonly figure: string
  /** The day for which it is measured, YYYY-MM-DD: dated exclusions lapse. */
  readonly day: string
}

/** Reads and measures field notes; what is wrong lands in the reader's problems. */
export function readFieldNotes(notes: FieldNotes, { path, name, figure, day }: NotesPlace, fields: FieldReader, book: WorkingBook): MeasuredGround {
  const read = notes.parts.map((part, i) => (lapsed(part, day) ? 'lapsed' as const : readPart(part, `${path}.parts.${i}`, fields)))
  const slope = notes.slope && fields.optional(`${path}.slope`, notes.slope, 'percent', 'Slope', 'zero-too')
  const parts = read.filter((part) => part !== undefined && part !== 'lapsed')
  const bare: MeasuredGround = { size: undefined, sd: undefined, parts }
  if (read.includes(undefined)) return bare
  const net = netArea(parts, notes.instrument, figure, book, slope)
  if (net.ok) return { ...net.value, parts }
  const square = (m2: SquareMetres) => `${formatArea(areaIn(m2, 'ft2').value, 'ft2')} ft²`
  fields.wrong(`${path}.parts.${Math.max(0, notes.parts.findIndex((part) => part.sign === 'subtract'))}`,
    `What is taken away (${square(net.error.subtracted)}) is as large as ${name} itself (${square(net.error.added)}): check its lengths and units.`)
  return bare
}

function readPart(part: LawnPart, path: string, fields: FieldReader): GroundPart | undefined {
  if (part.shape === 'known') {
    const size = fields.positive(`${path}.size`, part.size, 'area', 'Size')
    return size && { sign: part.sign, kind: 'known', size }
  }
  const lengths: Quantity<LengthUnit>[] = []
  for (const name of SHAPE_LENGTHS[part.shape]) {
    const length = fields.positive(`${path}.lengths.${name}`, part.lengths[name], 'length', capital(name))
    if (length) lengths.push(length)
  }
  return lengths.length === SHAPE_LENGTHS[part.shape].length ? { sign: part.sign, kind: part.shape, lengths } : undefined
}

const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)
