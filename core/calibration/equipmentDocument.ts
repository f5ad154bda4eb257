import { EQUIPMENT_FIELDS } from './equipmentFields'
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
  const at = fields.of(EQUIPMENT_FIELDS, 'document')
  switch (document.kind) {
    case 'spreader':
      at.optional('hopper', document.hopper)
      at.optional('reserve', document.reserve)
      at.optional('swath', document.swath)
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
  const at = fields.of(EQUIPMENT_FIELDS, 'document')
  const walked = walkedTool(document.type)
  if (walked)
    return document.course && document.course.runs.length > 0
      ? readTapedCourse(document.course, walked, 'document.course', fields, 'tool', book)
      : undefined
  at.optional('step', document.step)
  at.optional('capacity', document.capacity)
  at.optional('tare', document.tare)
  return undefined
}

function readSprayer({ tank, fillTo, dead, agitate, nozzles }: SprayerDocument, fields: FieldReader): void {
  const at = fields.of(EQUIPMENT_FIELDS, 'document')
  const whole = at.optional('tank', tank)
  const filled = at.optional('fillTo', fillTo)
  const still = at.optional('dead', dead)
  at.optional('agitate', agitate)
  at.optional('nozzles.spacing', nozzles.spacing)
  for (const [i, { pressure }] of (nozzles.drops ?? []).entries())
    at.optional('nozzles.drops.*.pressure', pressure, i)
  const si = (q: Quantity<AmountUnit>) => q.value * amountFactor(q.unit)
  const most = filled ?? whole
  if (whole && filled && isOver(si(filled), si(whole)))
    fields.wrong('document.fillTo', 'It can’t be filled to more than the tank holds.')
  if (most && still && si(still) >= si(most))
    fields.wrong('document.dead', 'What stays in hose and boom must be less than the tank holds.')
}

/** Width the nozzles cover together, m; undefined unless count and spacing are known. Source: trade.md 4. */
export function nozzleWidth({ nozzles }: SprayerDocument, fields: FieldReader): number | undefined {
  const at = fields.of(EQUIPMENT_FIELDS, 'document')
  const spacing = at.optional('nozzles.spacing', nozzles.spacing)
  const count = Number(nozzles.count)
  return spacing && Number.isInteger(count) && count > 0 ? count * lengthSi(spacing) : undefined
}
