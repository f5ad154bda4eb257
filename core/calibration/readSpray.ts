import { SPRAY_FIELDS, SPRAY_RUN_FIELDS } from './courseFields'
import { sumOf } from '../quantity/counting'
import {
  amountFactor,
  areaSi,
  lengthSi,
  metres,
  metresPerSecond,
  type MetresPerSecond,
  type Quantity,
} from '../quantity/quantity'
import { withoutTrailingBlanks } from '../quantity/readings'
import type { FieldReader } from '../quantity/fieldReader'
import { repeats } from '../quantity/repeats'
import {
  METRES_PER,
  STOPWATCH_PER,
  type AmountUnit,
  type LengthUnit,
  type StopwatchUnit,
  type VolumeUnit,
} from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import { whole } from '../whole'
import type { WorkingBook } from '../working/working'
import { isSpaced } from './chooseMethod'
import { sprayMethodOf } from './courseNote'
import type { SprayerCourse, SprayRun } from './calibrationShape'
import { rateOfFlows, type CaughtFlow } from './flowRate'
import { courseErrors } from './calibrationError'
import { groundSi, knownAreaRate, type CourseRun } from './knownArea'
import { hundredTwentyEighthCourse } from './nozzleFlow'
import type { MeasuredCourse } from './measuredCourse'
import { readSpeed } from './readSpeed'

const seconds = (time: Quantity<StopwatchUnit>) => time.value * STOPWATCH_PER[time.unit]
const litres = (amount: Quantity<VolumeUnit>) => amount.value * amountFactor(amount.unit)

/** What every way of reading a sprayer needs at hand. */
interface Reading {
  readonly note: SprayerCourse
  readonly path: string
  readonly length: Quantity<LengthUnit> | undefined
  readonly width: Quantity<LengthUnit> | undefined
  readonly speed: MetresPerSecond | undefined
  /** Smallest step of the jug, m3; undefined: nobody said. */
  readonly step: number | undefined
  readonly fields: FieldReader
  readonly book: WorkingBook
}

/** Reads a sprayer's calibration; errors land at its fields. Source: trade.md 4. */
export function readSpray(
  note: SprayerCourse,
  path: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  const at = fields.of(SPRAY_FIELDS, path)
  const method = sprayMethodOf(note)
  const spaced = isSpaced(method)
  const length =
    spaced || method === 'hose-end' || method === 'job'
      ? undefined
      : at.needed('length', note.length, undefined, method === 'one nozzle' ? 'Distance' : 'Course length')
  const width = at.needed('width', note.width, undefined, spaced ? 'Nozzle spacing' : 'Sprayed width')
  at.optional('pressure', note.pressure)
  const step = at.optional('step', note.step)
  const reading: Reading = {
    step: step && litres(step),
    note,
    path,
    length,
    width,
    speed: readSpeed(note, path, fields, book),
    fields,
    book,
  }
  switch (method) {
    case 'refill':
    case 'drain':
    case 'job':
      return knownArea(reading, method)
    case 'nozzle catch':
      return nozzleCatch(reading)
    case '1/128 acre':
      return partOfAcre(reading)
    case 'one nozzle':
      return oneNozzle(reading)
    case 'hose-end':
      return hoseEnd(reading)
    default:
      return method satisfies never
  }
}

function knownArea(
  { note, path, length, width, speed, step, fields, book }: Reading,
  by: 'refill' | 'drain' | 'job',
): MeasuredCourse | undefined {
  const at = fields.of(SPRAY_FIELDS, path)
  const runs = whole(
    note.runs.map((run, i) =>
      by === 'refill'
        ? refilled(run, `${path}.runs.${i}`, fields)
        : drained(run, `${path}.runs.${i}`, fields),
    ),
  )
  const size = by === 'job' ? at.needed('ground', note.ground) : undefined
  const ground = size ? { ground: size, passes: 1 } : length && width && { length, width, passes: 1 }
  if (!ground || !width || !runs) return undefined
  const measured = knownAreaRate(runs, ground, 'calibration', book)
  if (measured.ok)
    return {
      measured: measured.value,
      width: lengthSi(width),
      speed,
      errors: courseErrors({
        taped: length ? [length, width] : [],
        step,
        amount: measured.value.mean * groundSi(ground),
        weighings: by === 'refill' ? 1 : 2,
      }),
    }
  fields.wrong(
    `${path}.runs.${measured.error.run}.left`,
    'What was drained must be less than what was filled in.',
  )
  return undefined
}

