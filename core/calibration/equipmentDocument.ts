import type { EquipmentDocument, SprayerDocument, ToolDocument } from './equipmentShape'
import { isOver } from '../quantity/tolerance'
import { readTapedCourse, type ToolReading } from '../ground/toolCourse'
import { amountFactor, lengthSi, type Quantity } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import type { AmountUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'

/** Tools that are tried over a taped length, and what they come to. */
export const walkedTool = (type: ToolDocument['type']): 'stride' | 'wheel' | undefined =>
  type === 'taped stride' ? 'stride' : type === 'measuring wheel' ? 'wheel' : undefined

/** Reads every figure of a piece of equipment; what is wrong lands in the reader's problems. */
export function readEquipment(
  document: EquipmentDocument,
  fields: FieldReader,
  book: WorkingBook,
): ToolReading | undefined {
  switch (document.kind) {
    case 'spreader':
      fields.optional('document.hopper', document.hopper, 'mass', 'Hopper', 'above-zero')
      fields.optional('document.reserve', document.reserve, 'mass', 'Reserve', 'zero-too')
      fields.optional('document.swath', document.swath, 'length', 'Swath', 'above-zero')
      return undefined
    case 'sprayer':
      readSprayer(document, fields)
      return undefined
    case 'tool':
      return readTool(document, fields, book)
    default:
      return document satisfies never
  }
}

function readTool(document: ToolDocument, fields: FieldReader, book: WorkingBook): ToolReading | undefined {
  const walked = walkedTool(document.type)
  if (walked)
    return document.course && document.course.runs.length > 0
      ? readTapedCourse(document.course, walked, 'document.course', fields, 'tool', book)
      : undefined
  fields.optional('document.step', document.step, 'amount', 'Smallest step', 'above-zero')
  fields.optional('document.capacity', document.capacity, 'amount', 'Capacity', 'above-zero')
  fields.optional('document.tare', document.tare, 'mass', 'Tare', 'zero-too')
  return undefined
}

function readSprayer({ tank, fillTo, dead, agitate, nozzles }: SprayerDocument, fields: FieldReader): void {
  const whole = fields.optional('document.tank', tank, 'volume', 'Tank', 'above-zero')
  const filled = fields.optional('document.fillTo', fillTo, 'volume', 'Filled to', 'above-zero')
  const still = fields.optional('document.dead', dead, 'volume', 'Dead volume', 'zero-too')
  fields.optional('document.agitate', agitate, 'volume', 'Least the pump agitates', 'zero-too')
  fields.optional('document.nozzles.spacing', nozzles.spacing, 'length', 'Nozzle spacing', 'above-zero')
  for (const [i, { pressure }] of (nozzles.drops ?? []).entries())
    fields.optional(`document.nozzles.drops.${i}.pressure`, pressure, 'pressure', 'Pressure', 'above-zero')
  const si = (q: Quantity<AmountUnit>) => q.value * amountFactor(q.unit)
  const most = filled ?? whole
  if (whole && filled && isOver(si(filled), si(whole)))
    fields.wrong('document.fillTo', 'It can’t be filled to more than the tank holds.')
  if (most && still && si(still) >= si(most))
    fields.wrong('document.dead', 'What stays in hose and boom must be less than the tank holds.')
}

/** Width the nozzles cover together, m; undefined unless count and spacing are known. Source: trade.md 4. */
export function nozzleWidth({ nozzles }: SprayerDocument, fields: FieldReader): number | undefined {
  const spacing = fields.optional(
    'document.nozzles.spacing',
    nozzles.spacing,
    'length',
    'Nozzle spacing',
    'above-zero',
  )
  const count = Number(nozzles.count)
  return spacing && Number.isInteger(count) && count > 0 ? count * lengthSi(spacing) : undefined
}
