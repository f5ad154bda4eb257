import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import { daysAfter } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import { counted } from '../quantity/counting'
import { celsius } from '../quantity/temperature'
import { readSigned } from '../quantity/entered'
import { heatUnits } from '../weather/heatUnits'
import type { WeatherSeries } from '../weather/weatherSeries'
import { cueDay } from '../season/cues/windowOpinions'
import type { Cue } from '../season/cues/cue'
import type { SoilDay } from '../season/areaSeason'
import { crossing, type SoilShift } from '../season/windows/crossing'
import { halfYearOf } from '../season/windows/halfYear'
import type { SeasonWindow, TellTemperature } from '../season/windows/seasonWindow'
import { daysTyped, heatOf } from './programDocument'
import type { StepWhen } from './programShape'

/** What the days of steps are told by: the season of one area as it stands today. */
export interface StepSeason {
  /** YYYY-MM-DD */
  readonly today: string
  /** Degrees, south below zero. */
  readonly latitude: number
  readonly windows: readonly SeasonWindow[]
  readonly soil: readonly SoilDay[]
  /** Air with the usual year behind what is forecast. */
  readonly air: Pick<WeatherSeries, 'first' | 'length' | 'least' | 'most'>
  readonly overseeding: string | undefined
  /** What was seen on its site. */
  readonly cues: readonly Cue[]
  readonly tell: TellTemperature
}

/** The days of a step, as far as they are known; the earliest and latest it may open. */
export interface StepDates {
  readonly from: string | undefined
  readonly to: string | undefined
  readonly early?: string | undefined
  readonly late?: string | undefined
  /** One sentence with the figure it rests on. */
  readonly reason: string
}

/** A step whose end nobody tells stays open for so many days. */
const OPEN_DAYS = 21
/** Heat units reached: the work is due within so many days. */
const HEAT_DAYS = 7
const HALF_YEAR_DAYS = 183

const unknown = (reason: string): StepDates => ({ from: undefined, to: undefined, reason })

/**
 * The days of a step on one area.
 * @param before days of the step it waits for: its own day once done, else the first it may be done on
 */
export function stepDates(when: StepWhen, season: StepSeason, before: string | undefined): StepDates {
  switch (when.by) {
    case 'window':
      return byWindow(when, season)
    case 'soil':
      return bySoil(when, season)
    case 'dates':
      return byDates(when, season)
    case 'heat units':
      return byHeat(when, season)
    case 'after':
      return before === undefined
        ? unknown('It waits for a step whose day is not known yet.')
        : spanFrom(before, when, `after ${dayText(before)}`)
    case 'seed':
      return season.overseeding === undefined
        ? unknown('No seed is planned here.')
        : spanFrom(season.overseeding, when, `of the seed on ${dayText(season.overseeding)}`)
    case 'cue':
      return byCue(when, season)
    default:
      return when.by satisfies never
  }
}

function spanFrom(day: string, when: StepWhen, words: string): StepDates {
  const [from, to] = [daysTyped(when.daysFrom), daysTyped(when.daysTo)]
  if (from === undefined || to === undefined) return unknown('Its days are not typed yet.')
  const told = from === to ? counted(from, 'day') : `${from} to ${counted(to, 'day')}`
  return { from: daysAfter(day, from), to: daysAfter(day, to), reason: `${told} ${words}` }
}

function byCue(when: StepWhen, season: StepSeason): StepDates {
  const { cue } = when
  if (!cue) return unknown('What is to be seen on the site is not chosen yet.')
  const { from, to } = workYear(season.today, season.latitude)
  const day = cueDay(season.cues, cue, from, to)
  return day === undefined
    ? unknown(`It waits for “${cue}”: note it on the site when it is seen.`)
    : spanFrom(day, when, `after ${cue}, seen on ${dayText(day)}`)
}

