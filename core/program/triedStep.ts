import type { FillingLibrary } from '../draft/filledFromLibrary'
import type { LibraryArea } from '../draft/fromLibrary'
import type { StockedProduct } from '../job/cost/jobCost'
import { workOutJob, type JobLibrary } from '../job/workOutJob'
import type { Walk } from '../lanes/walk'
import type { Check, CheckCode } from '../rules/check'
import { plannedRows } from '../rules/plannedRows'
import type { LedgerRow, PlannedRow } from '../season/ledger'
import { intendedApplication, onSomeMachine } from './intendedApplication'
import type { Intention } from './intentions'

/** What a step of one area is worked out from. */
export interface StepQuestion {
  readonly area: LibraryArea
  readonly ledger: readonly LedgerRow[]
  /** What other jobs are going to put there. */
  readonly planned: readonly PlannedRow[]
  /** YYYY-MM-DD */
  readonly today: string
  readonly library: FillingLibrary & JobLibrary & { readonly products: readonly StockedProduct[] }
}

export interface TriedStep {
  /** What speaks against it over the year, the worst first. */
  readonly checks: readonly Check[]
  /** Undefined where its amount can't be known yet. */
  readonly rows: readonly PlannedRow[] | undefined
  /** Undefined without a calibration. */
  readonly walk: Walk | undefined
}

/** Checks that look past the one visit. */
const LONG_VIEW: ReadonlySet<CheckCode> = new Set<CheckCode>([
  'above-max-per-year',
  'active-above-max-per-year',
  'too-many-per-year',
  'year-not-counted',
  'too-soon',
  'group-run',
  'seeding',
  'grass-harmed',
  'local-rule',
])

/**
 * A step worked out as the job it becomes, on its day, with all that lies there and comes before it in sight.
 * @param before what else of the program goes down first
 */
export function triedStep(
  { area, ledger, planned, today, library }: StepQuestion,
  product: StockedProduct,
  { from = today, nitrogen, stepId, occurrence }: Intention,
  before: readonly PlannedRow[] = [],
): TriedStep {
  const on = from < today ? today : from
  const draft = onSomeMachine(intendedApplication({ product, nitrogen }, [area], on, library), on, library)
  const id = `${stepId} ${occurrence}`
  const [worked] = workOutJob({
    applications: [{ id, document: draft }],
    day: on,
    house: library.house,
    library,
    ledger,
    planned: [...planned, ...before],
  })
  const { request, plan, walk } = worked ?? {}
  return {
    checks: (worked?.checks ?? []).filter(
      ({ code, level }) => LONG_VIEW.has(code) && (level === 'stop' || level === 'warn'),
    ),
    rows:
      request && plan
        ? plannedRows({ applicationId: id, draft, request, plan, on }, 'job', 'before')
        : undefined,
    walk,
  }
}
