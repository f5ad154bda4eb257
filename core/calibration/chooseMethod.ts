import { blankIn } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { SpreaderCourse, SpreadMethod, SprayerCourse, SprayMethod } from './courseNote'

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

/** As bySpreadMethod. @param nozzles how many the machine has, for as many catches */
export function bySprayMethod<N extends SprayerCourse>(
  note: N,
  by: SprayMethod,
  system: UnitSystem,
  nozzles: number,
): N {
  const { length, size } = SYSTEM_UNITS[system]
  const jug = length === 'm' ? ('mL' as const) : ('fl oz' as const)
  const catching = note.catching ?? {
    time: blankIn('s' as const),
    catches: Array.from({ length: Math.min(60, Math.max(1, nozzles)) }, () => blankIn(jug)),
  }
  return {
    ...note,
    by,
    ...((by === 'nozzle catch' || by === 'one nozzle') && { catching }),
    ...(by === 'hose-end' && {
      covered: note.covered ?? { ground: blankIn(size === 'ac' ? 'ft2' : size), time: blankIn('s') },
    }),
    ...(by === 'nozzle catch' || by === '1/128 acre'
      ? {
          width:
            note.width.text === '' ? blankIn(length === 'm' ? ('cm' as const) : ('in' as const)) : note.width,
        }
      : {}),
  }
}
