import { typedFigure } from '../quantity/entered'
import { blankIn, type Entered } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { LengthUnit } from '../quantity/units'
import { sprayMethodOf, type SpreadMethod, type SprayMethod } from './courseNote'
import type { SpreaderCourse, SprayerCourse } from './calibrationShape'
import type { SprayerDocument } from './equipmentShape'

/** The note with another method chosen: what it needs stands ready, what was typed for others is kept. */
export function bySpreadMethod<N extends SpreaderCourse>(note: N, by: SpreadMethod, system: UnitSystem): N {
  return {
    ...note,
    by,
    ...(by === 'job' && {
      ground: note.ground ?? blankIn(SYSTEM_UNITS[system].size),
      passes: note.passes ?? '1',
    }),
  }
}

/**
 * As bySpreadMethod. A width that the machine knew for the method before gives way to what it knows for this
 * one: nozzle spacing where single nozzles are caught, all of them together elsewhere.
 */
export function bySprayMethod<N extends SprayerCourse>(
  note: N,
  by: SprayMethod,
  system: UnitSystem,
  nozzles: NozzleFacts = NO_NOZZLES,
): N {
  const { length, size } = SYSTEM_UNITS[system]
  const jug = length === 'm' ? ('mL' as const) : ('fl oz' as const)
  const count = Math.min(60, Math.max(1, Number(nozzles.count) || 1))
  const catching = note.catching ?? {
    time: blankIn('s' as const),
    catches: Array.from({ length: count }, () => blankIn(jug)),
  }
  const isKnown =
    note.width.text.trim() === '' || note.width.text === widthFor(sprayMethodOf(note), nozzles)?.text
  return {
    ...note,
    by,
    ...((by === 'nozzle catch' || by === 'one nozzle') && { catching }),
    ...(by === 'hose-end' && {
      covered: note.covered ?? { ground: blankIn(size === 'ac' ? 'ft2' : size), time: blankIn('s') },
    }),
    ...(by === 'job' && { ground: note.ground ?? blankIn(size) }),
    ...(isSpaced(by) && nozzles.count.trim() !== '' && { count: note.count ?? nozzles.count }),
    ...(isKnown && {
      width:
        widthFor(by, nozzles) ??
        (note.width.text === '' && isSpaced(by)
          ? blankIn(length === 'm' ? ('cm' as const) : ('in' as const))
          : note.width),
    }),
  }
}

/** What is known of the nozzles of a sprayer. */
export type NozzleFacts = Pick<SprayerDocument['nozzles'], 'count' | 'spacing'>
const NO_NOZZLES: NozzleFacts = { count: '', spacing: { text: '', unit: 'in' } }

/** Methods that ask how far apart the nozzles stand, not how wide all of them spray. */
export const isSpaced = (by: SprayMethod): boolean => by === 'nozzle catch' || by === '1/128 acre'

/** Width of all nozzles together, in the unit of their spacing; undefined where the machine does not say. */
export function sprayedWidth({ count, spacing }: NozzleFacts): Entered<LengthUnit> | undefined {
  const read = typedFigure(spacing, 'length')
  const many = Number(count)
  return read && Number.isInteger(many) && many > 0
    ? { text: String(Number((read.value * many).toPrecision(12))), unit: read.unit }
    : undefined
}

/**
 * What a machine knows of the width a method asks for. One nozzle caught by hand and a hose-end bottle are
 * measured as they spray: no machine says how wide.
 */
export function widthFor(by: SprayMethod, nozzles: NozzleFacts): Entered<LengthUnit> | undefined {
  if (by === 'one nozzle' || by === 'hose-end') return undefined
  if (!isSpaced(by)) return sprayedWidth(nozzles)
  return nozzles.spacing.text.trim() === '' ? undefined : nozzles.spacing
}
