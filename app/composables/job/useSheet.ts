import { withValue } from '#core/shape/paths'
import { APPLICATION_TABLE } from '#core/draft/applicationFields'
import type { Figure } from '#core/working/figures'
import type { InjectionKey } from 'vue'
import { linkAt, type LinkName } from '#core/job/chain'
import { workDay } from '#core/calendar/workDay'
import { curveDial } from '#core/draft/dial'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { workOutJob, type JobQuestion, type WorkedApplication } from '#core/job/workOutJob'
import { inMeasures } from '#core/plan/inMeasures'
import { groupPerPass } from '#core/plan/groupPerPass'
import { tubFillsOf } from '#core/plan/tubFills'
import { frozenApplication } from '#core/run/freezePlan'
import type { FrozenPlan } from '#core/run/runEvent'
import { openWorkingBook, type WorkingBook } from '#core/working/working'

/**
 * The sheet in hand: the document as typed, everything worked out from it, and how to change a field by its
 * path.
 */
export interface SheetContext extends FormContext {
  readonly document: ComputedRef<ApplicationDraft>
  readonly sheet: ComputedRef<WorkedApplication>
  /** All applications of the job, worked out together. */
  readonly visit: ComputedRef<readonly WorkedApplication[]>
  /** The day it is worked out for: today, or the day it is planned for if that is later. */
  readonly day: ComputedRef<string>
  /** The setting the curve gives for a rate of one pass, kg on each m2. */
  readonly dialFor: (perPass: number) => string | undefined
  /** Does again what was typed before the library was there, whichever link is open when it comes. */
  readonly whenLoaded: ReturnType<typeof useWhenLoaded>
  /** Its lanes, as they were last worked out. */
  readonly lanes: ReturnType<typeof useLanes>
}

const key: InjectionKey<SheetContext> = Symbol('sheet')

interface SheetOptions {
  /** All applications of the visit, and which is in hand. */
  readonly applications: () => JobQuestion['applications']
  readonly index: () => number
  readonly change: (document: ApplicationDraft) => void
  readonly locked: () => boolean
  readonly plannedFor: () => string
  /** What was frozen when its run began; shown instead of anything worked out. */
  readonly frozen?: () => FrozenPlan | undefined
  /** Plans the job for another day, where a check's way out is one. */
  readonly planFor?: (day: string) => void
  /** Opens the link of the chain that a field stands on. */
  readonly open?: (link: LinkName) => void
  /** Puts the application one place earlier in its visit. */
  readonly putEarlier?: () => void
}

/** Makes what the core composes reactive and gives it to the components below. */
export function provideSheet(options: SheetOptions): SheetContext {
  const crew = useCrewStore()
  const libraryStore = useLibraryStore()
  const { library, house } = useJobLibrary()
  const index = computed(options.index)
  const document = computed(() => {
    const list = options.applications()
    return (list[index.value] ?? list[0]!).document
  })
  const day = computed(() => workDay(options.plannedFor(), crew.today()))
  const question = computed((): JobQuestion => ({
    applications: options.applications(),
    day: day.value,
    house: house.value,
    library: library.value,
    ledger: libraryStore.ledger,
    planned: libraryStore.planned,
    weather: libraryStore.weather?.on === day.value ? libraryStore.weather : undefined,
  }))
  const frozen = computed(() => {
    const plan = options.frozen?.()
    return plan && frozenApplication(plan)
  })
  const visit = computed(() => workOutJob(question.value))
  const sheet = computed((): WorkedApplication => frozen.value ?? visit.value[index.value] ?? visit.value[0]!)
  function change(path: string, value: unknown) {
    if (path === 'plannedFor' && typeof value === 'string') return options.planFor?.(value)
    if (path === 'order') return options.putEarlier?.()
    options.change(withValue(document.value, path, value))
  }
  const form = provideForm({
    document: () => document.value,
    fields: () => APPLICATION_TABLE,
    problems: () => sheet.value.problems,
    change,
    locked: options.locked,
    sectionsOf,
    reveal: (path) => {
      const link = linkAt(path)
      if (link) options.open?.(link)
    },
  })
  const dialFor = (perPass: number, figure?: Figure, book?: WorkingBook) =>
    dialForPass(document.value, sheet.value, libraryStore, day.value, perPass, figure, book)
  const context: SheetContext = {
    ...form,
    document,
    sheet,
    visit,
    day,
    dialFor,
    whenLoaded: useWhenLoaded(),
    lanes: useLanes(document, sheet),
  }
  provide(key, context)
  useWorkingPages(
    () => {
      const ofLanes = context.lanes.worked.value?.pages ?? []
      const kept = options.frozen?.()?.plan.working
      if (frozen.value && kept) return [...kept, ...ofLanes]
      const book = openWorkingBook()
      const worked = workOutJob(question.value, book, index.value)[index.value]
      if (!worked) return []
      noteMeasures(document.value, worked, book)
      tubFillsOf(worked.hopper?.weighIn, libraryStore.equipment, book)
      const { request } = worked
      if (request?.method.kind === 'spread') {
        for (const [i, group] of (worked.plan?.rates ?? []).entries())
          dialFor(
            groupPerPass(group, request.method.passes, `rates.${i}.pass`, book) ?? 0,
            `rates.${i}.dial`,
            book,
          )
      }
      sheet.value.checks.forEach(({ working }, i) => {
        if (typeof working === 'function') book.note(`check.${i}`, working)
      })
      return [...book.pages(), ...ofLanes]
    },
    computed(
      () =>
        new Map([
          ...figureNames(document.value),
          ...sheet.value.checks.map(({ source }, i) => [`check.${i}`, `Check: ${source}`] as const),
        ]),
    ),
  )
  return context
}

/** The setting that the spreader's curve gives for one pass at a rate of its own, kg on each m2. */
export function dialForPass(
  document: ApplicationDraft,
  { calibration }: WorkedApplication,
  { calibrations, products }: Pick<ReturnType<typeof useLibraryStore>, 'calibrations' | 'products'>,
  day: string,
  perPass: number,
  figure: Figure = '',
  book?: WorkingBook,
): string | undefined {
  const own = calibrations.filter(({ equipmentId }) => equipmentId === document.spread.source?.id)
  return (
    calibration &&
    curveDial(document, calibration, perPass, { calibrations: own, products }, day, figure, book)?.setting
  )
}

/** The household measures of every load. */
function noteMeasures(
  { products }: ApplicationDraft,
  { plan, products: planned }: WorkedApplication,
  book: WorkingBook,
): void {
  for (const { number, products: measured } of plan?.loads ?? []) {
    for (const { id, measured: amount } of measured)
      inMeasures(
        amount,
        products.find((one) => one.id === id)?.measures ?? [],
        planned.find((one) => one?.id === id)?.density,
        `measures.${id}.${number}`,
        book,
      )
  }
}

export function useSheet(): SheetContext {
  const context = inject(key)
  if (!context) throw new Error('no sheet is provided above this component')
  return context
}

/** The folds of the sheet that a path lies in. */
function sectionsOf(path: string): readonly string[] {
  const [first = '', second = '', third = ''] = path.split('.')
  // Name and rate of a product stand outside its fold.
  if (first === 'products' && (third === 'name' || third === 'rate')) return []
  if (first === 'day' || first === 'fate') return ['day']
  return first === 'lawns' || first === 'products' ? [`${first}.${second}`] : [`${first}.${second}`, first]
}
