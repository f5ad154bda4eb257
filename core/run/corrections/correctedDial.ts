import { dialText } from '../../calibration/dialText'
import { flowAt, settingFor, UNTRIED_POWER, type SettingCurve } from '../../calibration/settingCurve'
import { ROUNDING } from '../../quantity/tolerance'
import { closedWorkingBook } from '../../working/working'

/** Where the dial goes, as a hand can set it, and the flow it then gives over the one so far. */
export interface CorrectedDial {
  readonly setting: string
  readonly reached: number
  /** `guess`: nothing tested reaches there, half the flow is taken near two thirds of the setting. */
  readonly by: 'curve' | 'guess'
}

/**
 * The setting for another flow than the one that was found: a curve says how much the dial changes the flow,
 * the rest that was weighed says where it really stood.
 * @param curves the first that reaches from the dial to the flow is taken
 * @param factor the wanted flow over the one so far
 * @returns undefined where nobody knows where the dial stands, or nothing changes
 * Source: trade.md 8, new flow = observed flow x wanted / observed rate; start low and weigh back.
 */
export function correctedDial(
  curves: readonly SettingCurve[],
  dial: string,
  factor: number,
): CorrectedDial | undefined {
  const stood = dial.trim() === '' ? Number.NaN : Number(dial)
  if (!(stood > 0) || !(factor > 0) || Math.abs(factor - 1) < ROUNDING) return undefined
  for (const curve of curves) {
    const known = onCurve(curve, stood, factor)
    if (known) return known
  }
  const setting = dialText(stood * factor ** (1 / UNTRIED_POWER))
  return { setting, reached: (Number(setting) / stood) ** UNTRIED_POWER, by: 'guess' }
}

function onCurve(curve: SettingCurve, stood: number, factor: number): CorrectedDial | undefined {
  const now = flowAt(curve, stood)
  if (!now.ok || now.value.reach === 'guess' || now.value.flow <= 0) return undefined
  const wanted = settingFor(curve, now.value.flow * factor, '', closedWorkingBook)
  if (!wanted.ok || wanted.value.reach === 'guess') return undefined
  const setting = dialText(wanted.value.setting)
  const given = flowAt(curve, Number(setting))
  return given.ok ? { setting, reached: given.value.flow / now.value.flow, by: 'curve' } : undefined
}
