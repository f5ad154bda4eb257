import type { DropRow } from './dropSize'
import { isOver } from '../quantity/tolerance'
import { readTapedCourse, type TapedCourse, type ToolReading } from '../ground/toolCourse'
import type { Entered } from '../quantity/entered'
import { amountFactor, lengthSi, type Quantity } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import type { AmountUnit, LengthUnit, MassUnit, VolumeUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'

export const EQUIPMENT_KINDS = ['spreader', 'sprayer', 'tool'] as const
export type EquipmentKind = (typeof EQUIPMENT_KINDS)[number]
export const SPREADER_TYPES = ['broadcast push', 'drop', 'hand-cranked', 'ride-on or tow'] as const
export const SPRAYER_TYPES = ['backpack', 'hand can', 'hose-end', 'boom', 'reel and gun'] as const
export const TOOL_TYPES = [
  'scale',
  'cup or jug',
  'weighing tub',
  'taped stride',
  'measuring wheel',
  'tape',
] as const

export interface SpreaderDocument {
  readonly schema: 1
  readonly kind: 'spreader'
  readonly type: (typeof SPREADER_TYPES)[number]
  readonly hopper: Entered<MassUnit>
  /** What is charged beyond the need: the last of the hopper spreads badly. */
  readonly reserve: Entered<MassUnit>
  readonly swath: Entered<LengthUnit>
  readonly dial: { readonly low: string; readonly high: string }
  readonly notes: string
  /** When it was last cleaned out, ISO instant. */
  readonly cleaned?: string
}

export interface SprayerDocument {
  readonly schema: 1
  readonly kind: 'sprayer'
  readonly type: (typeof SPRAYER_TYPES)[number]
  readonly tank: Entered<VolumeUnit>
  /** Mark to which it is really filled; blank means the whole tank. */
  readonly fillTo: Entered<VolumeUnit>
  /** What never leaves hose and boom. */
  readonly dead: Entered<VolumeUnit>
  /** Least volume the pump agitates. */
  readonly agitate: Entered<VolumeUnit>
  /** `fitted` is the day this set was put on, YYYY-MM-DD: calibrations made before it no longer hold. */
  readonly nozzles: {
    readonly count: string
    readonly spacing: Entered<LengthUnit>
    readonly what: string
    readonly fitted?: string
    /** Drop-size classes as typed from the nozzles' own sheet. */
    readonly drops?: readonly DropRow[]
  }
  readonly notes: string
  /** When tank, hose and boom were last cleaned out, ISO instant. */
  readonly cleaned?: string
}

export interface ToolDocument {
  readonly schema: 1
  readonly kind: 'tool'
  readonly type: (typeof TOOL_TYPES)[number]
  /** Smallest step that can be read: 0.1 g, 5 mL. */
  readonly step: Entered<AmountUnit>
  readonly capacity: Entered<AmountUnit>
  readonly tare: Entered<MassUnit>
  /** A stride, or the length one turn of a wheel really covers. */
  readonly length: Entered<LengthUnit>
  /** True over shown; 1 for a tool that reads right. */
  readonly factor: string
  /** Runs over a taped length, for a stride or a wheel. */
  readonly course?: TapedCourse
  readonly notes: string
}

export type EquipmentDocument = SpreaderDocument | SprayerDocument | ToolDocument

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
