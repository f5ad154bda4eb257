import { APPLICATION_FIELDS } from '../draft/applicationFields'
import type { LibraryCalibration } from '../calibration/calibrationInForce'
import type { ApplicationDraft } from '../draft/applicationShape'
import { DEFAULT_HOUSE, type House } from '../house'
import { sortChecks } from '../plan/planChecks'
import { fieldReader, type FieldProblem, type FieldReader } from '../quantity/fieldReader'
import { remembered } from '../remembered'
import type { Check } from '../rules/check'
import { nitrogenOfYear, type LawnNitrogen } from '../rules/nutrientYear'
import { plannedRows } from '../rules/plannedRows'
import type { RuleLibrary, RuleReading } from '../rules/reading'
import { askRules } from '../rules/registry'
import { ruleVisit } from '../rules/visit'
import { yearLeft, type YearLeft } from '../rules/yearLeft'
import type { LedgerRow, PlannedRow } from '../season/ledger'
import type { DayConditions } from '../weather/dayConditions'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { jobCost, type JobCost, type StockedProduct } from './cost/jobCost'
import { readLanes } from './lanes/readLanes'
import { calibrateLink, type CalibrateLink } from './links/calibrate'
import { loadLink, type LoadLink } from './links/load'
import { measureLink, type MeasureLink } from './links/measure'
import { rateLink, type RateLink } from './links/rate'
import { walkLink, type WalkLink } from './links/walk'

/** What a crew keeps, as the whole job draws on it. */
export interface JobLibrary extends Omit<RuleLibrary, 'calibrations' | 'products'> {
  readonly products: readonly StockedProduct[]
  /** Of every saved machine. */
  readonly calibrations: readonly MachineCalibration[]
}
interface MachineCalibration extends LibraryCalibration {
  readonly equipmentId: string
}

/** A job with everything it is worked out from. */
export interface JobQuestion {
  /** In the order in which they are done. */
  readonly applications: readonly { readonly id: string; readonly document: ApplicationDraft }[]
  /** The day it is worked out for, YYYY-MM-DD: dated exclusions lapse, calibrations age. */
  readonly day: string
  readonly house?: House
  /** Undefined until it has come; rules that need it wait. */
  readonly library?: JobLibrary | undefined
  /** What lies on its areas, and what other jobs are going to put there. */
  readonly ledger?: readonly LedgerRow[]
  readonly planned?: readonly PlannedRow[]
  /** What the site's station says of its day. */
  readonly weather?: DayConditions | undefined
}

/** Everything that is shown of one application, as far as it can be known from what has been typed. */
export interface WorkedApplication
  extends MeasureLink, Pick<RateLink, 'products'>, CalibrateLink, LoadLink, WalkLink {
  readonly checks: readonly Check[]
  /** Nitrogen of the year on each area, with this application. */
  readonly nitrogen: readonly LawnNitrogen[]
  /** What the labels still leave this year, and what the product costs. */
  readonly yearLeft: readonly YearLeft[]
  readonly cost: JobCost | undefined
  readonly problems: readonly FieldProblem[]
}

const NO_ROWS: readonly never[] = []

/**
 * The one composer: measure, calibrate, rate, load and walk of every application, and all rules asked of each
 * with the rest of the visit in sight. Every screen, the paper and the server read what it says.
 * @param book where the working of every figure is kept; @param inHand the application whose working that is
 */
export function workOutJob(
  question: JobQuestion,
  book: WorkingBook = closedWorkingBook,
  inHand = 0,
): readonly WorkedApplication[] {
  const { applications, day, house = DEFAULT_HOUSE, library } = question
  const linked = applications.map(({ document }, index) =>
    book === closedWorkingBook || index !== inHand
      ? linksOnce(document, day, house, library)
      : linksOf(document, day, house, library, book),
  )
  const otherJobs = (question.planned ?? NO_ROWS).map((row): PlannedRow => ({
    ...row,
    order: row.on > day ? 'after' : 'before',
  }))
  const rowsOf = applications.map(({ id, document }, index) => {
    const { request, plan } = linked[index] ?? {}
    return (order: PlannedRow['order']) =>
      request && plan
        ? plannedRows({ applicationId: id, draft: document, request, plan, on: day }, 'visit', order)
        : NO_ROWS
  })
  const drafts = applications.map(({ document }) => document)
  return linked.map((links, index): WorkedApplication => {
    const draft = drafts[index]
    if (!draft) return unworked(links)
    const others = rowsOf.flatMap((rows, other) =>
      other === index ? [] : rows(other < index ? 'before' : 'after'),
    )
    const reading: RuleReading = {
      draft,
      day,
      house,
      areas: links.lawns,
      products: links.products,
      calibration: links.calibration,
      trust: links.trust,
      request: links.request,
      groups: links.groups,
      plan: links.plan,
      wantedPerPass: links.wantedPerPass,
      light: links.light,
      heavy: links.heavy,
      dial: links.dial,
      visit: { drafts, index },
      library: library && { ...library, calibrations: calibrationsFor(draft, library) },
      ledger: {
        laid: question.ledger ?? NO_ROWS,
        planned: [...others, ...otherJobs],
      },
      weather: question.weather,
    }
    const visit = ruleVisit(reading)
    const own = index === inHand ? book : closedWorkingBook
    return {
      ...links,
      checks: sortChecks(
        askRules(reading, visit),
        draft.products.map(({ id }) => id),
      ),
      nitrogen: visit ? nitrogenOfYear(visit, own) : NO_ROWS,
      yearLeft: visit ? yearLeft(visit, own) : NO_ROWS,
      cost:
        links.request && links.plan && library
          ? jobCost(draft, links.request, links.plan, library.products, own)
          : undefined,
    }
  })
}

