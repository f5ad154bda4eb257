import { blankIn } from '../quantity/entered'
import { amountFactor, lengthSi, type Metres, type MetresPerSecond } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { STOPWATCH_PER, type MassUnit } from '../quantity/units'
import { asEntered } from '../working/figureText'
import { whole } from '../whole'
import type { WorkingBook } from '../working/working'
import { spreadMethodOf, type SpreaderCourse, type SpreadRun } from './courseNote'
import { rateOfFlows, type CaughtFlow } from './flowRate'
import { knownAreaRate, type Course as Ground, type CourseRun } from './knownArea'
import type { MeasuredCourse } from './measuredCourse'
import { readSpeed } from './readSpeed'

/** Reads a spreader's calibration; errors land at its fields. Source: trade.md 3. */
export function readSpread(
  note: SpreaderCourse,
  path: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  const method = spreadMethodOf(note)
  const length =
    method === 'known area' || method === 'catch'
      ? fields.positive(`${path}.length`, note.length, 'length', 'Course length')
      : undefined
  const swath = fields.positive(`${path}.width`, note.width, 'length', 'Swath')
  const width = swath && lengthSi(swath)
  const speed = readSpeed(note, path, fields, book)
  if (method === 'timed catch') return timedCatch(note, path, width, speed, fields, book)
  const ground =
    method === 'job' ? jobGround(note, path, fields) : length && swath && { length, width: swath, passes: 1 }
  const runs = whole(
    note.runs.map((run, i) =>
      method === 'catch'
        ? caughtRun(run, `${path}.runs.${i}`, fields)
        : weighedRun(run, `${path}.runs.${i}`, fields),
    ),
  )
  if (!ground || !width || !runs) return undefined
  const measured = knownAreaRate(runs, ground, 'calibration', book)
  if (measured.ok) return { measured: measured.value, width, speed }
  fields.wrong(
    `${path}.runs.${measured.error.run}.left`,
    'What is left must be less than what was weighed in.',
  )
  return undefined
}

function jobGround(
  { ground, passes = '1' }: SpreaderCourse,
  path: string,
  fields: FieldReader,
): Ground | undefined {
  const size = fields.positive(`${path}.ground`, ground ?? blankIn('ft2'), 'area', 'Ground treated')
  const count = Number(passes.trim() === '' ? '1' : passes)
  if (Number.isInteger(count) && count > 0 && count <= 10) return size && { ground: size, passes: count }
  fields.wrong(`${path}.passes`, 'Passes are a whole number: 2.')
  return undefined
}

function weighedRun(run: SpreadRun, path: string, fields: FieldReader): CourseRun<MassUnit> | undefined {
  const start = fields.positive(`${path}.start`, run.start, 'mass', 'Weighed in')
  const left = fields.notNegative(`${path}.left`, run.left, 'mass', 'Weighed back')
  return start && left && { start, left }
}

function caughtRun(run: SpreadRun, path: string, fields: FieldReader): CourseRun<MassUnit> | undefined {
  const used = fields.positive(`${path}.caught`, run.caught ?? blankIn('g'), 'mass', 'Caught')
  return used && { used }
}

/** The gate opened over a bag for so long: flow, and with the pace and the swath a rate. */
function timedCatch(
  note: SpreaderCourse,
  path: string,
  width: Metres | undefined,
  speed: MetresPerSecond | undefined,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  if (speed === undefined) fields.missing(`${path}.speed`, 'A flow needs the speed it is carried at.')
  const catches = whole(
    note.runs.map((run, i): (CaughtFlow & { readonly unit: MassUnit }) | undefined => {
      const caught = fields.positive(`${path}.runs.${i}.caught`, run.caught ?? blankIn('g'), 'mass', 'Caught')
      const time = fields.positive(`${path}.runs.${i}.time`, run.time ?? blankIn('s'), 'stopwatch', 'Time')
      if (!caught || !time || !width || speed === undefined) return undefined
      return {
        flow: (caught.value * amountFactor(caught.unit)) / (time.value * STOPWATCH_PER[time.unit]),
        covered: width * speed,
        words: `${asEntered(caught)} in ${asEntered(time)}`,
        unit: caught.unit,
      }
    }),
  )
  return (
    catches &&
    width && { measured: rateOfFlows(catches, catches[0]?.unit ?? 'g', 'calibration', book), width, speed }
  )
}
