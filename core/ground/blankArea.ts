import type { Entered } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { AreaDocument } from './areaDocument'
import type { LawnPart } from './fieldNotes'

const blank = <U extends string>(unit: U): Entered<U> => ({ text: '', unit })

/** A part of a lawn with nothing typed yet, in the units of a system. */
export function blankPart(id: string, sign: LawnPart['sign'], shape: LawnPart['shape'], system: UnitSystem): LawnPart {
  const { length, size } = SYSTEM_UNITS[system]
  return {
    id, sign, shape, size: blank(size),
    lengths: {
      length: blank(length), width: blank(length), base: blank(length), height: blank(length), side: blank(length), opposite: blank(length), diameter: blank(length),
    },
  }
}

/** An area with nothing typed yet: one rectangle of turf, taped. */
export function blankArea(partId: string, system: UnitSystem): AreaDocument {
  const depth = SYSTEM_UNITS[system].length === 'm' ? 'cm' as const : 'in' as const
  return {
    schema: 1, instrument: 'tape', parts: [blankPart(partId, 'add', 'rectangle', system)], slope: blank('%'), use: 'turf', grass: [], established: '', overseeding: '',
    cover: blank('%'), cut: blank(depth), thatch: blank(depth), clippings: '', sun: '', irrigation: { kind: 'none', zone: '', output: blank(depth) },
    soil: '', priority: 'normal', notes: '',
  }
}
