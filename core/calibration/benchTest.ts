import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { blankIn, type Entered } from '../quantity/entered'
import type {
  AmountUnit,
  LengthUnit,
  MassUnit,
  PressureUnit,
  SpeedUnit,
  StopwatchUnit,
  VolumeUnit,
} from '../quantity/units'
import type { TimedCourse } from './courseNote'
import type { BoomUnknown } from './solveBoom'
import type { Travel } from './trayPattern'

interface BenchTestRemarks {
  readonly schema: 1
  /** YYYY-MM-DD or blank. */
  readonly on: string
  readonly by: string
  readonly notes: string
}

/** Equal trays across the throw of a spreader: what each caught on all passes together, left to right. */
export interface PatternBenchTest extends BenchTestRemarks {
  readonly kind: 'pattern'
  readonly product: string
  readonly setting: string
  readonly travel: Travel
  /** Largest CV that is still even enough. */
  readonly limit: Entered<'%'>
  readonly spacing: Entered<LengthUnit>
  readonly tray: { readonly width: Entered<LengthUnit>; readonly length: Entered<LengthUnit> }
  readonly passes: string
  readonly catches: readonly Entered<AmountUnit>[]
  /** Lane spacing in mind; blank: the effective swath. */
  readonly lane: Entered<LengthUnit>
}

/**
 * Each nozzle of a sprayer caught for the same time, with the speed it is driven at and the carrier that is
 * wanted.
 */
export interface NozzleBenchTest extends BenchTestRemarks {
  readonly kind: 'nozzles'
  readonly heldBy: string
  readonly time: Entered<StopwatchUnit>
  readonly catches: readonly Entered<VolumeUnit>[]
  readonly spacing: Entered<LengthUnit>
  /** What a new one gives in a minute at this pressure. */
  readonly rated: Entered<VolumeUnit>
  readonly pressure: {
    readonly now: Entered<PressureUnit>
    readonly low: Entered<PressureUnit>
    readonly high: Entered<PressureUnit>
  }
  readonly course: TimedCourse
  /** Carrier wanted, in the tank's measure on 1,000 ft2 or 100 m2. */
  readonly wanted: Entered<'gal/1000 ft2' | 'L/100 m2'>
  /** What is to be found, and what is held instead of what was measured; absent: the speed. */
  readonly ask?: {
    readonly unknown: BoomUnknown
    readonly speed: Entered<SpeedUnit>
    readonly spacing: Entered<LengthUnit>
    readonly pressure: Entered<PressureUnit>
    readonly gravity: string
  }
  readonly fan?: { readonly height: Entered<LengthUnit>; readonly angle: Entered<'°'> }
  /** Numbers of the nozzles whose check valve drips. */
  readonly dripping?: string
}

export type BenchTestDocument = PatternBenchTest | NozzleBenchTest

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