/** One application by itself, with nothing known of library or ledger. */
export function workOutApplication(
  document: ApplicationDraft,
  day: string,
  book: WorkingBook = closedWorkingBook,
  house: House = DEFAULT_HOUSE,
): WorkedApplication {
  const [worked] = workOutJob({ applications: [{ id: '', document }], day, house }, book)
  return worked ?? unworked(linksOf(document, day, house, undefined, book))
}

/** Whether an application can be run as it stands: its amounts are known, and nothing typed is wrong. */
export const isReady = ({ plan, problems }: Pick<WorkedApplication, 'plan' | 'problems'>): boolean =>
  plan !== undefined && !problems.some(({ kind }) => kind === 'wrong')

type Links = MeasureLink &
  Pick<RateLink, 'products'> &
  CalibrateLink &
  LoadLink &
  WalkLink & { readonly problems: readonly FieldProblem[] }

const unworked = (links: Links): WorkedApplication => ({
  ...links,
  checks: [],
  nitrogen: [],
  yearLeft: [],
  cost: undefined,
})

/** Calibrations of the machine that carries it; undefined where it is not a saved one. */
function calibrationsFor(
  draft: ApplicationDraft,
  { calibrations }: JobLibrary,
): readonly LibraryCalibration[] | undefined {
  const machine = draft[draft.method].source?.id
  return machine === undefined ? undefined : calibrations.filter(({ equipmentId }) => equipmentId === machine)
}

interface KnownLinks {
  readonly day: string
  readonly house: House
  readonly calibrations: JobLibrary['calibrations'] | undefined
  readonly products: JobLibrary['products'] | undefined
  readonly links: Links
}
const known = remembered((_draft: ApplicationDraft): { last?: KnownLinks } => ({}))

/** At a key in one application the others of its visit are the same ones: they are not worked out again. */
function linksOnce(
  draft: ApplicationDraft,
  day: string,
  house: House,
  library: JobLibrary | undefined,
): Links {
  const kept = known(draft)
  const { last } = kept
  if (
    last?.day === day &&
    last.house === house &&
    last.calibrations === library?.calibrations &&
    last.products === library?.products
  )
    return last.links
  const links = linksOf(draft, day, house, library, closedWorkingBook)
  kept.last = { day, house, calibrations: library?.calibrations, products: library?.products, links }
  return links
}

function linksOf(
  draft: ApplicationDraft,
  day: string,
  house: House,
  library: JobLibrary | undefined,
  book: WorkingBook,
): Links {
  const fields = fieldReader()
  const measure = measureLink(draft, day, fields, book)
  const calibrate = calibrateLink(draft, day, house, fields, book)
  const rate = rateLink(draft, fields)
  const load = loadLink(draft, measure, calibrate.calibration, rate, fields, book, house.units)
  const dials = {
    calibrations: (library && calibrationsFor(draft, library)) ?? NO_ROWS,
    products: library?.products ?? NO_ROWS,
  }
  const walk = walkLink(draft, measure, calibrate.calibration, load, dials, day, book)
  readConditions(draft, fields)
  // As they were planned: with the step their amounts are measured in.
  const products = load.request?.products ?? rate.products
  return { ...measure, ...calibrate, products, ...load, ...walk, problems: fields.problems }
}

/** What was noted of the day is read for its errors here; the rules ask it again. */
function readConditions({ day, fate, lanes }: ApplicationDraft, fields: FieldReader): void {
  const at = fields.of(APPLICATION_FIELDS, '')
  if (day) {
    at.optional('day.air', day.air)
    at.optional('day.soil', day.soil)
  }
  if (fate) at.optional('fate.wait', fate.wait)
  if (lanes) readLanes(lanes, fields)
}