function refilled(run: SprayRun, path: string, fields: FieldReader): CourseRun<AmountUnit> | undefined {
  const used = fields.of(SPRAY_RUN_FIELDS, path).needed('used', run.used, undefined, 'Water used')
  return used && { used }
}

function drained(run: SprayRun, path: string, fields: FieldReader): CourseRun<AmountUnit> | undefined {
  const at = fields.of(SPRAY_RUN_FIELDS, path)
  const start = at.needed('start', run.start)
  const left = at.needed('left', run.left)
  return start && left && { start, left }
}

/** Flow of every nozzle together over the ground that they cover. */
function nozzleCatch({ note, path, width, speed, step, fields, book }: Reading): MeasuredCourse | undefined {
  const at = fields.of(SPRAY_FIELDS, path)
  const { time, catches } = note.catching ?? { time: { text: '', unit: 's' as const }, catches: [] }
  if (speed === undefined) fields.missing(`${path}.speed`, 'A flow needs the speed it is carried at.')
  const filled = withoutTrailingBlanks(catches, 1)
  if (filled.length === 0) fields.lacks(`${path}.catching.catches`, 'What each nozzle gave')
  const lasted = at.needed('catching.time', time)
  const read = whole(
    filled.map((entered, i) => at.needed('catching.catches.*', entered, i, `Nozzle ${i + 1}`)),
  )
  if (!lasted || !read || !width || speed === undefined) return undefined
  const total = sumOf(read, litres)
  if (total === 0) {
    fields.wrong(`${path}.catching.catches.0`, 'Nothing was caught: is the pump on?')
    return undefined
  }
  const boom = metres(lengthSi(width) * read.length)
  const words =
    `${read.map(asEntered).join(' + ')} in ${asEntered(lasted)}, ${read.length} x ${asEntered(width)} at ` +
    `${sixDigits(speed * 3.6)} km/h`
  const measured = rateOfFlows(
    [{ flow: total / seconds(lasted), covered: boom * speed, words }],
    read[0]?.unit ?? 'fl oz',
    'calibration',
    book,
  )
  return {
    measured,
    width: boom,
    speed,
    errors: courseErrors({ taped: [width], step, amount: total, weighings: 1 }),
  }
}

/**
 * The course on which one nozzle treats a 128th of an acre; the nozzles beside it only make the lane wider.
 */
function partOfAcre({ note, path, width, speed, step, fields, book }: Reading): MeasuredCourse | undefined {
  const count = countOf(note, path, fields)
  const runs = whole(
    note.runs.map((run, i) => {
      const at = fields.of(SPRAY_RUN_FIELDS, `${path}.runs.${i}`)
      const used = at.needed('used', run.used)
      return used && { used, time: at.optional('time', run.time) }
    }),
  )
  if (!width || !runs || !count) return undefined
  const length = hundredTwentyEighthCourse(lengthSi(width))
  const measured = knownAreaRate(
    runs.map(({ used }) => ({ used })),
    { length: { value: length / METRES_PER[width.unit], unit: width.unit }, width, passes: 1 },
    'calibration',
    book,
  )
  const timed = runs.flatMap(({ time }) => (time ? [length / seconds(time)] : []))
  return measured.ok
    ? {
        measured: measured.value,
        width: metres(lengthSi(width) * count),
        speed: speed ?? (timed.length > 0 ? metresPerSecond(repeats(timed).mean) : undefined),
        errors: courseErrors({
          taped: [width],
          step,
          amount: measured.value.mean * length * lengthSi(width),
          weighings: 1,
        }),
      }
    : undefined
}

