import { counted, sumOf } from '../quantity/counting'
import { nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { isOver, isUnder } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** Nitrogen of a year on one area: what lies there, what is still to come, what its grass wants; kg/m2. */
export interface NitrogenBudget {
  readonly laid: number
  /** In jobs that are planned and not applied yet. */
  readonly planned: number
  readonly ahead: number
  /** Of what is to come: what its labels say is slow release. */
  readonly slow: number
  /** Applications whose nitrogen nobody can tell: it is in no sum. */
  readonly unknown: number
  readonly wanted: readonly [number, number]
  /** `unknown`: not over by what is known, and what is not known may make good what it is short of. */
  readonly state: 'short' | 'within' | 'over' | 'unknown'
  /**
   * What each feed to come is to be multiplied by to stay within; 1 where it does, undefined where no factor
   * helps: nothing is to come, too much lies there already, or not all of it is known.
   */
  readonly factor: number | undefined
}

/** One feed; n undefined where the label does not tell. kg/m2 */
export interface FeedRow {
  readonly on: string
  readonly what: string
  readonly n: number | undefined
  readonly slow: number
  /** In a job that is planned, not applied yet. */
  readonly planned?: boolean
}

/**
 * @param laid what was applied and what jobs are planned to apply this year
 * @param ahead feeds of the program to come
 * @param wanted kg/m2 in a year, from and to @param book gets the page `nitrogen.program`
 * Source: trade.md 5 (unknown is never nothing) and 10 (nitrogen per grass and year).
 */
export function nitrogenBudget(
  laid: readonly FeedRow[],
  ahead: readonly FeedRow[],
  wanted: readonly [number, number],
  system: UnitSystem,
  book: WorkingBook = closedWorkingBook,
): NitrogenBudget {
  const sum = (rows: readonly FeedRow[]) => sumOf(rows, ({ n }) => n ?? 0)
  const planned = laid.filter((row) => row.planned)
  const [there, comes, plans] = [sum(laid), sum(ahead), sum(planned)]
  const slow = sumOf(ahead, (one) => one.slow)
  const unknown = [...laid, ...ahead].filter(({ n }) => n === undefined).length
  const [least, most] = wanted
  const whole = there + comes
  const short = isUnder(whole, least)
  const state = isOver(whole, most)
    ? 'over'
    : unknown > 0
      ? short
        ? 'unknown'
        : 'within'
      : short
        ? 'short'
        : 'within'
  const goal = state === 'over' ? most : least
  const helps = comes > 0 && goal > there && unknown === 0
  const factor = state === 'within' ? 1 : state !== 'unknown' && helps ? (goal - there) / comes : undefined
  const told = (figure: number) => nutrientText(figure, 'N', system, sixDigits)
  const lines = (rows: readonly FeedRow[]) =>
    rows.map(({ on, what, n }) => `${on}, ${what}: ${n === undefined ? 'not known' : told(n)}`)
  book.note('nitrogen.program', () => [
    ...lines(laid.filter((row) => !row.planned)),
    `Applied: ${told(there - plans)}`,
    ...(planned.length > 0 ? [...lines(planned), `Planned in jobs: ${told(plans)}`] : []),
    ...lines(ahead),
    `To come by the program: ${told(comes)}, ${told(slow)} of it slow release`,
    `Together ${told(whole)}; the grass wants ${told(least)} to ${told(most)}`,
    ...(unknown > 0 ? [`${counted(unknown, 'application')} not counted: the label does not tell`] : []),
    ...(factor !== undefined && factor !== 1
      ? [`(${told(goal)} - ${told(there)}) / ${told(comes)} = ${sixDigits(factor)} times each feed to come`]
      : []),
  ])
  return { laid: there - plans, planned: plans, ahead: comes, slow, unknown, wanted, state, factor }
}
