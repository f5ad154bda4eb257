import type { LibraryArea } from '../draft/fromLibrary'
import { daysBetween } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import { nitrogenWanted } from '../ground/grasses'
import type { StockedProduct } from '../job/cost/jobCost'
import { nutrientText } from '../quantity/nutrientText'
import { rateUnitParts } from '../quantity/rateUnit'
import { BARRIER_DAYS, ESTABLISHED_DAYS } from '../season/lasting'
import type { LedgerRow, PlannedRow } from '../season/ledger'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { Intention } from './intentions'
import { dosePlans, type DosePlan } from './dosePlans'
import { nitrogenBudget, type FeedRow, type NitrogenBudget } from './nitrogenBudget'
import type { StepChange } from './programShape'
import { workYear } from './stepDates'
import { leavingOut, noChange } from './stepChanges'
import { triedStep, type StepQuestion } from './triedStep'

/** Something of a program that cannot go as it stands on one area, and the changes that would clear it. */
export interface ProgramConflict {
  readonly stepId: string
  readonly occurrence: number
  readonly title: string
  readonly level: 'stop' | 'warn'
  readonly message: string
  readonly source: string
  readonly offers: readonly ConflictOffer[]
}
export interface ConflictOffer {
  readonly label: string
  readonly changes: readonly StepChange[]
}

export interface ProgramRow extends PlannedRow, Pick<ProgramConflict, 'stepId' | 'occurrence' | 'title'> {}

export interface ProgramOutlook {
  readonly conflicts: readonly ProgramConflict[]
  /** Undefined where no grass is written down. */
  readonly nitrogen: NitrogenBudget | undefined
  /** The nitrogen to come in doses of either school; nothing where not all of it is known. */
  readonly doses: readonly DosePlan[]
  /** What is still to go down, as the ledger would tell it, with the step it is of. */
  readonly rows: readonly ProgramRow[]
  /** Titles of steps whose amounts can't be known yet, and why. */
  readonly open: readonly string[]
}

export interface ProgramQuestion extends StepQuestion {
  readonly intentions: readonly Intention[]
  readonly latitude: number
}

/** So many other products are tried for one step. */
const MOST_TRIED = 6
const OFFERED = 2
const TO_COME: ReadonlySet<Intention['state']> = new Set(['ahead', 'open', 'late'])

/**
 * A program on one area looked at over its whole season: each step is worked out as the job it becomes, on
 * its day, with all that lies there and comes before it in sight. The same rules speak as on a job's sheet.
 * @param book gets the page `nitrogen.program`
 */
