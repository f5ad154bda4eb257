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
  /** What else: a large change is weighed again, more is needed, ground behind lacks some. */
  readonly also: readonly string[]
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
  /** Where the dial goes for the rest; undefined where nobody knows where it stands. */
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
  const unchanged = {
    stands,
    also: alsoWords(result, left, units),
    dial: undefined,
    pace: undefined,
    endsAt: result.endsAt,
  }
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
    case 'rose':
      return {
        ...unchanged,
        also: [],
        level: 'warn',
        act: 'More is left than there was before: weigh it again, or note what was filled in.',
      }
    case 'enough':
      return {
        ...unchanged,
        level: 'stop',
        act: 'Stop: all that is meant lies there, and another pass has nothing to add. Keep what is left.',
      }
    case 'correct':
      break
    default:
      return result.answer satisfies never
  }
  const ends = (reached: number) => result.endsAt + (reached - 1) * result.toCome
  const walked = pace === undefined ? undefined : pace / result.factor
  const walks = walked !== undefined && walked >= PACES.slowest && walked <= PACES.fastest
  if (corrected && (corrected.by === 'curve' || !walks))
    return {
      ...unchanged,
      level: 'warn',
      act:
        `${Number(corrected.setting) > Number(dial) ? 'Open' : 'Close'} to ${corrected.setting} ` +
        `(was ${dial}) for the rest` +
        (corrected.by === 'guess' ? ', a guess: nothing tested reaches there.' : '.') +
        keep,
      dial: corrected.setting,
      endsAt: ends(corrected.reached),
    }
  if (walks)
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
      `The rest needs ${percent(Math.abs(result.factor - 1))} ${more} flow: say where the dial stands, and ` +
      'its new number is worked out.',
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

function alsoWords(
  { answer, weighAgainAt, short, lacking }: CheckpointResult,
  left: number,
  units: UnitSystem,
) {
  const ahead = answer === 'carry on' || answer === 'correct'
  return [
    ...(answer === 'correct' && weighAgainAt !== undefined
      ? ['That is a large change: weigh again after a tenth of the pass.']
      : []),
    ...(ahead && short > WORTH_SAYING * left
      ? [`The rest needs ${inUnitOf(left, short, units)} more than is left: weigh it in.`]
      : []),
    ...lacking.map(
      ({ amount, share, room }) =>
        `The ground behind lacks ${inUnitOf(left, amount, units)}, ${percent(share)} of what is meant. ` +
        (room === 'yes'
          ? 'It is not made up on other ground: a light pass over just that ground comes at the end.'
          : 'The label has no room to make it up: the record says short.'),
    ),
  ]
}
/** Less than this share of what is left is inside anybody's weighing. */
const WORTH_SAYING = 0.02

const percent = (share: number): string => `${Math.round(share * 100)} %`

const paceWords = (pace: number, units: UnitSystem): string => {
  const { speed } = SYSTEM_UNITS[units]
  return `${formatGive(pace / METRES_PER_SECOND_PER[speed])} ${speed}`
}
