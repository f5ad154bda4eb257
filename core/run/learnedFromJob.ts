import type { ApplicationDraft } from '../draft/applicationShape'
import { typedFigure } from '../quantity/entered'
import { amountFactor, areaSi, speedSi } from '../quantity/quantity'
import { calibrationFromJob, hasPace, type JobCalibration } from './calibrationFromJob'
import { settingAt, type BeganAt } from './corrections/dialPoints'
import type { Used } from './outcome'
import { doneAt, type RunProgress } from './progress'
import type { FrozenPlan } from './runEvent'
import { deviationRange, worstVerdict, type Verdict } from './verdict'

/** What a finished job may teach about its machine, and whether it is offered ticked. */
export interface LearnedFromJob {
  /** The job as a whole where dial and pace stayed; else each part at a dial and a pace of its own. */
  readonly parts: readonly JobCalibration[]
  readonly offered: 'ticked' | 'asked'
  /** Why it is asked, in a sentence; blank where nothing speaks against it. */
  readonly why: string
}

interface FinishedJob {
  readonly frozen: FrozenPlan
  readonly progress: Pick<RunProgress, 'settings' | 'checked' | 'measured'>
  readonly used: Used
  readonly outcomes: readonly {
    readonly verdict?: Verdict | undefined
    readonly deviation?: number | undefined
    readonly give: number
  }[]
}
type JobDraft = Pick<ApplicationDraft, 'method' | 'spread' | 'spray' | 'products'>
interface Kept {
  /** Day of the job, YYYY-MM-DD. */
  readonly day: string
  readonly by: string
  /** Id of the run that each part becomes, by its place. */
  readonly runId: (part: number) => string
}

/**
 * What the machine learns of a job. Where dial or pace was changed on the way the whole teaches nothing, only
 * its parts do: the stretches between two weighings. A job that came out off is never offered ticked.
 * @returns undefined where nothing can be learned
 * Source: trade.md 3.
 */
export function learnedFromJob(
  { frozen, progress, used, outcomes }: FinishedJob,
  draft: JobDraft,
  { day, by, runId }: Kept,
): LearnedFromJob | undefined {
  const dial = frozen.worked?.dial?.setting ?? draft.spread.calibration.setting
  const as = (of: JobDraft, what: Used, part: number, setting?: string) =>
    calibrationFromJob(of, what, day, by, runId(part), setting)
  if (progress.settings.length > 0) {
    const parts = stretches({ frozen, progress, used }, { dial, pace: paceOf(draft) }).flatMap((one, i) => {
      const own = as(atPace(draft, one.pace), one.used, i, one.dial)
      return own && hasPace(own) ? [own] : []
    })
    return parts.length === 0
      ? undefined
      : { parts, offered: 'asked', why: 'Dial or pace was changed on the way: each part is kept by itself.' }
  }
  const whole = as(draft, used, 0, frozen.worked?.dial?.setting)
  if (!whole) return undefined
  const why = hasPace(whole) ? cameOutOff(outcomes) : 'The pace is not known.'
  return { parts: [whole], offered: why === '' ? 'ticked' : 'asked', why }
}

/** Why a job that came out off is no calibration by itself; blank where it was good or acceptable. */
function cameOutOff(outcomes: FinishedJob['outcomes']): string {
  const worst = worstVerdict(outcomes)
  const off = outcomes.find(({ verdict }) => verdict === worst)
  return off?.deviation !== undefined && (worst === 'off' || worst === 'not certain')
    ? `The job came out ${deviationRange(off.deviation, off.give)}: a test over a taped course is better.`
    : ''
}

interface Stretch extends BeganAt {
  readonly used: Used
}

/** Less of a pass than this between two weighings teaches nothing. */
const LEAST_STRETCH = 0.05

/**
 * The stretches of dry work between two weighings on a scale, each with the one dial and pace it was walked
 * at.
 * What was changed twice between two weighings is no part at a dial of its own.
 */
function stretches(
  { frozen, progress, used }: Omit<FinishedJob, 'outcomes'>,
  began: BeganAt,
): readonly Stretch[] {
  const { request, plan, worked } = frozen
  const [put] = used.putIn
  if (request.method.kind !== 'spread' || plan.rates || !put) return []
  const unit = amountFactor(put.amount.unit)
  const passes = worked?.passes ?? request.method.passes
  const size = areaSi(plan.totals.size)
  const rests = progress.checked
    .map((one) => ({
      done: doneAt(one),
      left: (one.left.value * amountFactor(one.left.unit)) / unit,
      way: one.way,
      at: one.at,
    }))
    .toSorted((a, b) => a.done - b.done)
  const last = { done: passes, left: (used.left.value * amountFactor(used.left.unit)) / unit, at: LATER }
  return [...rests, { ...last, way: 'weighed' as const }].flatMap((rest, i): readonly Stretch[] => {
    const before = rests[i - 1] ?? { done: 0, left: put.amount.value, way: 'weighed' as const, at: '' }
    const changes = progress.settings.filter(({ at }) => at > before.at && at <= rest.at).length
    const walked = rest.done - before.done
    const isOneDial = changes <= (i === 0 ? 0 : 1)
    if (!isOneDial || walked < LEAST_STRETCH || rest.left >= before.left) return []
    if (rest.way !== 'weighed' || before.way !== 'weighed') return []
    return [
      {
        ...settingAt(progress.settings, rest.at, began),
        used: {
          treated: { value: walked * size, unit: 'm2' },
          putIn: [{ productId: put.productId, amount: { value: before.left, unit: put.amount.unit } }],
          left: { value: rest.left, unit: put.amount.unit },
        },
      },
    ]
  })
}
/** Behind every instant a run is written at. */
const LATER = '9999-12-31T00:00:00.000Z'

/** The pace of the work as it was planned, m/s; undefined where nobody timed one today. */
const paceOf = ({ spread }: JobDraft): number | undefined => {
  const read = typedFigure(spread.speedToday, 'speed')
  return read && speedSi(read)
}

/** The same job at one pass and at a pace of its own. */
const atPace = (draft: JobDraft, pace: number | undefined): JobDraft => ({
  ...draft,
  spread: {
    ...draft.spread,
    passes: 1,
    ...(pace !== undefined && { speedToday: { text: String(pace), unit: 'm/s' as const } }),
  },
})
