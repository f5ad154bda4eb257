import type { DeviceReading } from '../devices/deviceLine'
import { drawsFrom, normal } from '../quantity/draws'
import type { PracticeStand } from './practiceMachine'
import type { PracticeAct } from './practiceActShape'

/** A simulated instrument: what it measures, its step, what it can take, and how it settles. */
export interface PracticeDevice {
  readonly id: 'kitchen-scale' | 'hopper-scale' | 'flow-meter' | 'wheel'
  readonly name: string
  readonly measures: 'weight' | 'volume' | 'distance'
  /** Smallest step and most it takes, in the unit of its readings (g, mL, m). */
  readonly step: number
  readonly most: number
  /** Noise while it settles, in the same unit; it halves every so many milliseconds. */
  readonly noise: number
  readonly halves: number
}

export const PRACTICE_DEVICES: readonly PracticeDevice[] = [
  {
    id: 'kitchen-scale',
    name: 'Kitchen scale, 5 kg by 1 g',
    measures: 'weight',
    step: 1,
    most: 5000,
    noise: 40,
    halves: 180,
  },
  {
    id: 'hopper-scale',
    name: 'Hopper scale, 60 kg by 5 g',
    measures: 'weight',
    step: 5,
    most: 60_000,
    noise: 400,
    halves: 250,
  },
  {
    id: 'flow-meter',
    name: 'Flow meter, 1 mL',
    measures: 'volume',
    step: 1,
    most: 1_000_000,
    noise: 0,
    halves: 200,
  },
  {
    id: 'wheel',
    name: 'Measuring wheel, 1 cm',
    measures: 'distance',
    step: 0.01,
    most: 10_000,
    noise: 0,
    halves: 200,
  },
]

/** A meter runs and a wheel rolls for this long on the bench, however long it took on the ground, ms. */
const PLAYED = 1600

/**
 * What the instrument shows so long after something was last done.
 * @param at milliseconds since then; a scale swings and settles, a meter and a wheel run up to their end
 * @returns the wheel also reports the time it rolled
 */
export function practiceReadings(
  device: PracticeDevice,
  stand: PracticeStand,
  at: number,
  seed: number,
): readonly DeviceReading[] {
  const draw = drawsFrom(seed + Math.round(at))
  const share = Math.min(1, at / PLAYED)
  if (device.measures === 'weight') {
    const swing = device.noise * 2 ** (-at / device.halves)
    const shown = stepped(stand.weight * 1000 + normal(draw, swing), device.step)
    return [
      {
        clock: at,
        quantity: 'weight',
        value: shown,
        state: shown > device.most ? 'over' : swing < device.step / 3 ? 'steady' : 'moving',
      },
    ]
  }
  const state = share < 1 ? 'moving' : 'steady'
  if (device.measures === 'volume')
    return [{ clock: at, quantity: 'volume', value: stepped(stand.volume * 1e6 * share, device.step), state }]
  return [
    { clock: at, quantity: 'distance', value: stepped(stand.distance * share, device.step), state },
    { clock: at, quantity: 'elapsed', value: stepped(stand.elapsed * share, 0.1), state },
  ]
}

const stepped = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(4))

/** The instrument that shows what an act did; a kitchen scale in use stays in use. */
export function instrumentFor({ act }: PracticeAct, inUse: string): PracticeDevice['id'] {
  if (act === 'walk') return 'wheel'
  if (act === 'spray' || act === 'jug') return 'flow-meter'
  return inUse === 'kitchen-scale' ? 'kitchen-scale' : 'hopper-scale'
}

/** The seed of a machine's hidden truth: the same machine hides the same one each time. @param id UUID */
export const practiceSeed = (id: string): number =>
  (Number.parseInt(id.replaceAll('-', '').slice(-7), 16) % 1_000_000) + 1
