import type { PracticeAct } from './practiceActShape'
import { drawsFrom, normal } from '../quantity/draws'
import { PASCALS_PER } from '../quantity/units'

/**
 * A spreader and a sprayer whose truth nobody is told: calibrating them is the exercise. The same seed is the
 * same machines.
 */
export interface PracticeTruth {
  /** Flow through the gate at a setting, kg/s. */
  readonly gate: (setting: number) => number
  /** Flow of one nozzle, counted from 1, m3/s of water; Pa. */
  readonly nozzle: (number: number, pressure: number) => number
}

/** How far one run differs from the next: pace, a bump, the last grains in the hopper. */
const RUN_SPREAD = 0.02
const PRESSURE_RATED = 40 * PASCALS_PER.psi

export function practiceTruth(seed: number): PracticeTruth {
  const draw = drawsFrom(seed)
  // About 0.03 kg/s half open: 1.7 lb on 1,000 ft2 at 3 mph and 11 ft.
  const [opens, power] = [0.00055 * (0.75 + 0.5 * draw()), 1.5 + 0.4 * draw()]
  // About 0.4 gallons a minute, as with a common flat fan.
  const rated = 2.5e-5 * (0.85 + 0.3 * draw())
  const wear = Array.from({ length: 60 }, () => 1 + normal(draw, 0.015) + (draw() > 0.92 ? 0.1 : 0))
  return {
    gate: (setting) => opens * Math.max(0, setting) ** power,
    nozzle: (number, pressure) =>
      rated * (wear[(number - 1) % wear.length] ?? 1) * Math.sqrt(pressure / PRESSURE_RATED),
  }
}

/** What stands on the scale, ran through the meter and under the wheel once all of it is done. */
export interface PracticeStand {
  /** kg in the hopper or the bag. */
  readonly weight: number
  /** m3 that the last act took. */
  readonly volume: number
  /** m, and seconds, of the last act on foot. */
  readonly distance: number
  readonly elapsed: number
}

const NOTHING: PracticeStand = { weight: 0, volume: 0, distance: 0, elapsed: 0 }

/** Does the acts one after the other. A hopper never gives more than is in it. */
export function practiceStand(seed: number, acts: readonly PracticeAct[]): PracticeStand {
  const truth = practiceTruth(seed)
  const draw = drawsFrom(seed + 7919)
  return acts.reduce<PracticeStand>(
    (stand, act) =>
      afterAct(stand, act, truth, 1 + normal(draw, RUN_SPREAD), 1 + normal(draw, RUN_SPREAD / 2)),
    NOTHING,
  )
}

/** @param run how this run differs from the mean one; @param pace how far the pace was off what was meant */
function afterAct(
  stand: PracticeStand,
  act: PracticeAct,
  truth: PracticeTruth,
  run: number,
  pace: number,
): PracticeStand {
  switch (act.act) {
    case 'charge':
      return { ...stand, weight: act.amount }
    case 'spread': {
      const time = act.length / (act.speed * pace)
      return {
        ...stand,
        weight: Math.max(0, stand.weight - truth.gate(act.setting) * time * run),
        distance: act.length,
        elapsed: time,
      }
    }
    case 'catch':
      return { ...stand, weight: truth.gate(act.setting) * act.time * run, elapsed: act.time }
    case 'spray': {
      const time = act.length / (act.speed * pace)
      const flow = Array.from({ length: act.nozzles }, (_, i) => truth.nozzle(i + 1, act.pressure)).reduce(
        (sum, one) => sum + one,
        0,
      )
      return { ...stand, volume: flow * time * (1 + (run - 1) / 2), distance: act.length, elapsed: time }
    }
    // A jug under one nozzle differs by a hair only.
    case 'jug':
      return {
        ...stand,
        volume: truth.nozzle(act.nozzle, act.pressure) * act.time * (1 + (run - 1) / 8),
        elapsed: act.time,
      }
    case 'walk':
      return { ...stand, distance: act.length, elapsed: act.length / (act.speed * pace) }
    default:
      return act satisfies never
  }
}
