import { dayText } from '../calendar/dayText'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { toldDepth } from '../quantity/toldDepth'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { WeatherHour } from '../weather/hours/weatherHour'
import type { ConditionLimits } from './conditionLimits'
import { hourReading } from './hourReading'
import { judgeConditions, type ConditionFinding } from './judge'

/** The days in which it should go down, YYYY-MM-DD; undefined: not known. */
export interface DayWindow {
  readonly opens: string | undefined
  readonly closes: string | undefined
}

/** One candidate day. */
export interface DayScore {
  readonly on: string
  /** 0 to 1; the factors multiplied. */
  readonly score: number
  /** The run of hours in which it can go down best, both counted; undefined where there is none. */
  readonly hours: { readonly from: number; readonly to: number } | undefined
  readonly factors: readonly DayFactor[]
}
interface DayFactor {
  readonly name: 'window' | 'water' | 'hours' | 'mowing'
  readonly value: number
  readonly reason: string
}

/** Hours that a technician takes for a round; shorter runs count in proportion. */
const GOOD_HOURS = 4
/** Without daylight known, work lies in these hours. */
const WORK_HOURS = { from: 6, to: 20 } as const
/** A day before the window loses so much a day; after it so much. */
const EARLY_LOSS = 0.04
const LATE_LOSS = 0.08
const LEAST_WINDOW = 0.2
/** The usual time to water in where a label gives none, h. */
const USUAL_WATER_HOURS = 24
/** More than so many times the depth washes it away. */
const WASHES = 4
const WASHED = 0.6
/** Mowing on a wrong day can be moved. */
const MOWN = 0.7
/** Hours in which something is warned of count for so much. */
const WITH_CARE = 0.5

/**
 * Candidate days scored: inside the window, rain before the watering deadline or none while it dries, hours
 * of daylight that the judge of conditions lets pass, and the mowing. Earlier than ideal with rain can beat
 * ideal and dry.
 * @param hours of the station, with what is forecast; days without hours are left out
 * @param asked by each application of the visit
 * @param daylight hours of a day between which it is light; undefined where the place is not known
 * @param book gets the page `whichDay`
 * @returns the best first; of equals the earlier
 * Source: trade.md 10, which day; the weights are ours (decision 025).
 */
export function whichDay(
  hours: readonly WeatherHour[],
  asked: readonly ConditionLimits[],
  window: DayWindow,
  today: string,
  daylight: (on: string) => { readonly from: number; readonly to: number } | undefined,
  book: WorkingBook = closedWorkingBook,
): readonly DayScore[] {
  const byDay = new Map<string, WeatherHour[]>()
  for (const one of hours) byDay.set(one.on, [...(byDay.get(one.on) ?? []), one])
  const scores = [...byDay]
    .filter(([on]) => on >= today)
    .map(([on, own]): DayScore => {
      const light = daylight(on)
      const judged = judgedHours(own, hours, asked, light)
      const runs = fittingRuns(judged, light ?? WORK_HOURS)
      // The run that is best with the rain behind it; of equals the longer, then the earlier.
      const [best] = (runs.length > 0 ? runs : [undefined])
        .map((run) => ({
          run,
          hours: hoursFactor(run, judged),
          water: waterFactor(on, run?.from ?? WORK_HOURS.from, hours, asked),
        }))
        .toSorted(
          (a, b) =>
            b.hours.value * b.water.value - a.hours.value * a.water.value ||
            lengthOf(b.run) - lengthOf(a.run),
        )
      const factors: readonly DayFactor[] = [
        windowFactor(on, window),
        ...(best ? [best.hours, best.water] : []),
        ...mowingFactor(on, asked),
      ]
      const run = best?.run && { from: best.run.from, to: best.run.to }
      return { on, hours: run, factors, score: factors.reduce((product, { value }) => product * value, 1) }
    })
  const best = scores.toSorted((a, b) => b.score - a.score || (a.on < b.on ? -1 : 1))
  book.note('whichDay', () =>
    scores.map(
      ({ on, factors, score }) =>
        `${dayText(on)}: ${factors.map(({ name, value }) => `${name} ${sixDigits(value)}`).join(' × ')} = ` +
        sixDigits(score),
    ),
  )
  return best
}

