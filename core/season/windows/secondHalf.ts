import { dayNumber, dayOfNumber } from '../../calendar/dayNumber'
import { dayText } from '../../calendar/dayText'
import { celsius } from '../../quantity/temperature'
import { BARRIER_DAYS } from '../lasting'
import { crossing } from './crossing'
import { halfYearOf } from './halfYear'
import type { SeasonWindow, SoilDays, TellTemperature, WindowGround, WindowState } from './seasonWindow'

/** The second half of a barrier follows the first by so many days. */
const [EARLIEST_DAYS, LATEST_DAYS] = [30, 45]
/** Or when the soil is as warm as this, if that is sooner. °C */
const WARM_SOIL = celsius({ value: 70, unit: '°F' })
/** Applications nearer to each other are one. */
const APART_DAYS = 14
/** In its last days a window is closing. */
const LAST_DAYS = 5

/**
 * The second half of a spring barrier: 30 to 45 days after the first, or when the soil reaches 70 °F.
 * Source: trade.md 10.
 */
export function secondHalf(
  soil: SoilDays,
  { barriers, latitude }: Pick<WindowGround, 'barriers' | 'latitude'>,
  today: string,
  tell: TellTemperature,
): SeasonWindow {
  const half = halfYearOf('warming', today, latitude)
  const now = dayNumber(today)
  const laid = barriers
    .map(dayNumber)
    .filter((day) => day >= half.from && day <= half.to && day <= now)
    .toSorted((a, b) => a - b)
  const told = (state: WindowState, reason: string, days: { opens?: number; closes?: number } = {}) => ({
    name: 'second half' as const,
    opens: days.opens === undefined ? undefined : dayOfNumber(days.opens),
    closes: days.closes === undefined ? undefined : dayOfNumber(days.closes),
    state,
    reason,
  })
  const [first] = laid
  // Another product of the same visit, or the rest of the lawn on the next day, is still the first.
  const second = laid.find((day) => first !== undefined && day - first >= APART_DAYS)
  if (first === undefined)
    return now > half.to
      ? told('over', 'It follows a first half in spring.')
      : told('before', 'It follows the first half by 30 to 45 days: none is on record this spring.')
  const warm = crossing(soil, { ...half, from: Math.max(half.from, first + 1) }, WARM_SOIL)
  const opens = Math.min(first + EARLIEST_DAYS, warm ?? Number.POSITIVE_INFINITY)
  const closes = Math.max(opens, Math.min(first + LATEST_DAYS, warm ?? Number.POSITIVE_INFINITY))
  const warmWords = warm === undefined ? '' : `, soil at ${tell(WARM_SOIL)} on ${onDay(warm)}`
  const days = { opens, closes: closes === opens ? first + LATEST_DAYS : closes }
  if (second !== undefined) return told('over', `The second half went down on ${onDay(second)}.`, days)
  const since = `The first half went down on ${onDay(first)}`
  if (now < opens) return told('before', `${since}: the second from ${onDay(opens)}.`, days)
  if (now <= days.closes)
    return told(
      now > days.closes - LAST_DAYS ? 'closing' : 'open',
      `${since}: the second by ${onDay(days.closes)}${warmWords}.`,
      days,
    )
  return now <= first + BARRIER_DAYS
    ? told(
        'late',
        `${since}: the second was due by ${onDay(days.closes)}; it still goes on with what is left of it.`,
        days,
      )
    : told('over', `${since}, and has worn off.`, days)
}

const onDay = (day: number): string => dayText(dayOfNumber(day))
