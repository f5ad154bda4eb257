import { dayNumber, dayOfNumber } from '../../calendar/dayNumber'
import { dayText } from '../../calendar/dayText'
import { GRASSES } from '../../ground/grasses'
import { SEVERAL_DAYS } from '../../weather/severalDayMean'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { ESTABLISHED_DAYS } from '../lasting'
import { BANDS, type Band } from './bands'
import { crossing, heldSince, meanOn, type SoilShift } from './crossing'
import { halfYearOf, type HalfYear } from './halfYear'
import { secondHalf } from './secondHalf'
import type {
  DaySpan,
  SeasonWindow,
  SoilDays,
  TellTemperature,
  WindowGround,
  WindowState,
} from './seasonWindow'

/** A mean so many days old still says where a window stands. */
const FRESH_DAYS = 3
/** A window that is seen to close within so many days is closing. */
const SOON_DAYS = 7

/**
 * Where each window of the grasses stands today.
 * @param days soil, with what is forecast after today
 * @param today YYYY-MM-DD
 * @param book gets the page `windows`: the five-day mean they go by
 * Source: trade.md 10. Spring and autumn are halves of the year by hemisphere, never months.
 */
export function seasonWindows(
  days: SoilDays,
  ground: WindowGround,
  today: string,
  tell: TellTemperature,
  book: WorkingBook = closedWorkingBook,
): readonly SeasonWindow[] {
  const seasons = new Set(ground.grasses.map((name) => GRASSES[name].season))
  const fitting = BANDS.filter(({ season }) => season === undefined || seasons.has(season))
  const now = dayNumber(today)
  const names = [...new Set(fitting.map(({ name }) => name))]
  const windows = names.map((name): SeasonWindow => {
    const halves = fitting.filter((band) => band.name === name)
    const present = halves.find(({ half }) => {
      const { from, to } = halfYearOf(half, today, ground.latitude)
      return now >= from && now <= to
    })
    return windowOf(present ?? halves[0]!, days, ground, today, tell)
  })
  book.note('windows', () => [...meanWorking(days, now, tell), ...windows.flatMap(spanWorking)])
  const after = windows.findIndex(({ name }) => name === 'spring pre-emergent') + 1
  return windows.toSpliced(after, 0, secondHalf(days, ground, today, tell))
}

/** Between which days a window still comes: its crossings with the soil warmer and colder by its give. */
function spanWorking({ name, opens, closes, opensBetween, closesBetween }: SeasonWindow): readonly string[] {
  const line = (what: string, day: string | undefined, span: DaySpan) =>
    `${name} ${what} ${day ?? 'on no day of this year'}; with the soil warmer and colder by its give, two ` +
    `standard deviations: ${span.early ?? 'never'} to ${span.late ?? 'never'}`
  return [
    ...(opensBetween ? [line('opens', opens, opensBetween)] : []),
    ...(closesBetween ? [line('closes', closes, closesBetween)] : []),
  ]
}

/** The mean of the last five days, day by day. */
function meanWorking(soilDays: SoilDays, now: number, tell: TellTemperature): readonly string[] {
  const { first, soil } = soilDays
  const mean = meanOn(soilDays, now)
  if (Number.isNaN(mean)) return ['One of the five days to today is not known: no mean']
  const days = Array.from({ length: SEVERAL_DAYS }, (_, back) => now - SEVERAL_DAYS + 1 + back)
  return [
    ...days.map((day) => `${dayOfNumber(day)}: ${tell(soil[day - first] ?? Number.NaN)}`),
    `Their mean: ${tell(mean)}`,
  ]
}

