import { daysBetween } from '../calendar/daysBetween'
import type { GrassName } from '../ground/grasses'
import { counted, sumOf } from '../quantity/counting'
import { nutrientText } from '../quantity/nutrientText'
import { rateUnitParts } from '../quantity/rateUnit'
import type { UnitSystem } from '../quantity/systems'
import { wholeSteps } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'
import type { Intention } from './intentions'
import type { StepChange } from './programShape'
import { noChange } from './stepChanges'

type DoseSchool = 'little and often' | 'a few times'

/** Most nitrogen of one dose by school. Source: trade.md 13 (0.2-0.5 lb, or 0.7-1 lb a few times). kg/m2 */
const MOST_OF: Readonly<Record<DoseSchool, number>> = {
  'little and often': 0.5 * rateUnitParts('lb/1000 ft2').factor,
  'a few times': rateUnitParts('lb/1000 ft2').factor,
}
/** Doses follow each other no closer than so many days. */
const CLOSEST_DAYS = 10

/** The nitrogen that is to come, given in doses of one school. */
export interface DosePlan {
  readonly school: DoseSchool
  readonly doses: number
  /** The least and most of one dose, kg/m2. */
  readonly each: readonly [number, number]
  /** What to take where nothing is chosen. */
  readonly usual: boolean
  /** The program stands so now. */
  readonly chosen: boolean
  readonly why: string
  /** How its doses come about, a line each. */
  readonly working: readonly string[]
  readonly changes: readonly StepChange[]
}

/** A feed to come; n kg/m2. */
export interface FeedToCome {
  readonly intention: Intention
  readonly n: number
}

const WHY: Readonly<Record<DoseSchool, string>> = {
  'little and often': 'even growth and little lost, for more visits',
  'a few times': 'few visits; slow release carries it between them',
}

/**
 * The nitrogen a program is still to bring, dose by dose in two ways: little and often, or a few times. Both
 * bring the same, each feed over the days it had.
 * @param feeds those to come, in order @param grasses of the lawn
 * @returns nothing where no feed is to come
 * Source: trade.md 13 (by grass and labour, both plans offered).
 */
export function dosePlans(
  feeds: readonly FeedToCome[],
  grasses: readonly GrassName[],
  system: UnitSystem,
): readonly DosePlan[] {
  const steps = [...new Set(feeds.map(({ intention }) => intention.stepId))].map((stepId) =>
    feeds.filter(({ intention }) => intention.stepId === stepId),
  )
  if (steps.length === 0) return []
  const usual = usualSchool(grasses)
  const plans = (['little and often', 'a few times'] as const).map((school): DosePlan => {
    const given = steps.map((own) => doseStep(own, MOST_OF[school], system))
    const each = given.map(({ dose }) => dose)
    const doses = sumOf(given, ({ count }) => count)
    return {
      school,
      doses,
      each: [Math.min(...each), Math.max(...each)],
      usual: school === usual,
      chosen: given.every(({ count }, i) => count === steps[i]?.length),
      why: WHY[school],
      working: given.map(({ working }) => working),
      changes: given.flatMap(({ changes }) => changes),
    }
  })
  // So little that both come to the same doses: there is nothing to choose.
  return new Set(plans.map(({ doses }) => doses)).size > 1 ? plans : []
}

/** Close-cut grass that is fed by the spoon; a lawn is not. */
const SPOON_FED: ReadonlySet<GrassName> = new Set(['creeping bentgrass'])
const usualSchool = (grasses: readonly GrassName[]): DoseSchool =>
  grasses.some((name) => SPOON_FED.has(name)) ? 'little and often' : 'a few times'

function doseStep(own: readonly FeedToCome[], most: number, system: UnitSystem) {
  const whole = sumOf(own, ({ n }) => n)
  const [first, last] = [own[0]?.intention, own.at(-1)?.intention]
  const [from, to] = [first?.from, last?.to ?? last?.from]
  const span = from !== undefined && to !== undefined ? Math.max(0, daysBetween(from, to)) : 0
  const room = wholeSteps(span / CLOSEST_DAYS) + 1
  const wanted = Math.max(1, Math.ceil(whole / most - 1e-9))
  const count = Math.min(wanted, room)
  const dose = whole / count
  const every = count > 1 ? Math.max(CLOSEST_DAYS, wholeSteps(span / count)) : CLOSEST_DAYS
  const told = (figure: number) => nutrientText(figure, 'N', system, sixDigits)
  const working =
    `${first?.title ?? ''}: ${told(whole)} over ${counted(span, 'day')}, at most ${told(most)} at once and ` +
    `${CLOSEST_DAYS} days apart: ${counted(count, 'dose')} of ${told(dose)}` +
    (count > 1 ? `, ${every} days apart` : '')
  return { count, dose, working, changes: first ? changesOf(first, count, every, dose, system) : [] }
}

function changesOf(
  first: Intention,
  count: number,
  every: number,
  dose: number,
  system: UnitSystem,
): readonly StepChange[] {
  const unit = system.startsWith('metric') ? 'g/m2' : 'lb/1000 ft2'
  const text = String(Number((dose / rateUnitParts(unit).factor).toPrecision(3)))
  const series = { times: String(first.occurrence + count), every: String(every) }
  const doses = Array.from({ length: count }, (_, i) => ({
    ...noChange({ ...first, occurrence: first.occurrence + i }),
    nitrogen: { text, unit } as const,
  }))
  return [{ ...noChange({ ...first, occurrence: 0 }), ...series }, ...doses]
}