/** One nozzle's width walked over a distance, and what it gives in the time that takes or in another. */
function oneNozzle({
  note,
  path,
  length: distance,
  width,
  step,
  fields,
  book,
}: Reading): MeasuredCourse | undefined {
  const at = fields.of(SPRAY_FIELDS, path)
  const count = countOf(note, path, fields)
  const other = at.optional('catching.time', note.catching?.time)
  const runs = whole(
    note.runs.map((run, i) => {
      const at = fields.of(SPRAY_RUN_FIELDS, `${path}.runs.${i}`)
      const used = at.needed('used', run.used)
      const time = at.needed('time', run.time, undefined, 'Time for the distance')
      return used && time && { used, time, caughtFor: other ?? time }
    }),
  )
  if (!distance || !width || !runs || !count) return undefined
  const speeds = repeats(runs.map(({ time }) => lengthSi(distance) / seconds(time)))
  const catches = runs.map(({ used, time, caughtFor }): CaughtFlow => ({
    flow: litres(used) / seconds(caughtFor),
    covered: (lengthSi(width) * lengthSi(distance)) / seconds(time),
    words:
      `${asEntered(used)} in ${asEntered(caughtFor)}, ${asEntered(distance)} in ${asEntered(time)}, ` +
      `${asEntered(width)} wide`,
  }))
  return {
    measured: rateOfFlows(catches, runs[0]?.used.unit ?? 'fl oz', 'calibration', book),
    width: metres(lengthSi(width) * count),
    speed: metresPerSecond(speeds.mean),
    errors: courseErrors({ taped: [distance, width], step, amount: meanUsed(runs), weighings: 1 }),
  }
}

/**
 * What the bottle loses in a time over the ground covered in a time: product, or the mix in the bottle, not
 * the water of the hose.
 */
function hoseEnd({ note, path, width, speed, step, fields, book }: Reading): MeasuredCourse | undefined {
  const at = fields.of(SPRAY_FIELDS, path)
  const ground = at.needed('covered.ground', note.covered?.ground)
  const taken = at.needed('covered.time', note.covered?.time)
  const runs = whole(
    note.runs.map((entered, i) => {
      const run = fields.of(SPRAY_RUN_FIELDS, `${path}.runs.${i}`)
      const used = run.needed('used', entered.used, undefined, 'Drawn from the bottle')
      const time = run.needed('time', entered.time, undefined, 'Sprayed for')
      return used && time && { used, time }
    }),
  )
  if (!ground || !taken || !runs || !width) return undefined
  const covered = areaSi(ground) / seconds(taken)
  const catches = runs.map(({ used, time }): CaughtFlow => ({
    flow: litres(used) / seconds(time),
    covered,
    words: `${asEntered(used)} drawn in ${asEntered(time)}; ${asEntered(ground)} in ${asEntered(taken)}`,
  }))
  return {
    measured: rateOfFlows(catches, runs[0]?.used.unit ?? 'fl oz', 'calibration', book),
    width: lengthSi(width),
    speed,
    errors: courseErrors({ taped: [], step, amount: meanUsed(runs), weighings: 1 }),
  }
}

const meanUsed = (runs: readonly { readonly used: Quantity<VolumeUnit> }[]): number =>
  sumOf(runs, ({ used }) => litres(used)) / runs.length

function countOf({ count = '' }: SprayerCourse, path: string, fields: FieldReader): number | undefined {
  const read = Number(count.trim() === '' ? '1' : count)
  if (Number.isInteger(read) && read > 0 && read <= 100) return read
  fields.wrong(`${path}.count`, 'Nozzles are a whole number: 7.')
  return undefined
}
