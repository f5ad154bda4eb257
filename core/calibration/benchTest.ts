import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { blankIn } from '../quantity/entered'
import type { MassUnit } from '../quantity/units'
import type { NozzleBenchTest, PatternBenchTest } from './benchTestShape'

/** A tray test with nothing caught yet: eleven trays. */
export function blankPattern(system: UnitSystem, throws: 'broadcast' | 'drop'): PatternBenchTest {
  const { length } = SYSTEM_UNITS[system]
  const small = length === 'm' ? ('cm' as const) : ('in' as const)
  return {
    schema: 1,
    kind: 'pattern',
    on: '',
    by: '',
    notes: '',
    product: '',
    setting: '',
    travel: 'back-and-forth',
    limit: { text: throws === 'drop' ? '15' : '20', unit: '%' },
    spacing: blankIn(length),
    tray: { width: blankIn(small), length: blankIn(small) },
    passes: '',
    catches: Array.from({ length: 11 }, () => blankIn<MassUnit>('g')),
    lane: blankIn(length),
  }
}

/** A nozzle check with nothing caught yet. @param count nozzles of the sprayer */
export function blankNozzles(system: UnitSystem, count: number): NozzleBenchTest {
  const metric = SYSTEM_UNITS[system].length === 'm'
  const [volume, pressure] = metric ? ['mL' as const, 'bar' as const] : ['fl oz' as const, 'psi' as const]
  return {
    schema: 1,
    kind: 'nozzles',
    on: '',
    by: '',
    notes: '',
    heldBy: '',
    time: { text: '', unit: 's' },
    catches: Array.from({ length: Math.max(1, count) }, () => blankIn(volume)),
    spacing: blankIn(metric ? 'cm' : 'in'),
    rated: blankIn(volume),
    pressure: { now: blankIn(pressure), low: blankIn(pressure), high: blankIn(pressure) },
    course: { length: blankIn(metric ? 'm' : 'ft'), times: [blankIn('s')] },
    wanted: blankIn(metric ? 'L/100 m2' : 'gal/1000 ft2'),
  }
}