function windowFactor(on: string, { opens, closes }: DayWindow): DayFactor {
  const early = opens === undefined ? 0 : daysBetween(on, opens)
  if (early > 0)
    return {
      name: 'window',
      value: Math.max(LEAST_WINDOW, 1 - EARLY_LOSS * early),
      reason: `${early} ${early === 1 ? 'day' : 'days'} before the window opens`,
    }
  const late = closes === undefined ? 0 : daysBetween(closes, on)
  if (late > 0)
    return {
      name: 'window',
      value: Math.max(LEAST_WINDOW, 1 - LATE_LOSS * late),
      reason: `${late} ${late === 1 ? 'day' : 'days'} after the window`,
    }
  return {
    name: 'window',
    value: 1,
    reason: opens === undefined ? 'no window is known' : 'inside the window',
  }
}

interface HourRun {
  readonly from: number
  readonly to: number
  /** What is warned of in it; none: nothing speaks against it. */
  readonly care: readonly string[]
}

const lengthOf = (run: HourRun | undefined): number => (run ? run.to - run.from + 1 : 0)

/** An hour of the day with what speaks against it, by every application of the visit. */
interface JudgedHour {
  readonly hour: number
  readonly findings: readonly ConditionFinding[]
  /** A label limits the wind, and the station tells none. */
  readonly windUnknown: boolean
}

function judgedHours(
  own: readonly WeatherHour[],
  hours: readonly WeatherHour[],
  asked: readonly ConditionLimits[],
  light: { readonly from: number; readonly to: number } | undefined,
): readonly JudgedHour[] {
  const sun = light && { rises: light.from, sets: light.to }
  return own.map((one) => {
    const reading = hourReading(one, hours, sun)
    return {
      hour: one.hour,
      findings: asked.flatMap((limits) => judgeConditions(reading, limits)),
      windUnknown: one.wind === undefined && asked.some(({ windMost }) => windMost !== undefined),
    }
  })
}

/** Runs of daylight hours that nothing stops, those of one kind of care together, in their order. */
function fittingRuns(
  judged: readonly JudgedHour[],
  light: { readonly from: number; readonly to: number },
): readonly HourRun[] {
  const runs: HourRun[] = []
  for (let hour = Math.ceil(light.from); hour <= Math.floor(light.to); hour++) {
    const one = judged.find((each) => each.hour === hour)
    if (!one || one.windUnknown || one.findings.some(({ level }) => level === 'stop')) continue
    // Rain behind it counts as water, not as care.
    const care = one.findings.flatMap(({ subject, level, message }) =>
      level === 'warn' && subject !== 'rain' ? [message] : [],
    )
    const last = runs.at(-1)
    if (last?.to === hour - 1 && last.care.length > 0 === care.length > 0)
      runs[runs.length - 1] = { ...last, to: hour }
    else runs.push({ from: hour, to: hour, care })
  }
  return runs
}

function hoursFactor(run: HourRun | undefined, judged: readonly JudgedHour[]): DayFactor {
  if (!run) return { name: 'hours', value: 0, reason: stopped(judged) }
  const [care] = run.care
  return {
    name: 'hours',
    value: Math.min(1, lengthOf(run) / GOOD_HOURS) * (care === undefined ? 1 : WITH_CARE),
    reason: `${clock(run.from)} to ${clock(run.to + 1)}` + (care === undefined ? '' : `, with care: ${care}`),
  }
}

/** Why no hour fits: what stops all of them, else that they are stopped by one thing or another. */
function stopped(judged: readonly JudgedHour[]): string {
  if (judged.length > 0 && judged.every(({ windUnknown }) => windUnknown)) return 'its wind is not known'
  const [first, ...others] = judged.map(({ findings }) => findings.filter(({ level }) => level === 'stop'))
  const all = first?.find(({ subject, source }) =>
    others.every((own) => own.some((one) => one.subject === subject && one.source === source)),
  )
  return all ? `all day: ${all.message}` : 'no hour that fits'
}

const clock = (hour: number): string => `${hour % 24}:00`

