import { SPREAD_FIELDS, SPREAD_RUN_FIELDS } from './courseFields'
import { sumOf } from '../quantity/counting'
import { amountFactor, lengthSi, type MetresPerSecond, type Quantity } from '../quantity/quantity'
import { fieldReader, type FieldReader } from '../quantity/fieldReader'
import { STOPWATCH_PER, type LengthUnit, type MassUnit } from '../quantity/units'
import { asEntered } from '../working/figureText'
import { whole } from '../whole'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { spreadMethodOf } from './courseNote'
import type { SpreaderCourse, SpreadRun } from './calibrationShape'
import { rateOfFlows, type CaughtFlow } from './flowRate'
import { courseErrors } from './calibrationError'
import { groundSi, knownAreaRate, type Course as Ground, type CourseRun } from './knownArea'
import type { MeasuredCourse } from './measuredCourse'
import { readSpeed, readTimedCourse } from './readSpeed'

/** Reads a spreader's calibration; errors land at its fields. Source: trade.md 3. */
export function readSpread(
  note: SpreaderCourse,
  path: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  const at = fields.of(SPREAD_FIELDS, path)
  const method = spreadMethodOf(note)
  const length = method === 'known area' || method === 'catch' ? at.needed('length', note.length) : undefined
  const swath = at.needed('width', note.width)
  const width = swath && lengthSi(swath)
  const speed = readSpeed(note, path, fields, book)
  const step = at.optional('step', note.step)
  const stepSi = step && step.value * amountFactor(step.unit)
  if (method === 'timed catch') return timedCatch(note, path, swath, stepSi, speed, fields, book)
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
  if (measured.ok) {
    const errors = courseErrors({
      taped: length && swath ? [length, swath] : [],
      step: stepSi,
      amount: measured.value.mean * groundSi(ground),
      weighings: method === 'catch' ? 1 : 2,
    })
    return { measured: measured.value, width, speed, errors }
  }
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
  const at = fields.of(SPREAD_FIELDS, path)
  const size = at.needed('ground', ground)
  const count = Number(passes.trim() === '' ? '1' : passes)
  if (Number.isInteger(count) && count > 0 && count <= 10) return size && { ground: size, passes: count }
  fields.wrong(`${path}.passes`, 'Passes are a whole number: 2.')
  return undefined
}

function weighedRun(run: SpreadRun, path: string, fields: FieldReader): CourseRun<MassUnit> | undefined {
  const at = fields.of(SPREAD_RUN_FIELDS, path)
  const start = at.needed('start', run.start)
  const left = at.needed('left', run.left)
  return start && left && { start, left }
}

function caughtRun(run: SpreadRun, path: string, fields: FieldReader): CourseRun<MassUnit> | undefined {
  const used = fields.of(SPREAD_RUN_FIELDS, path).needed('caught', run.caught)
  return used && { used }
}

/** The gate opened over a bag for so long: flow, and with the pace and the swath a rate. */
function timedCatch(
  note: SpreaderCourse,
  path: string,
  swath: Quantity<LengthUnit> | undefined,
  step: number | undefined,
  speed: MetresPerSecond | undefined,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  const width = swath && lengthSi(swath)
  if (speed === undefined) fields.missing(`${path}.speed`, 'A flow needs the speed it is carried at.')
  const catches = whole(
    note.runs.map(
      (run, i): (CaughtFlow & { readonly unit: MassUnit; readonly amount: number }) | undefined => {
        const at = fields.of(SPREAD_RUN_FIELDS, `${path}.runs.${i}`)
        const caught = at.needed('caught', run.caught)
        const time = at.needed('time', run.time)
        if (!caught || !time || !width || speed === undefined) return undefined
        const amount = caught.value * amountFactor(caught.unit)
        return {
          amount,
          flow: amount / (time.value * STOPWATCH_PER[time.unit]),
          covered: width * speed,
          words: `${asEntered(caught)} in ${asEntered(time)}`,
          unit: caught.unit,
        }
      },
    ),
  )
  if (!catches || !width) return undefined
  const amounts = catches.map(({ amount }) => amount)
  return {
    measured: rateOfFlows(catches, catches[0]?.unit ?? 'g', 'calibration', book),
    width,
    speed,
    errors: courseErrors({
      taped: [swath],
      step,
      amount: sumOf(amounts, (one) => one) / amounts.length,
      weighings: 1,
      speeds: note.timed && readTimedCourse(note.timed, '', '', fieldReader(), closedWorkingBook),
    }),
  }
}
