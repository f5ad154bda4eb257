import { meanOf } from '../quantity/counting'
import { isOver } from '../quantity/tolerance'
import type { ComputeIssue } from '../computeIssue'
import { amountFactor, areaSi, lengthSi, speedSi, type Quantity } from '../quantity/quantity'
import { agreement, repeats, type Repeats } from '../quantity/repeats'
import { NORMAL_95 } from '../quantity/studentT'
import {
  WATCH_SECONDS_PER,
  type AmountUnit,
  type AreaUnit,
  type LengthUnit,
  type SpeedUnit,
  type WatchUnit,
} from '../quantity/units'
import { err, ok, type Result } from '../result'
import { asEntered, sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { calibrationAge } from './calibrationAge'
import { courseErrors, errorOfCalibration } from './calibrationError'
import { NOZZLE_LIMIT, hundredTwentyEighthCourse } from './nozzleFlow'

type Amount = Quantity<AmountUnit>
type Time = Quantity<WatchUnit>
type Length = Quantity<LengthUnit>

/**
 * One run: weighed in and back, or what was used or caught, with the time it took where the method asks for
 * it.
 */
interface CalibrationRun {
  readonly start?: Amount
  readonly left?: Amount
  readonly used?: Amount
  readonly time?: Time
}

type ComputedMethod =
  | 'known area'
  | 'catch'
  | 'timed catch'
  | 'refill'
  | 'drain'
  | 'nozzle catch'
  | '1/128 acre'
  | 'one nozzle'
  | 'hose-end'

/**
 * A calibration as figures. Widths: swath, sprayed width, or nozzle spacing where single nozzles are caught.
 */
export interface CalibrationRequest {
  readonly method: ComputedMethod
  readonly length?: Length
  readonly width?: Length
  readonly covered?: { readonly ground: Quantity<AreaUnit>; readonly time: Time }
  readonly passes: number
  readonly speed?: Quantity<SpeedUnit>
  readonly timed?: { readonly length: Length; readonly times: readonly Time[] }
  readonly runs: readonly CalibrationRun[]
  /** Every nozzle caught for one time. */
  readonly catches?: { readonly time: Time; readonly amounts: readonly Amount[] }
  /** Smallest step of the scale or jug that the amounts were read on. */
  readonly step?: Amount
  /** YYYY-MM-DD both. */
  readonly on?: string
  readonly today?: string
}

export const TRUST_CODES = ['product', 'age', 'speed', 'nozzles', 'spread', 'runs'] as const

export interface CalibrationAnswer {
  /** Kg or m3 on each m2 in one pass; undefined where the speed that it takes is not known. */
  readonly perPass: number | undefined
  /** Kg/s or m3/s out of the machine; of one nozzle where one was caught, of all where all were. */
  readonly flow: number | undefined
  /** Standard deviation over mean of the runs; undefined for one. */
  readonly spread: number | undefined
  /** Half-width of 95 % as a share; undefined for one run. */
  readonly band: number | undefined
  readonly speed: number | undefined
  /** M; of the course on which one nozzle treats a 128th of an acre. */
  readonly courseLength: number | undefined
  readonly trust: readonly { readonly code: (typeof TRUST_CODES)[number]; readonly good: boolean }[]
}

/** Fewer runs than this show little of how they spread (trade.md 3: several runs). */
const ENOUGH_RUNS = 3
/** A calibration older than this many days is questioned (trade.md 6). */
const TRUSTED_DAYS = 60

/**
 * A calibration from figures, by any method: what the bench does with its notes.
 * @returns SI; issues `contradicts` (more came back than went in), `not-enough` (nothing was caught)
 * Source: trade.md 3 and 4.
 */
export function calibrateRuns(
  request: CalibrationRequest,
  book: WorkingBook = closedWorkingBook,
): Result<CalibrationAnswer, readonly ComputeIssue[]> {
  const amounts = amountsOf(request)
  if (!amounts.ok) return err(amounts.error)
  const speed = speedOf(request)
  const read = byMethod(request, amounts.value, speed)
  const { rates, flows } = read
  const measured = rates ?? flows
  const spread = measured && measured.sd !== undefined ? measured.sd / measured.mean : undefined
  const band = measured && bandOf(request, measured, meanOf(amounts.value))
  const flow =
    flows?.mean ?? (rates && read.speed && request.width && rates.mean * lengthSi(request.width) * read.speed)
  book.note('calibration', () => [
    ...amounts.value.map((amount, i) => `run ${i + 1}: ${sixDigits(amount)} kg or m3`),
    ...read.lines,
    ...(read.speed === undefined ? [] : [`speed ${sixDigits(read.speed)} m/s`]),
    spread === undefined
      ? 'one run shows no spread'
      : `spread of ${measured?.count} runs ${sixDigits(100 * spread)} % of the mean`,
    ...(band === undefined ? [] : [`95 % within ${sixDigits(100 * band)} % either way`]),
    rates ? `mean = ${sixDigits(rates.mean)} on each m2` : `mean = ${sixDigits(flows?.mean ?? 0)} a second`,
  ])
  return ok({
    perPass: rates?.mean,
    flow,
    spread,
    band,
    speed: read.speed,
    courseLength: read.courseLength,
    trust: trustOf(request, measured, read.speed),
  })
}

interface ReadMethod {
  readonly rates?: Repeats
  readonly flows?: Repeats
  readonly speed: number | undefined
  readonly courseLength?: number
  readonly lines: readonly string[]
}

/** Amounts of the runs, or of all nozzles together, SI. */
function amountsOf({
  method,
  runs,
  catches,
}: CalibrationRequest): Result<readonly number[], readonly ComputeIssue[]> {
  if (method === 'nozzle catch') {
    const total = (catches?.amounts ?? []).reduce((sum, one) => sum + si(one), 0)
    return total > 0
      ? ok([total])
      : err([{ code: 'not-enough', path: 'catches', message: 'Nothing was caught: is the pump on?' }])
  }
  const amounts = runs.map(({ start, left, used }) =>
    used ? si(used) : start && left ? si(start) - si(left) : 0,
  )
  const wrong = amounts.findIndex((amount) => !(amount > 0))
  if (wrong < 0) return ok(amounts)
  const message = 'What is left must be less than what was put in.'
  return err([{ code: 'contradicts', path: `runs.${wrong}.left`, message }])
}

function byMethod(
  request: CalibrationRequest,
  amounts: readonly number[],
  speed: number | undefined,
): ReadMethod {
  const { method, passes, runs } = request
  const width = request.width ? lengthSi(request.width) : 0
  const length = request.length ? lengthSi(request.length) : 0
  const times = runs.map(({ time }) => (time ? seconds(time) : 0))
  const perTime = () => repeats(amounts.map((amount, i) => amount / (times[i] ?? 1)))
  switch (method) {
    case 'known area':
    case 'catch':
    case 'refill':
    case 'drain':
      return {
        rates: repeats(amounts.map((amount) => amount / (length * width * passes))),
        speed,
        lines: [
          `course ${told(request.length)} x ${told(request.width)} x ${passes} = ` +
            `${sixDigits(length * width * passes)} m2`,
        ],
      }
    case 'timed catch': {
      const flows = perTime()
      return {
        flows,
        ...(speed && { rates: scaled(flows, 1 / (speed * width)) }),
        speed,
        lines: ['flow over swath x speed'],
      }
    }
    case 'nozzle catch': {
      const { time, amounts: caught } = request.catches ?? {
        time: { value: 1, unit: 's' as const },
        amounts: [],
      }
      const flows = repeats(amounts.map((amount) => amount / seconds(time)))
      const boom = width * caught.length
      return {
        flows,
        ...(speed && { rates: scaled(flows, 1 / (speed * boom)) }),
        speed,
        lines: [
          `${caught.length} nozzles every ${told(request.width)} = ${sixDigits(boom)} m; flow over ` +
            'width x speed',
        ],
      }
    }
    case '1/128 acre': {
      const courseLength = hundredTwentyEighthCourse(width)
      return {
        rates: repeats(amounts.map((amount) => amount / (courseLength * width))),
        speed,
        courseLength,
        lines: [`a 128th of an acre at ${told(request.width)}: a course of ${sixDigits(courseLength)} m`],
      }
    }
    case 'one nozzle': {
      const walked = repeats(times.map((time) => length / time))
      return {
        flows: perTime(),
        rates: repeats(amounts.map((amount) => amount / (length * width))),
        speed: walked.mean,
        lines: [`caught in the walk of ${told(request.length)}, ${told(request.width)} wide`],
      }
    }
    case 'hose-end': {
      const { covered } = request
      const flows = perTime()
      const ground = covered ? areaSi(covered.ground) / seconds(covered.time) : 1
      return {
        flows,
        rates: scaled(flows, 1 / ground),
        speed,
        lines: [`ground covered ${sixDigits(ground)} m2/s`],
      }
    }
    default:
      return method satisfies never
  }
}

const si = ({ value, unit }: Amount): number => value * amountFactor(unit)
const seconds = ({ value, unit }: Time): number => value * WATCH_SECONDS_PER[unit]
const told = (length: Length | undefined): string => (length ? asEntered(length) : '')
const scaled = ({ values }: Repeats, factor: number): Repeats =>
  repeats(values.map((value) => value * factor))

function speedOf({ speed, timed }: CalibrationRequest): number | undefined {
  return timed ? speedsOf(timed).mean : speed && speedSi(speed)
}

const speedsOf = ({ length, times }: NonNullable<CalibrationRequest['timed']>): Repeats =>
  repeats(times.map((time) => lengthSi(length) / seconds(time)))

/** Half-width of 95 % of a mean of runs, as a share. */
function bandOf(
  { step, length, width, runs, method, timed }: CalibrationRequest,
  measured: Repeats,
  amount: number,
): number | undefined {
  const error = errorOfCalibration(
    measured,
    courseErrors({
      taped: method === 'hose-end' ? [] : [length, width].flatMap((one) => (one ? [one] : [])),
      step: step && si(step),
      amount,
      weighings: runs[0]?.used ? 1 : 2,
      speeds: method === 'timed catch' && timed ? speedsOf(timed) : undefined,
    }),
  )
  return error === undefined ? undefined : NORMAL_95 * error
}

function trustOf(
  { method, catches, on, today }: CalibrationRequest,
  measured: Repeats | undefined,
  speed: number | undefined,
): CalibrationAnswer['trust'] {
  const amounts = (catches?.amounts ?? []).map(si)
  const mean = meanOf(amounts)
  return [
    ...(on && today
      ? [{ code: 'age' as const, good: calibrationAge(on, today, TRUSTED_DAYS).state === 'fresh' }]
      : []),
    { code: 'speed', good: speed !== undefined },
    ...(method === 'nozzle catch'
      ? [
          {
            code: 'nozzles' as const,
            good: amounts.every((one) => !isOver(Math.abs(one / mean - 1), NOZZLE_LIMIT)),
          },
        ]
      : []),
    ...(measured && measured.sd !== undefined
      ? [{ code: 'spread' as const, good: agreement(measured).state === 'agree' }]
      : []),
    ...(method === 'nozzle catch'
      ? []
      : [{ code: 'runs' as const, good: (measured?.count ?? 0) >= ENOUGH_RUNS }]),
  ]
}
