import { settingCurve, settingFor } from '../../core/calibration/settingCurve'
import { practiceStand, practiceTruth } from '../../core/simulated/practiceMachine'
import type { PracticeAct } from '../../core/simulated/practiceActShape'
import { closedWorkingBook } from '../../core/working/working'

const SETTINGS = [8, 8, 8, 11, 11, 11, 14, 14, 14]

/**
 * How often calibrating the hidden spreader finds a setting whose true flow lies within the stated band (two
 * standard deviations) of the wanted one.
 */
export function truthHeld(seeds: number): number {
  let held = 0
  for (let seed = 1; seed <= seeds; seed++) {
    const truth = practiceTruth(seed)
    const acts = SETTINGS.map((setting): PracticeAct => ({ act: 'catch', setting, time: 30 }))
    const points = SETTINGS.map((setting, i) => ({
      setting,
      flow: practiceStand(seed, acts.slice(0, i + 1)).weight / 30,
      age: 0,
    }))
    const wanted = truth.gate(10)
    const found = settingFor(settingCurve(points), wanted, '', closedWorkingBook)
    if (
      found.ok &&
      found.value.doubt !== undefined &&
      Math.abs(truth.gate(found.value.setting) / wanted - 1) <= 2 * found.value.doubt
    )
      held++
  }
  return held
}