/** Rain that is wanted, or that is not, behind the hour it goes down. */
function waterFactor(
  on: string,
  from: number,
  hours: readonly WeatherHour[],
  asked: readonly ConditionLimits[],
): DayFactor {
  const waterDepth = most(asked.flatMap((one) => one.waterDepth ?? []))
  const waterHours = least(asked.flatMap((one) => one.waterHours ?? [])) ?? USUAL_WATER_HOURS
  const rainfastHours = most(asked.flatMap((one) => one.rainfastHours ?? []))
  const irrigation = asked.every((one) => one.irrigation === 'zone') ? 'zone' : 'none'
  const [{ units } = { units: 'us-1000' as const }] = asked
  const within = (length: number) =>
    hours.filter((one) => {
      const after = daysBetween(on, one.on) * 24 + one.hour - from
      return after >= 0 && after < length
    })
  if (waterDepth !== undefined) {
    if (irrigation === 'zone') return { name: 'water', value: 1, reason: 'its zone waters it in' }
    const ahead = within(waterHours)
    const rain = ahead.reduce((sum, { rain: fell = 0 }) => sum + fell, 0)
    const chance = Math.max(0, ...ahead.map(({ chance: told, rain: fell = 0 }) => told ?? Number(fell > 0)))
    if (rain === 0)
      return {
        name: 'water',
        value: 0.5 * chance,
        reason: `no rain told within ${waterHours} h, chance ${percent(chance)}`,
      }
    const enough = Math.min(1, rain / waterDepth)
    const washed = rain > WASHES * waterDepth ? WASHED : 1
    return {
      name: 'water',
      value: chance * enough * washed,
      reason:
        `${toldDepth(rain, units)} of rain within ${waterHours} h, chance ${percent(chance)}` +
        (washed < 1 ? ': enough to wash it away' : enough < 1 ? ': not all it wants' : ''),
    }
  }
  if (rainfastHours !== undefined) {
    const chance = Math.max(
      0,
      ...within(rainfastHours).map(({ chance: told, rain = 0 }) => told ?? Number(rain > 0)),
    )
    return {
      name: 'water',
      value: 1 - chance,
      reason: `chance of rain in the ${rainfastHours} h it dries: ${percent(chance)}`,
    }
  }
  return { name: 'water', value: 1, reason: 'rain is no matter' }
}

const least = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.min(...values)
const most = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.max(...values)

const percent = (share: number): string => `${Math.round(share * 100)} %`

function mowingFactor(on: string, asked: readonly ConditionLimits[]): readonly DayFactor[] {
  const mownOn = asked.flatMap((one) => one.mownOn)
  const mowBeforeHours = most(asked.flatMap((one) => one.mowBeforeHours ?? []))
  const mowAfterHours = most(asked.flatMap((one) => one.mowAfterHours ?? []))
  if (mownOn.length === 0 || (mowBeforeHours === undefined && mowAfterHours === undefined)) return []
  const mown = (day: string) => mownOn.includes(new Date(`${day}T00:00:00Z`).getUTCDay())
  const span = (length: number | undefined) => Math.ceil((length ?? 0) / 24)
  const days = [
    ...Array.from({ length: span(mowBeforeHours) }, (_, i) => daysAfter(on, -(i + 1))),
    ...Array.from({ length: span(mowAfterHours) + 1 }, (_, i) => daysAfter(on, i)),
  ]
  const met = days.find(mown)
  return met === undefined
    ? [{ name: 'mowing', value: 1, reason: 'no mowing too near' }]
    : [{ name: 'mowing', value: MOWN, reason: `it is mown on ${dayText(met)}: move the mowing` }]
}

/** What makes a day what it is: its hours, its window, and whatever takes something off. */
export const tellingReasons = ({ factors }: DayScore): readonly string[] =>
  factors.filter(({ name, value }) => value < 1 || name === 'hours').map(({ reason }) => reason)

/** Days this near each other are as good as each other. */
const AS_GOOD = 0.98

/** What waiting costs, in a sentence: how the days after the best compare. */
export function waitingCosts(scores: readonly DayScore[], { closes }: DayWindow): string {
  const [best, ...others] = scores
  if (!best) return 'No day is forecast yet.'
  const later = others.filter(({ on }) => on > best.on).toSorted((a, b) => b.score - a.score)[0]
  const shuts = closes === undefined ? '' : `; the window closes on ${dayText(closes)}`
  if (later && later.score >= AS_GOOD * best.score)
    return `Nothing is lost by waiting until ${dayText(later.on)}${shuts}.`
  return later
    ? `After ${dayText(best.on)} the next best is ${dayText(later.on)} at ` +
        `${percent(best.score === 0 ? 0 : later.score / best.score)} of it${shuts}.`
    : `No later day is forecast${shuts}.`
}
