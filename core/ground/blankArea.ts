import { blankIn } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { AreaDocument, LawnPart } from './areaShape'
import { METHODS } from './methods/methods'

/** A part of a lawn with nothing typed yet, in the units of a system. */
export function blankPart(
  id: string,
  sign: LawnPart['sign'],
  shape: LawnPart['shape'],
  system: UnitSystem,
): LawnPart {
  return { id, sign, size: blankIn(SYSTEM_UNITS[system].size), ...blankReadings(shape, system) }
}

/**
 * The readings a shape asks for, all blank: three radii or widths to begin with, an outline without corners.
 */
export function blankReadings(
  shape: LawnPart['shape'],
  system: UnitSystem,
): Pick<LawnPart, 'shape' | 'lengths' | 'angle' | 'list' | 'rule' | 'outline'> {
  const { length } = SYSTEM_UNITS[system]
  if (shape === 'known') return { shape, lengths: {} }
  if (shape === 'outline')
    return {
      shape,
      lengths: {},
      outline: {
        from: 'drawn',
        points: [],
        pointError: { text: length === 'm' ? '3' : '10', unit: length },
        origin: '',
      },
    }
  const { fixed, angle, list, rules, ruleQuestion } = METHODS[shape]
  return {
    shape,
    lengths: Object.fromEntries(fixed.map((name) => [name, blankIn(length)])),
    ...(angle !== undefined && { angle: blankIn('°') }),
    ...(list && { list: Array.from({ length: Math.max(3, list.least) }, () => blankIn(length)) }),
    ...(rules && { rule: ruleQuestion === undefined ? (rules[0]?.rule ?? '') : '' }),
  }
}

/** An area with nothing typed yet: one rectangle of turf, taped. */
export function blankArea(partId: string, system: UnitSystem): AreaDocument {
  const depth = SYSTEM_UNITS[system].length === 'm' ? ('cm' as const) : ('in' as const)
  return {
    schema: 1,
    instrument: 'tape',
    parts: [blankPart(partId, 'add', 'rectangle', system)],
    slope: blankIn('%'),
    use: 'turf',
    grass: [],
    established: '',
    overseeding: '',
    cover: blankIn('%'),
    cut: blankIn(depth),
    thatch: blankIn(depth),
    clippings: '',
    sun: '',
    irrigation: { kind: 'none', zone: '', output: blankIn(depth) },
    soil: '',
    priority: 'normal',
    notes: '',
  }
}