export function programOutlook(
  question: ProgramQuestion,
  book: WorkingBook = closedWorkingBook,
): ProgramOutlook {
  const { area, ledger, planned, today, library } = question
  const coming = question.intentions
    .filter(({ state, from }) => TO_COME.has(state) && from !== undefined)
    .toSorted((a, b) => ((a.from ?? '') < (b.from ?? '') ? -1 : 1))
  const conflicts: ProgramConflict[] = []
  const rows: ProgramRow[] = []
  const feeds: { readonly intention: Intention; readonly row: FeedRow }[] = []
  const open: string[] = []
  for (const intention of coming) {
    if (intention.kind === '') continue
    const seed = seedConflict(intention, area)
    if (seed) conflicts.push(seed)
    const product = library.products.find(({ id }) => id === intention.productId)
    if (!product) {
      open.push(`${intention.title}: no product is chosen yet`)
      continue
    }
    const tried = triedStep(question, product, intention, rows)
    if (!tried.rows) open.push(`${intention.title}: its amount is not known yet`)
    const found = seed ? tried.checks.filter(({ code }) => code !== 'seeding') : tried.checks
    const [worst] = found
    if (worst)
      conflicts.push({
        ...placeOf(intention),
        level: worst.level === 'stop' ? 'stop' : 'warn',
        message: worst.message,
        source: worst.source,
        offers: [...otherProducts(intention, product), leaveOutOffer(intention)],
      })
    rows.push(...(tried.rows ?? []).map((row) => ({ ...row, ...placeOf(intention) })))
    feeds.push(
      ...(tried.rows ?? []).flatMap((row) => (bringsNone(row) ? [] : [{ intention, row: feedOf(row) }])),
    )
  }
  const nitrogen = budget()
  const [first] = feeds
  if (nitrogen && first && (nitrogen.state === 'short' || nitrogen.state === 'over'))
    conflicts.push(nitrogenConflict(nitrogen, feeds.at(-1)?.intention ?? first.intention))
  const known = feeds.flatMap(({ intention, row: { n } }) => (n === undefined ? [] : [{ intention, n }]))
  const doses =
    known.length === feeds.length
      ? dosePlans(
          known,
          area.document.grass.map(({ species }) => species),
          library.system,
        )
      : []
  return { conflicts, nitrogen, doses, rows, open }

  /** Others of its kind on the shelf that no rule speaks against. */
  function otherProducts(intention: Intention, now: StockedProduct): readonly ConflictOffer[] {
    return library.products
      .filter(({ id, document }) => id !== now.id && document.kind === intention.kind)
      .slice(0, MOST_TRIED)
      .filter((other) => triedStep(question, other, intention, rows).checks.length === 0)
      .slice(0, OFFERED)
      .map(({ id, name }) => ({
        label: `Take ${name}`,
        changes: [{ ...noChange(intention), productId: id }],
      }))
  }

  function budget(): NitrogenBudget | undefined {
    const wanted = nitrogenWanted(area.document.grass.map(({ species }) => species))
    const { from, to } = workYear(today, question.latitude)
    if (!wanted) return undefined
    const own = [...ledger, ...planned].filter(
      (row) => row.areaId === area.id && row.on >= from && row.on <= to && !bringsNone(row),
    )
    return nitrogenBudget(
      own.map(feedOf),
      feeds.map(({ row }) => row),
      wanted,
      library.system,
      book,
    )
  }

  function nitrogenConflict(
    { laid, planned, ahead, wanted, state, factor }: NitrogenBudget,
    last: Intention,
  ): ProgramConflict {
    const told = (figure: number) => nutrientText(figure, 'N', library.system)
    const over = state === 'over'
    return {
      ...placeOf(last),
      level: 'warn',
      source: 'grass',
      message:
        `${told(laid)} applied this year, ` +
        (planned > 0 ? `${told(planned)} planned ` : '') +
        `and ${told(ahead)} to come are ${over ? 'over the' : 'under the'} ` +
        `${told(over ? wanted[1] : wanted[0])} its grass ${over ? 'wants at most' : 'wants at least'}.`,
      offers: factor === undefined ? [] : [evenly(ahead * factor)],
    }
  }

  /** What is to come of nitrogen, the same at every feed. @param whole kg/m2 */
  function evenly(whole: number): ConflictOffer {
    const unit = library.system.startsWith('metric') ? 'g/m2' : 'lb/1000 ft2'
    const each = whole / feeds.length / rateUnitParts(unit).factor
    const nitrogen = { text: String(Number(each.toPrecision(3))), unit } as const
    return {
      label: `${nitrogen.text} ${unit} of N each time`,
      changes: feeds.map(({ intention }) => ({ ...noChange(intention), nitrogen })),
    }
  }
}

/** What a row of the ledger brings to each square metre; a label without a density does not tell. */
function feedOf({ on, product, n, sizeM2, ...row }: LedgerRow): FeedRow {
  const quick = 'quickN' in row && typeof row.quickN === 'number' ? row.quickN : undefined
  return {
    on,
    what: product,
    n: n === null ? undefined : n / sizeM2,
    slow: n === null || quick === undefined ? 0 : (n - quick) / sizeM2,
    ...('planned' in row && { planned: true }),
  }
}
const bringsNone = ({ n }: Pick<LedgerRow, 'n'>): boolean => n === 0

const placeOf = ({ stepId, occurrence, title }: Intention) => ({ stepId, occurrence, title })

const leaveOutOffer = (intention: Intention): ConflictOffer => ({
  label: 'Leave it out here',
  changes: [leavingOut(intention)],
})

/** A barrier before seed, or on it while it is young, whatever the product. */
function seedConflict(intention: Intention, { document }: LibraryArea): ProgramConflict | undefined {
  const { kind, from } = intention
  if (kind !== 'pre-emergent herbicide' || from === undefined || document.overseeding === '') return undefined
  const days = daysBetween(from, document.overseeding)
  if (days >= BARRIER_DAYS || days <= -ESTABLISHED_DAYS) return undefined
  return {
    ...placeOf(intention),
    level: 'stop',
    source: 'trade practice; the label goes first',
    message:
      `A barrier from ${dayText(from)} and seed on ${dayText(document.overseeding)}: ` +
      (days >= 0
        ? `it keeps seed down for about ${BARRIER_DAYS} days.`
        : `young grass waits about ${ESTABLISHED_DAYS} days for it.`),
    offers: [leaveOutOffer(intention)],
  }
}
