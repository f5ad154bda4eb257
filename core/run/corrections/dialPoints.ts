import { settingCurve, type SettingCurve } from '../../calibration/settingCurve'
import type { SettingPoint } from '../../calibration/settingPoint'
import { speedSi } from '../../quantity/quantity'
import type { SettingEntry } from '../carriedShape'
import type { CheckpointQuestion } from './checkpoint'

/** Dial and pace that somebody set, and when. */
type SetAt = SettingEntry & { readonly at: string }

/** How dial and pace stood before anybody set them in the run. */
export interface BeganAt {
  readonly dial: string
  /** m/s; undefined where nobody timed it. */
  readonly pace: number | undefined
}

/** Dial and pace as they stood at a moment. */
export function settingAt(settings: readonly SetAt[], at: string, began: BeganAt): BeganAt {
  const so = settings.filter((one) => Date.parse(one.at) < Date.parse(at))
  const pace = so.findLast((one) => one.pace !== undefined)?.pace
  return {
    dial: so.findLast((one) => one.dial !== undefined)?.dial ?? began.dial,
    pace: pace ? speedSi(pace) : began.pace,
  }
}

/**
 * What the weighings of a run say of its dial: each stretch between two of them is a point.
 * @param found when each rest of the question was found, in its order
 * @returns undefined while fewer than two settings were walked: one point is no curve
 * Source: trade.md 8, start low and weigh back: each weighing is a point (setting, flow).
 */
export function curveOfRun(
  { charge, rests, size }: CheckpointQuestion,
  found: readonly { readonly at: string }[],
  settings: readonly SetAt[],
  began: BeganAt,
): SettingCurve | undefined {
  const points = rests.flatMap(({ done, left }, i): readonly SettingPoint[] => {
    const at = found[i]?.at
    const before = rests[i - 1] ?? { done: 0, left: charge }
    if (at === undefined) return []
    const { dial, pace } = settingAt(settings, at, began)
    const setting = dial.trim() === '' ? Number.NaN : Number(dial)
    const perPass = (before.left - left) / (done - before.done) / size
    // On one swath the flow is as the rate times the pace; only shares of it are asked.
    return setting > 0 && perPass > 0 ? [{ setting, flow: perPass * (pace ?? 1), age: 0 }] : []
  })
  return new Set(points.map(({ setting }) => setting)).size > 1 ? settingCurve(points) : undefined
}
