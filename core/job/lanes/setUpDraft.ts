import { SET_UP_FIELDS } from './laneFields'
import type { SetUp } from '../../lanes/coverage/workOutCoverage'
import type { LanesQuestion, WalkedLawn } from '../../lanes/lawns/lanesQuestion'
import type { WorkedApplication } from '../workOutJob'
import { straightened, typicalSpread, type Pattern } from '../../lanes/coverage/profiles'
import type { HEADER_CHOICES } from '../../draft/applicationChoices'
import type { Entered } from '../../quantity/entered'
import type { FieldReader } from '../../quantity/fieldReader'
import { lengthSi, speedSi } from '../../quantity/quantity'
import type { LengthUnit, SpeedUnit } from '../../quantity/units'

export const PATTERN_CHOICES = ['as known', 'straightened', 'typical'] as const

/** One way to go over a lawn as typed; blank: as the job has it. */
export interface SetUpDraft {
  readonly passes: string
  readonly apart: Entered<LengthUnit>
  readonly speed: Entered<SpeedUnit>
  readonly headers: (typeof HEADER_CHOICES)[number]
  readonly pattern: (typeof PATTERN_CHOICES)[number]
  readonly deflector: '' | 'left' | 'right'
  readonly wander: Entered<LengthUnit>
  readonly speedSd: Entered<'%'>
  readonly lag: Entered<LengthUnit>
}

/** The job itself, as a set-up; SI. */
export interface SetUpOfJob extends Omit<SetUp, 'pattern' | 'laid' | 'wander' | 'speedSd' | 'lag'> {
  readonly pattern: Pattern
  /** kg or m3 on each m2, all passes. */
  readonly target: number
}

/** How a practised walker wanders, varies the pace and opens the gate, where nobody typed it; a guess. */
const USUAL_WALK = { wander: 0.15, speedSd: 0.05, lag: 0.2 } as const
const MOST_PASSES = 8

/**
 * A set-up from what was typed over the job's own. The dial is set for its passes and its lanes; where only
 * the pace differs it stays, so a quicker pace lays less.
 * @param path dotted, of the draft
 */
export function readSetUp(
  draft: SetUpDraft,
  job: SetUpOfJob,
  path: string,
  fields: FieldReader,
): { readonly setUp: SetUp; readonly words: string } {
  const at = fields.of(SET_UP_FIELDS, path)
  const apart = at.optional('apart', draft.apart)
  const speed = at.optional('speed', draft.speed)
  const wander = at.optional('wander', draft.wander)
  const speedSd = at.optional('speedSd', draft.speedSd)
  const lag = at.optional('lag', draft.lag)
  const passes = passesOf(draft.passes, job.passes, `${path}.passes`, fields)
  const width = apart ? lengthSi(apart) : job.width
  const pace = speed ? speedSi(speed) : job.speed
  const pattern = patternOf(draft.pattern, job)
  return {
    setUp: {
      passes,
      width,
      headers: draft.headers === '' ? job.headers : Number(draft.headers),
      direction: job.direction,
      start: job.start,
      speed: pace,
      turn: job.turn,
      pattern,
      deflector: draft.deflector || undefined,
      laid: (job.target * job.speed) / pace,
      wander: wander ? lengthSi(wander) : USUAL_WALK.wander,
      speedSd: speedSd ? speedSd.value / 100 : USUAL_WALK.speedSd,
      lag: lag ? lengthSi(lag) : USUAL_WALK.lag,
    },
    words: [
      passes === 1 ? 'one pass' : passes === 2 ? 'two passes' : `${passes} passes`,
      ...(apart ? [`lanes ${draft.apart.text.trim()} ${draft.apart.unit} apart`] : []),
      ...(speed ? [`at ${draft.speed.text.trim()} ${draft.speed.unit}`] : []),
      ...(draft.headers === '' ? [] : [draft.headers === '0' ? 'no laps' : `${draft.headers} laps`]),
      ...(draft.pattern === 'as known' ? [] : [`${draft.pattern} pattern`]),
      ...(draft.deflector ? [`deflector ${draft.deflector}`] : []),
    ].join(', '),
  }
}

function passesOf(text: string, own: number, path: string, fields: FieldReader): number {
  if (text.trim() === '') return own
  const passes = Number(text)
  if (Number.isInteger(passes) && passes > 0 && passes <= MOST_PASSES) return passes
  fields.wrong(path, `Passes are a whole number from 1 to ${MOST_PASSES}: 2.`)
  return own
}

function patternOf(choice: SetUpDraft['pattern'], { pattern, width }: SetUpOfJob): Pattern {
  if (choice === 'typical') return typicalSpread(width)
  return choice === 'straightened' ? { ...pattern, profile: straightened(pattern.profile) } : pattern
}

/** kg or m3 that an application means for each m2, all passes; nought while it is not known. */
export function targetOf(
  { calibration, passes, wantedPerPass, heavy }: WorkedApplication,
  method: 'spread' | 'spray',
): number {
  const perPass = calibration?.perPass ?? 0
  return method === 'spray' ? (heavy?.carrier ?? perPass) : (wantedPerPass ?? perPass) * passes
}

/** An application and one of its lawns as a set-up. */
export const setUpOfJob = (
  { passes, width, headers, speed, turn, shutSide }: LanesQuestion,
  lawn: Pick<WalkedLawn, 'direction' | 'start'> | undefined,
  pattern: Pattern,
  target: number,
): SetUpOfJob => ({
  passes,
  width,
  headers,
  direction: lawn?.direction,
  start: lawn?.start,
  speed,
  turn,
  deflector: shutSide,
  pattern,
  target,
})

/** Forty cells across a lane, none so fine that nobody could walk by it. m */
const [CELLS_A_LANE, FINEST, COARSEST] = [40, 0.05, 0.25]
export const cellFor = (width: number): number => Math.min(COARSEST, Math.max(FINEST, width / CELLS_A_LANE))
