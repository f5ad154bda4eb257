import { formatFigure, formatGive } from '../../quantity/format'
import { showRates, SYSTEM_UNITS, type Shown, type UnitSystem } from '../../quantity/systems'
import { KILOGRAMS_PER, METRES_PER_SECOND_PER } from '../../quantity/units'
import type { CheckpointQuestion, CheckpointResult } from './checkpoint'
import type { CorrectedDial } from './correctedDial'

/** What a checkpoint says: one sentence of what is so, and one of what to do. */
export interface CheckpointWords {
  readonly level: 'good' | 'warn' | 'stop'
  /** How it stands: "2.9 lb behind: 14 % under so far." */
  readonly stands: string
  /** What to do now. */
  readonly act: string
  /** The setting or the pace that carrying on takes with it; undefined where nothing changes. */
  readonly dial: string | undefined
  /** m/s */
  readonly pace: number | undefined
  /** What the whole ground will have in the end, over plan, if that is done. */
  readonly endsAt: number
}

/** What is known of the machine at the checkpoint. */
export interface CheckpointMachine {
  /** Where the dial stands; blank where nobody said. */
  readonly dial: string
  /** What the curve says for the rest; undefined where it does not know. */
  readonly corrected: CorrectedDial | undefined
  /** m/s; undefined where none was timed. */
  readonly pace: number | undefined
}

/** Nobody walks evenly slower or faster than that, m/s (house default, 1.5 and 5 mph). */
const PACES = { slowest: 0.67, fastest: 2.24 } as const

/** One sentence back for one number typed. Source: trade.md 8. */
export function checkpointWords(
  result: CheckpointResult,
  { left }: CheckpointQuestion['rests'][number],
  { dial, corrected, pace }: CheckpointMachine,
  units: UnitSystem,
): CheckpointWords {
  const told = inUnitOf(left, Math.abs(left - result.should), units)
  const share = percent(Math.abs(result.deviation))
  const stands =
    Math.abs(result.deviation) < 0.005
      ? 'On plan so far.'
      : left > result.should
        ? `${told} behind: ${share} under so far.`
        : `${told} ahead: ${share} over so far.`
  const unchanged = { stands, dial: undefined, pace: undefined, endsAt: result.endsAt }
  const keep = pace === undefined ? '' : ` Keep ${paceWords(pace, units)}.`
  switch (result.answer) {
    case 'carry on':
      return { ...unchanged, level: 'good', act: `Carry on.${keep}` }
    case 'weigh first':
      return {
        ...unchanged,
        level: 'warn',
        act:
          'That would be a large correction on a coarse reading: weigh what is left before anything is ' +
          'changed.',
      }
    case 'stop':
      return {
        ...unchanged,
        level: 'stop',
        act:
          `Stop: the ground behind has ${percent(result.laid)} of what is meant, over the label’s most. ` +
          'Don’t go over it again; ask before the rest goes on.',
      }
    case 'run out':
      return {
        ...unchanged,
        level: 'stop',
        act: 'Stop: nothing is left for the ground that still waits. Weigh out what it needs, or end here.',
      }
    case 'correct':
      break
    default:
      return result.answer satisfies never
  }
  const ends = (reached: number) => result.endsAt + (reached - 1) * result.toCome
  if (corrected)
    return {
      ...unchanged,
      level: 'warn',
      act:
        `${Number(corrected.setting) > Number(dial) ? 'Open' : 'Close'} to ${corrected.setting} ` +
        `(was ${dial}) for the rest.${keep}`,
      dial: corrected.setting,
      endsAt: ends(corrected.reached),
    }
  const walked = pace === undefined ? undefined : pace / result.factor
  if (walked !== undefined && walked >= PACES.slowest && walked <= PACES.fastest)
    return {
      ...unchanged,
      level: 'warn',
      act: `Walk at ${paceWords(walked, units)} for the rest${dial === '' ? '' : `, dial ${dial} as it is`}.`,
      pace: walked,
      endsAt: ends(result.factor),
    }
  const more = result.factor > 1 ? 'more' : 'less'
  return {
    ...unchanged,
    level: 'warn',
    act:
      `The rest needs ${percent(Math.abs(result.factor - 1))} ${more} flow: ` +
      `${more === 'more' ? 'open' : 'close'} the gate a little and weigh again after the next lanes.`,
  }
}

/** What the ground behind got of what it was meant to get, in one unit: "2.9 of 3.4 lb / 1,000 ft²". */
export function laidWords(
  { laid }: CheckpointResult,
  { amount, size, passes, rests }: CheckpointQuestion,
  units: UnitSystem,
): { readonly got: string; readonly of: Shown } {
  const now = rests.at(-1)?.done ?? 0
  const meant = (amount / size) * Math.min(1, Math.ceil(now - 1e-9) / passes)
  const { figures, unit } = showRates([(laid * amount) / size, meant], 'mass', units)
  return { got: figures[0] ?? '', of: { figure: figures[1] ?? '', unit } }
}

/** A difference in the unit in which the rest itself is told: pounds beside pounds. */
function inUnitOf(rest: number, difference: number, units: UnitSystem): string {
  const { massLadder } = SYSTEM_UNITS[units]
  const unit = massLadder.find((one) => rest >= KILOGRAMS_PER[one]) ?? massLadder.at(-1) ?? 'kg'
  return `${formatFigure(difference / KILOGRAMS_PER[unit])} ${unit}`
}

const percent = (share: number): string => `${Math.round(share * 100)} %`

const paceWords = (pace: number, units: UnitSystem): string => {
  const { speed } = SYSTEM_UNITS[units]
  return `${formatGive(pace / METRES_PER_SECOND_PER[speed])} ${speed}`
}
