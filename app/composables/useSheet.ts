import type { InjectionKey } from 'vue'
import { workDay } from '#core/calendar/workDay'
import { composeSheet, type ApplicationSheet } from '#core/jobsheet/applicationSheet'
import type { ApplicationDocument } from '#core/jobsheet/document'
import { dialChecks, dialForRate } from '#core/jobsheet/dialChecks'
import type { CheckRooms } from '#core/jobsheet/labelContext'
import { roomChecks, sheetNitrogen, sheetYearLeft } from '#core/jobsheet/roomChecks'
import { jobCost, type JobCost, type StockedProduct } from '#core/jobsheet/jobCost'
import type { LawnNitrogen } from '#core/jobsheet/nutrientYear'
import { visitOrder } from '#core/jobsheet/visitOrder'
import type { YearLeft } from '#core/jobsheet/yearLeft'
import { inMeasures } from '#core/plan/inMeasures'
import { perPassOf } from '#core/plan/mergePlans'
import { tubFillsOf } from '#core/plan/tubFills'
import { sourceChecks, type RoomsNow } from '#core/jobsheet/sourceChecks'
import { sortChecks } from '#core/plan/planChecks'
import { DEFAULT_HOUSE } from '#core/house'
import { openWorkingBook, type WorkingBook } from '#core/working/working'

/**
 * The sheet in hand: the document as typed, everything worked out from it, and how to change a field by its
 * path.
 */
export interface SheetContext extends FormContext {
  readonly document: ComputedRef<ApplicationDocument>
  readonly sheet: ComputedRef<ApplicationSheet>
  /** The day it is worked out for: today, or the day it is planned for if that is later. */
  readonly day: ComputedRef<string>
  /** Nitrogen of the year on each lawn, with this application. */
  readonly nitrogen: ComputedRef<readonly LawnNitrogen[]>
  /** What the labels still leave this year, and what the product costs. */
  readonly yearLeft: ComputedRef<readonly YearLeft[]>
  readonly cost: ComputedRef<JobCost | undefined>
  /** The setting the curve gives for a rate of one pass, kg on each m2. */
  readonly dialFor: (perPass: number) => string | undefined
}

const key: InjectionKey<SheetContext> = Symbol('sheet')

interface SheetOptions {
  readonly document: () => ApplicationDocument
  readonly change: (document: ApplicationDocument) => void
  readonly locked: () => boolean
  readonly plannedFor: () => string
  /** What stands in the rooms now, for what the job was copied from. */
  readonly rooms: () =>
    (RoomsNow & Pick<CheckRooms, 'history'> & { readonly products: readonly StockedProduct[] }) | undefined
  /** Plans the job for another day, where a check's way out is one. */
  readonly planFor?: (day: string) => void
  /** Puts the application one place earlier in its visit. */
  readonly putEarlier?: () => void
  /** All applications of the visit, and which is in hand. */
  readonly visit?: () => { readonly documents: readonly ApplicationDocument[]; readonly index: number }
}

/** Makes the core's sheet reactive and gives it to the components below. */
export function provideSheet(options: SheetOptions): SheetContext {
  const crew = useCrewStore()
  const shelves = useRoomsStore()
  const document = computed(options.document)
  const day = computed(() => workDay(options.plannedFor(), crew.today()))
  const house = computed(() => crew.organization?.settings.house ?? DEFAULT_HOUSE)
  const composed = computed(() => composeSheet(document.value, day.value, undefined, house.value))
  const rooms = computed(() => {
    const now = options.rooms()
    const { local = [], mixes = [] } = crew.organization?.settings ?? {}
    return now && !options.locked() ? { ...now, local, mixes } : undefined
  })
  const nitrogen = computed(() =>
    rooms.value ? sheetNitrogen(document.value, composed.value, rooms.value, day.value, house.value) : [],
  )
  const yearLeft = computed(() =>
    rooms.value ? sheetYearLeft(document.value, composed.value, rooms.value, day.value, house.value) : [],
  )
  const costed = (book?: WorkingBook) => {
    const { request, plan } = composed.value
    return request && plan && rooms.value
      ? jobCost(document.value, request, plan, rooms.value.products, book)
      : undefined
  }
  const cost = computed(() => costed())
  const order = computed(() => {
    const visit = options.visit?.()
    return visit && !options.locked() ? visitOrder(visit.documents, visit.index) : []
  })
  const sources = computed(() => {
    if (!rooms.value) return order.value
    return [
      ...order.value,
      ...sourceChecks(document.value, rooms.value, day.value, house.value),
      ...roomChecks(document.value, composed.value, rooms.value, day.value, house.value),
      ...dialChecks(
        document.value,
        composed.value,
        rooms.value.calibrations ?? [],
        rooms.value.products,
        day.value,
      ),
    ]
  })
  const sheet = computed<ApplicationSheet>(() =>
    sources.value.length === 0
      ? composed.value
      : {
          ...composed.value,
          checks: sortChecks(
            [...composed.value.checks, ...sources.value],
            document.value.products.map(({ id }) => id),
          ),
        },
  )
  function change(path: string, value: unknown) {
    if (path === 'plannedFor' && typeof value === 'string') return options.planFor?.(value)
    if (path === 'order') return options.putEarlier?.()
    options.change(withValue(document.value, path, value))
  }
  const form = provideForm({
    problems: () => composed.value.problems,
    change,
    locked: options.locked,
    sectionsOf,
  })
  const dialFor = (perPass: number, figure?: string, book?: WorkingBook) =>
    dialForRate(
      document.value,
      composed.value,
      rooms.value?.calibrations ?? [],
      rooms.value?.products ?? [],
      day.value,
      perPass,
      figure,
      book,
    )
  const context: SheetContext = { ...form, document, sheet, day, nitrogen, yearLeft, cost, dialFor }
  provide(key, context)
  useWorkingPages(
    () => {
      const book = openWorkingBook()
      const worked = composeSheet(document.value, day.value, book, house.value)
      if (rooms.value) {
        sheetNitrogen(document.value, worked, rooms.value, day.value, house.value, book)
        sheetYearLeft(document.value, worked, rooms.value, day.value, house.value, book)
      }
      costed(book)
      noteMeasures(document.value, worked, book)
      tubFillsOf(worked.hopper?.weighIn, shelves.equipment, book)
      const { request } = worked
      if (request?.method.kind === 'spread') {
        for (const [i, group] of (worked.plan?.rates ?? []).entries())
          dialFor(
            perPassOf(group, request.method.passes, `rates.${i}.pass`, book) ?? 0,
            `rates.${i}.dial`,
            book,
          )
      }
      sheet.value.checks.forEach(({ working }, i) => {
        if (typeof working === 'function') book.note(`check.${i}`, working)
      })
      return book.pages()
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

/** The household measures of every load. */
function noteMeasures(
  { products }: ApplicationDocument,
  { plan, products: planned }: ApplicationSheet,
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
  const [first = '', second = ''] = path.split('.')
  if (first === 'day' || first === 'fate') return ['day']
  return first === 'lawns' || first === 'products' ? [`${first}.${second}`] : [`${first}.${second}`, first]
}