function windowOf(
  band: Band,
  days: SoilDays,
  ground: WindowGround,
  today: string,
  tell: TellTemperature,
): SeasonWindow {
  const half = halfYearOf(band.half, today, ground.latitude)
  const now = dayNumber(today)
  const spring = halfYearOf('warming', dayOfNumber(half.from - 1), ground.latitude)
  const at = (shift: SoilShift) => turnsOf(band, days, half, spring, shift)
  const { opening, touched, closing } = at(0)
  const dates = {
    opens: opening !== undefined && seenBefore(days, opening) ? dayOfNumber(opening) : undefined,
    closes: closing !== undefined && seenBefore(days, closing) ? dayOfNumber(closing) : undefined,
    ...betweenOf(days, half, now, { opening, closing }, at),
  }
  const told = (state: WindowState, reason: string): SeasonWindow => ({
    name: band.name,
    ...dates,
    state,
    reason,
  })

  const seed = ground.overseeding
  if (band.barrier && seed !== undefined) {
    const sown = dayNumber(seed)
    if (sown >= half.from && sown <= half.to && now < sown + ESTABLISHED_DAYS)
      return told('over', `Overseeding on ${dayText(seed)}: no barrier until the seed is established.`)
  }
  if (now > half.to) return told('over', 'It comes again next year.')
  const limits = limitsOf(band, tell)
  if (now < half.from) return told('before', `${limits}: ${band.why}.`)
  const mean = meanBy(days, now)
  if (mean === undefined)
    return told('unknown', 'The soil of the last days is not known: read a probe or bring in the weather.')
  const stands = `Soil ${tell(mean)} on a five-day mean; ${limits}`
  if (opening === undefined ? band.opens !== 'spring' : opening > now)
    return told('before', `${stands}: ${band.why}.`)
  if (closing === undefined || closing > now) {
    const touching = touched !== undefined && touched <= now
    const soon = closing !== undefined && closing - now <= SOON_DAYS
    return told(
      touching || (soon && band.lateTo === undefined) ? 'closing' : 'open',
      `${stands}: ${band.why}.`,
    )
  }
  const end = band.lateTo === undefined ? undefined : crossing(days, half, band.lateTo)
  return band.lateTo !== undefined && (end === undefined || end > now)
    ? told('late', `${stands}: ${band.late}.`)
    : told('over', `${stands}.`)
}

/** What opened in spring and is still open has its threshold there. */
function springOpening(band: Band): number {
  const spring = BANDS.find(({ name, half }) => name === band.name && half === 'warming')
  return typeof spring?.opens === 'number' ? spring.opens : Number.NaN
}

function limitsOf({ half, opens, closes }: Band, tell: TellTemperature): string {
  const way = half === 'warming' ? 'rising' : 'falling'
  if (opens === 'spring') return closes === 'autumn' ? '' : `to ${tell(closes)}, ${way}`
  return closes === 'autumn'
    ? `from ${tell(opens)}, ${way}`
    : `from ${tell(opens)} to ${tell(closes)}, ${way}`
}

/** When a band opens, is touched at its end, and closes, as day numbers. */
function turnsOf(band: Band, days: SoilDays, half: HalfYear, spring: HalfYear, shift: SoilShift) {
  const opening =
    band.opens === 'spring'
      ? crossing(days, spring, springOpening(band), shift)
      : crossing(days, half, band.opens, shift)
  const touched = band.closes === 'autumn' ? undefined : crossing(days, half, band.closes, shift)
  const closing =
    band.lateTo === undefined || band.closes === 'autumn'
      ? touched
      : heldSince(days, half, band.closes, shift)
  return { opening, touched, closing }
}

type Turns = Pick<ReturnType<typeof turnsOf>, 'opening' | 'closing'>

/** The earliest and latest day of what is still to come; what has come true has none. */
function betweenOf(
  days: SoilDays,
  { half }: HalfYear,
  now: number,
  { opening, closing }: Turns,
  at: (shift: SoilShift) => Turns,
): Pick<SeasonWindow, 'opensBetween' | 'closesBetween'> {
  const opens = opening !== undefined && opening > now
  const closes = closing !== undefined && closing > now
  if (!days.give || !(opens || closes)) return {}
  const [early, late] = half === 'warming' ? [at(1), at(-1)] : [at(-1), at(1)]
  // What has not come yet comes tomorrow at the earliest.
  const dayOf = (day: number | undefined) =>
    day === undefined ? undefined : dayOfNumber(Math.max(now + 1, day))
  const span = (first: number | undefined, last: number | undefined): DaySpan => ({
    early: dayOf(first),
    late: dayOf(last),
  })
  return {
    ...(opens && { opensBetween: span(early.opening, late.opening) }),
    ...(closes && { closesBetween: span(early.closing, late.closing) }),
  }
}

/** A crossing is dated only where the day before it is known too. */
const seenBefore = (days: SoilDays, day: number): boolean => !Number.isNaN(meanOn(days, day - 1))

/** The newest mean that is not too old to go by. */
function meanBy(days: SoilDays, now: number): number | undefined {
  for (let back = 0; back <= FRESH_DAYS; back++) {
    const mean = meanOn(days, now - back)
    if (!Number.isNaN(mean)) return mean
  }
  return undefined
}
