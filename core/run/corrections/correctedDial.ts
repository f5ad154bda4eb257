import { dialText } from '../../calibration/dialText'
import { flowAt, settingFor, type SettingCurve } from '../../calibration/settingCurve'
import { ROUNDING } from '../../quantity/tolerance'
import { closedWorkingBook } from '../../working/working'

/** Where the dial goes, as a hand can set it, and the flow it then gives over the one so far. */
export interface CorrectedDial {
  readonly setting: string
  readonly reached: number
}

/**
 * The setting for another flow than the one that was found: the curve says how much the dial changes the
 * flow, the rest that was weighed says where it really stood.
 * @param factor the wanted flow over the one so far
 * @returns undefined where the curve does not reach there, or would only guess
 * Source: trade.md 8, new flow = old flow observed x (needed / used).
 */
export function correctedDial(curve: SettingCurve, dial: string, factor: number): CorrectedDial | undefined {
  const stood = dial.trim() === '' ? Number.NaN : Number(dial)
  const now = Number.isFinite(stood) ? flowAt(curve, stood) : undefined
  if (!now?.ok || now.value.flow <= 0 || Math.abs(factor - 1) < ROUNDING) return undefined
  const wanted = settingFor(curve, now.value.flow * factor, '', closedWorkingBook)
  if (!wanted.ok || wanted.value.reach === 'guess') return undefined
  const setting = dialText(wanted.value.setting)
  const given = flowAt(curve, Number(setting))
  return given.ok ? { setting, reached: given.value.flow / now.value.flow } : undefined
}
