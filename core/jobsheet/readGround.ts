import { netArea, type GroundPart } from '../ground/netArea'
import { SHAPE_LENGTHS } from '../ground/shapes'
import { areaIn, squareMetres, type Quantity, type SquareMetres } from '../quantity/quantity'
import { formatArea } from '../quantity/format'
import type { LengthUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'
import type { LawnNote, LawnPart } from './document'
import type { FieldReader } from './fieldReader'

/** A lawn that could be measured, or could not yet (size undefined). */
export interface SheetLawn {
  readonly id: string
  readonly name: string
  readonly treated: 'yes' | 'no'
  readonly size: SquareMetres | undefined
  /** One standard deviation, m2. */
  readonly sd: SquareMetres | undefined
  readonly parts: readonly GroundPart[]
}

/** Reads and measures every lawn of a document; what is wrong lands in the reader's problems. */
export function readGround(lawns: readonly LawnNote[], fields: FieldReader, book: WorkingBook): readonly SheetLawn[] {
  return lawns.map((lawn, index) => {
    const path = `lawns.${index}`
    const read = lawn.parts.map((part, i) => readPart(part, `${path}.parts.${i}`, fields))
    const parts = read.filter((part) => part !== undefined)
    const name = lawn.name.trim() || `Lawn ${index + 1}`
    const bare: SheetLawn = { id: lawn.id, name, treated: lawn.treated, size: undefined, sd: undefined, parts }
    if (parts.length < lawn.parts.length) return bare
    const net = netArea(parts, lawn.instrument, `lawns.${lawn.id}.size`, book)
    if (!net.ok) {
      const square = (m2: SquareMetres) => `${formatArea(areaIn(m2, 'ft2').value, 'ft2')} ft²`
      fields.wrong(`${path}.parts.${Math.max(0, lawn.parts.findIndex((part) => part.sign === 'subtract'))}`,
        `What is taken away (${square(net.error.subtracted)}) is as large as ${name} itself (${square(net.error.added)}): check its lengths and units.`)
      return bare
    }
    return { ...bare, ...net.value }
  })
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

/** The treated lawns together: errors of scale and reading added as if one instrument had measured them all. */
export function treatedGround(lawns: readonly SheetLawn[]): { readonly size: SquareMetres; readonly sd: SquareMetres } {
  const treated = lawns.filter((lawn) => lawn.treated === 'yes')
  const sum = (pick: (lawn: SheetLawn) => number | undefined) => squareMetres(treated.reduce((total, lawn) => total + (pick(lawn) ?? 0), 0))
  return { size: sum(({ size }) => size), sd: sum(({ sd }) => sd) }
}
