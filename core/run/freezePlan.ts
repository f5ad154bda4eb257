import { plural } from '../quantity/counting'
import { spreadMethodOf, sprayMethodOf } from '../calibration/courseNote'
import { dayText } from '../calendar/dayText'
import type { ApplicationDraft, ProductDraft } from '../draft/applicationShape'
import type { DialAnswer } from '../draft/dial'
import { DEFAULT_HOUSE, type House } from '../house'
import type { WorkedApplication } from '../job/workOutJob'
import { readPositive, type Entered } from '../quantity/entered'
import { timeSi } from '../quantity/quantity'
import { SECONDS_PER, type TimeUnit } from '../quantity/units'
import { CORE_VERSION } from '../version'
import type { Working } from '../working/working'
import type { CommonStop } from './common/commonStop'
import type { ConditionLimits } from '../conditions/conditionLimits'
import type { FrozenLabel, FrozenPlan } from './runEvent'
import type { Judging } from './verdict'

/** The job an application is run from. */
interface RunOf {
  readonly site: string
  readonly siteId: string | null
}

/**
 * What is kept of an application when its run begins: everything that was shown of it, so that nothing of it
 * is ever worked out again.
 * @param pages the working of every figure; @param limits of the hour, where the labels are known;
 * @param common its part in a mix that serves several sites
 * @returns undefined while its amounts can't be worked out
 */
export function freezePlan(
  { site, siteId }: RunOf,
  draft: ApplicationDraft,
  { request, plan, nitrogen: _n, yearLeft: _y, cost: _c, ...worked }: WorkedApplication,
  pages: readonly Working[],
  { good, acceptable }: House,
  { limits, common }: { readonly limits?: ConditionLimits; readonly common?: CommonStop } = {},
): FrozenPlan | undefined {
  if (!request || !plan) return undefined
  const checkPlots = draft.lawns
    .filter(({ treated }) => treated === 'check')
    .map(({ name }) => name.trim() || 'a lawn')
  return {
    coreVersion: CORE_VERSION,
    site,
    request,
    plan: { ...plan, working: [...pages, ...checkPages(worked.checks)] },
    worked: { ...worked, checks: worked.checks.map(withPage) },
    tolerance: { good, acceptable },
    ...(siteId !== null && { siteId }),
    equipment: draft[draft.method].equipment,
    calibration: calibrationWords(draft, worked.dial),
    labels: draft.products.map(frozenLabel),
    ...(checkPlots.length > 0 && { checkPlots }),
    ...(limits && { limits }),
    ...(common && { common }),
  }
}

/** A frozen plan as it was shown; undefined for one that was frozen before everything was kept. */
export const frozenApplication = ({ request, plan, worked }: FrozenPlan): WorkedApplication | undefined =>
  worked && { ...worked, request, plan, nitrogen: [], yearLeft: [], cost: undefined }

/** What its outcome is judged by, as it stood when the run began. */
export const judgingOf = ({ tolerance = DEFAULT_HOUSE, worked, earlier }: FrozenPlan): Judging => ({
  tolerance,
  groundError: worked && worked.size > 0 ? worked.sd / worked.size : 0,
  ...(earlier === 'as used' && { against: 'nothing' as const }),
})

type Checks = WorkedApplication['checks']
/** Working that a check would write on demand is written down with the plan. */
const checkPages = (checks: Checks): readonly Working[] =>
  checks.flatMap(({ working }, i) =>
    typeof working === 'function' ? [{ figure: `check.${i}`, lines: working() }] : [],
  )
const withPage = (check: Checks[number], i: number): Checks[number] =>
  typeof check.working === 'function' ? { ...check, working: `check.${i}` } : check

/** What of a product's note goes on the record. */
export function frozenLabel({
  id,
  name,
  registration,
  source,
  active,
  reentry,
  repeat,
  lasts,
}: ProductDraft): FrozenLabel {
  const reentryHours = inUnit(reentry, 'h')
  const repeatDays = inUnit(repeat, 'd')
  const lastsDays = inUnit(lasts, 'd')
  return {
    productId: id,
    name,
    registration,
    active: active.name,
    group: active.group ?? '',
    ...(source && { sourceId: source.id }),
    ...(reentryHours !== undefined && { reentryHours }),
    ...(repeatDays !== undefined && { repeatDays }),
    ...(lastsDays !== undefined && { lastsDays }),
  }
}

function inUnit(entered: Entered<TimeUnit> | undefined, unit: TimeUnit): number | undefined {
  const read = entered && readPositive(entered, 'time', 'Interval')
  return read?.ok ? timeSi(read.value) / SECONDS_PER[unit] : undefined
}

const DIAL_WORDS: Readonly<Record<DialAnswer['from'], string>> = {
  calibration: '',
  curve: ' off the curve',
  hand: ' by hand',
  printed: ' off the package',
  untested: ', not tested at this rate',
}

/** How it was calibrated, when, and where the dial stood, in words for the record. */
function calibrationWords(draft: ApplicationDraft, dial: DialAnswer | undefined): string {
  const { on, runs } = draft[draft.method].calibration
  const setting =
    draft.method === 'spread'
      ? `, setting ${dial ? `${dial.setting}${DIAL_WORDS[dial.from]}` : 'not given'}`
      : ''
  const how =
    draft.method === 'spread'
      ? spreadMethodOf(draft.spread.calibration)
      : sprayMethodOf(draft.spray.calibration)
  return (
    `${how}, ${on === '' ? 'no date' : dayText(on)}, ${runs.length} ` +
    `${plural(runs.length, 'run')}${setting}`
  )
}