function byWindow({ window: name }: StepWhen, { windows }: StepSeason): StepDates {
  const found = windows.find((one) => one.name === name)
  return found
    ? {
        from: found.opens,
        to: found.closes,
        early: found.opensBetween?.early,
        late: found.opensBetween?.late,
        reason: found.reason,
      }
    : unknown('No grass of this lawn has that window.')
}

function bySoil(when: StepWhen, { soil, today, latitude, tell }: StepSeason): StepDates {
  const opens = readSigned(when.soilFrom, 'temperature', 'Soil from')
  if (!opens.ok) return unknown('Its soil temperature is not typed yet.')
  const closes = readSigned(when.soilTo, 'temperature', 'Soil to')
  const [start] = soil
  if (!start) return unknown('No soil temperature is known here.')
  const half = halfYearOf(when.half, today, latitude)
  const first = dayNumber(start.on)
  const threshold = celsius(opens.value)
  const days = {
    first,
    soil: Float64Array.from(soil, ({ soil: value = Number.NaN }) => value),
    give: Float64Array.from(soil, ({ give = 0 }) => give),
  }
  const reached = (shift: SoilShift, at: number, from = half.from): number | undefined =>
    crossing(days, { ...half, from }, at, shift)
  const from = reached(0, threshold)
  const words = `soil ${when.half} through ${tell(threshold)}, mean of five days`
  if (from === undefined) return unknown(`${words}: not seen this year`)
  const end = closes.ok ? reached(0, celsius(closes.value), from) : undefined
  const sign = when.half === 'warming' ? 1 : -1
  const dayOf = (day: number | undefined) => (day === undefined ? undefined : dayOfNumber(day))
  return {
    from: dayOfNumber(from),
    to: dayOfNumber(end ?? from + OPEN_DAYS),
    // What has come true has no early and no late.
    ...(from > dayNumber(today) && {
      early: dayOf(reached(sign, threshold)),
      late: dayOf(reached(sign === 1 ? -1 : 1, threshold)),
    }),
    reason: words,
  }
}

/** A year of work begins in the middle of winter: 1 January, in the southern half 1 July. */
export function workYear(today: string, latitude: number): { readonly from: string; readonly to: string } {
  const year = Number(today.slice(0, 4))
  if (latitude >= 0) return { from: `${year}-01-01`, to: `${year}-12-31` }
  const from = today.slice(5) >= '07-01' ? year : year - 1
  return { from: `${from}-07-01`, to: `${from + 1}-06-30` }
}

/** A day of the northern year as the place has it this year of work. @param day MM-DD */
function dayHere(day: string, { today, latitude }: StepSeason): string {
  const { from, to } = workYear(today, latitude)
  const year = Number(from.slice(0, 4))
  const move = (one: number) => daysAfter(`${one}-${day}`, latitude < 0 ? HALF_YEAR_DAYS : 0)
  return [year - 1, year, year + 1].map(move).find((one) => one >= from && one <= to) ?? move(year)
}

function byDates({ from, to }: StepWhen, season: StepSeason): StepDates {
  if (from === '' || to === '') return unknown('Its days are not typed yet.')
  const first = dayHere(from, season)
  const last = dayHere(to, season)
  return {
    from: first,
    to: last >= first ? last : daysAfter(last, 365),
    reason: 'by the calendar' + (season.latitude < 0 ? ', moved to the southern half' : ''),
  }
}

function byHeat(when: StepWhen, season: StepSeason): StepDates {
  const heat = heatOf(when)
  if (!heat || when.since === '') return unknown('Its heat units are not typed yet.')
  const since = dayHere(when.since, season)
  const { sum, due } = heatUnits(season.air, since, season.today, heat.base, heat.units)
  const words = `${heat.units} units above ${season.tell(heat.base)} since ${dayText(since)}`
  if (due === undefined) return unknown(`${words}: not reached in the days that are known`)
  return {
    from: due,
    to: daysAfter(due, HEAT_DAYS),
    reason: sum === undefined ? words : `${words}, ${Math.round(sum)} so far`,
  }
}
