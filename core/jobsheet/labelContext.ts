import { doseOf, type Carrier, type Dose } from '../label/dose'
import type { RateLine } from '../label/productDocument'
import { carrierOf } from '../plan/carrierOf'
import type { PlanProduct, PlanRequest } from '../plan/planRequest'
import {
  dayNumber,
  historyOf,
  inYear,
  type AreaHistory,
  type HistoryRow,
  type IndexedRow,
} from '../season/history'
import type { House } from '../house'
import type { LocalRule, MixNote } from '../localRules'
import type { ApplicationDocument, LawnNote, ProductNote } from './document'
import type { KeptArea, KeptProduct } from './fromRooms'
import type { Remedy } from './sheetCheck'

/** What the label and history checks of one application look at. */
export interface CheckRooms {
  readonly areas: readonly KeptArea[]
  readonly products: readonly KeptProduct[]
  /** What was put down on the site so far. */
  readonly history: readonly HistoryRow[]
  readonly local: readonly LocalRule[]
  readonly mixes: readonly MixNote[]
}

/** One product of the application with its label as it stands in the room and what goes down of it. */
export interface LabelledLine {
  readonly index: number
  readonly note: ProductNote
  readonly product: KeptProduct
  readonly line: RateLine
  readonly planned: PlanProduct
  readonly dose: Dose
}

/** One lawn that is treated and known to the rooms, with what was put down on it. */
export interface KnownLawn {
  readonly index: number
  readonly lawn: LawnNote
  readonly area: KeptArea
  readonly history: AreaHistory
  /** Doses of this lawn's own, by product. */
  readonly own: ReadonlyMap<string, Dose>
}

export interface LabelContext {
  readonly document: ApplicationDocument
  readonly request: PlanRequest
  readonly lines: readonly LabelledLine[]
  readonly lawns: readonly KnownLawn[]
  readonly rooms: CheckRooms
  /** The day of the job, YYYY-MM-DD. */
  readonly day: string
  /** The same as days since 1970, and its year. */
  readonly dayNumber: number
  readonly year: number
  readonly house: House
}

/**
 * Brings note, label, dose and history together; products and lawns that come from no room are left to the
 * other checks.
 */
export function labelContext(
  document: ApplicationDocument,
  request: PlanRequest,
  rooms: CheckRooms,
  day: string,
  house: House,
): LabelContext {
  const carrier = carrierOf(request.method)
  const lines = document.products.flatMap((note, index): LabelledLine[] => {
    const product = note.source && rooms.products.find(({ id }) => id === note.source?.id)
    const line = product?.document.lines.find(({ id }) => id === note.source?.line)
    const planned = request.products.find(({ id }) => id === note.id)
    const dose = planned && doseOf(planned, carrier)
    return product && line && planned && dose?.ok
      ? [{ index, note, product, line, planned, dose: dose.value }]
      : []
  })
  const lawns = document.lawns.flatMap((lawn, index): KnownLawn[] => {
    const area =
      lawn.treated === 'yes' && lawn.source ? rooms.areas.find(({ id }) => id === lawn.source?.id) : undefined
    return area
      ? [
          {
            index,
            lawn,
            area,
            history: historyOf(rooms.history, area.id),
            own: ownDoses(request, lawn.id, carrier),
          },
        ]
      : []
  })
  return {
    document,
    request,
    lines,
    lawns,
    rooms,
    day,
    dayNumber: dayNumber(day),
    year: Number(day.slice(0, 4)),
    house,
  }
}

const NONE: ReadonlyMap<string, Dose> = new Map()

function ownDoses(
  { areas, products }: PlanRequest,
  lawnId: string,
  carrier: Carrier | undefined,
): ReadonlyMap<string, Dose> {
  const rates = areas.find(({ id }) => id === lawnId)?.rates
  if (!rates) return NONE
  return new Map(
    rates.flatMap(({ id, rate }) => {
      const product = products.find((one) => one.id === id)
      const dose = product && doseOf({ ...product, rate }, carrier)
      return dose?.ok ? [[id, dose.value] as const] : []
    }),
  )
}

/** Product on the ground of one lawn, SI on each m2 in the line's dimension. */
export const perAreaOn = ({ own }: Pick<KnownLawn, 'own'>, { note, dose }: LabelledLine): number =>
  own.get(note.id)?.perArea ?? dose.perArea

/** Dates that this job still stands for: on the first of two the sum of both is tested against the year. */
export const datesOf = ({ note }: LabelledLine): number =>
  note.split === 'share' || note.split === 'repeat' ? 2 : 1

/** Of rows, those of the job's calendar year up to its day. */
export const thisYear = (
  rows: readonly IndexedRow[] | undefined,
  { dayNumber: today, year }: LabelContext,
): readonly IndexedRow[] => (rows ? inYear(rows, year, today) : [])

/** Ways out that leave a lawn untreated; three at most, so that they can be read. */
export const leaveOut = (lawns: readonly Pick<KnownLawn, 'index' | 'area'>[]): readonly Remedy[] =>
  lawns.slice(0, 3).map(({ index, area }) => ({
    label: `Leave out ${area.name}`,
    path: `lawns.${index}.treated`,
    value: 'no',
  }))

/** "Front", "Front and Side", "Front and 3 more". */
export function namesOf(lawns: readonly { readonly area: { readonly name: string } }[]): string {
  const [first, second] = lawns
  if (!first) return ''
  if (!second) return first.area.name
  return lawns.length === 2
    ? `${first.area.name} and ${second.area.name}`
    : `${first.area.name} and ${lawns.length - 1} more`
}
