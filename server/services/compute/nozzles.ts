import { carrierOf } from '#core/calibration/nozzleFlow'
import { nozzleReport, type NozzleReport } from '#core/calibration/nozzleReport'
import { solveBoom, type BoomAnswer, type BoomError, type BoomUnknown } from '#core/calibration/solveBoom'
import type { ComputeIssue } from '#core/computeIssue'
import { formatDeviation } from '#core/quantity/format'
import { amountFactor, lengthSi, speedSi } from '#core/quantity/quantity'
import { rateUnitParts } from '#core/quantity/rateUnit'
import { PASCALS_PER, WATCH_SECONDS_PER } from '#core/quantity/units'
import { err, ok, type Result } from '#core/result'
import { openWorkingBook, type WorkingBook } from '#core/working/working'
import type { NozzlesAnswer, NozzlesRequest } from '#shared/schemas/compute/bench'
import { answeredWorking } from './answeredWorking'

/** Litres in a cubic metre. */
const LITRES = 1000

/** A nozzle check from figures, for other programs. */
export function answerNozzles(request: NozzlesRequest): Result<NozzlesAnswer, readonly ComputeIssue[]> {
  const seconds = request.time.value * WATCH_SECONDS_PER[request.time.unit]
  const flows = request.catches.map(({ value, unit }) => (value * amountFactor(unit)) / seconds)
  if (!flows.some((flow) => flow > 0))
    return err([{ code: 'not-enough', path: 'catches', message: 'Nothing was caught: is the pump on?' }])
  const { pressure } = request
  if (pressure && pascals(pressure.low) > pascals(pressure.high))
    return err([
      { code: 'contradicts', path: 'pressure.low', message: 'The least pressure is above the highest.' },
    ])
  const { rated } = request
  const book = openWorkingBook()
  const report = nozzleReport(flows, rated && (rated.value * amountFactor(rated.unit)) / seconds, book)
  const width = lengthSi(request.spacing) * flows.length
  const total = report.mean * flows.length
  const carrier =
    request.speed && carrierOf({ flow: total, width, speed: speedSi(request.speed) }, 'carrier', book)
  const solved = solvedOf(request, report, book)
  if (!solved.ok) return err([solved.error])
  return ok({
    mean: { value: report.mean * LITRES, unit: 'L/s' },
    off: [...report.off],
    uneven: [...report.uneven],
    worn: [...report.worn],
    carrier: carrier === undefined ? null : { value: carrier * LITRES, unit: 'L/m2' },
    solved: solved.value,
    problems: problemsOf(report),
    working: answeredWorking(book),
  })
}

const pascals = ({ value, unit }: NonNullable<NozzlesRequest['pressure']>['now']): number =>
  value * PASCALS_PER[unit]

function solvedOf(
  { solve, spacing, speed, pressure, gravity = 1 }: NozzlesRequest,
  { mean }: NozzleReport,
  book: WorkingBook,
): Result<NozzlesAnswer['solved'], ComputeIssue> {
  if (!solve) return ok(null)
  const pace = solve.speed ?? speed
  const answer = solveBoom(
    solve.for,
    {
      flow: mean,
      ...(pressure && {
        pressure: pascals(pressure.now),
        range: { low: pascals(pressure.low), high: pascals(pressure.high) },
      }),
    },
    {
      gravity,
      spacing: lengthSi(spacing),
      ...(pace && { speed: speedSi(pace) }),
      ...(solve.carrier && { carrier: solve.carrier.value * rateUnitParts(solve.carrier.unit).factor }),
      ...(solve.pressure && { pressure: pascals(solve.pressure) }),
    },
    'solved',
    book,
  )
  if (!answer.ok) return err(issueOf(answer.error))
  return ok({
    for: solve.for,
    value: inWire(solve.for, answer.value, pressure?.now.unit),
    state: stateOf(solve.for, answer.value),
  })
}

function inWire(
  unknown: BoomUnknown,
  { value }: BoomAnswer,
  pressureUnit: keyof typeof PASCALS_PER | undefined,
): NonNullable<NozzlesAnswer['solved']>['value'] {
  switch (unknown) {
    case 'speed':
      return { value, unit: 'm/s' }
    case 'spacing':
      return { value, unit: 'm' }
    case 'flow':
      return { value: value * LITRES, unit: 'L/s' }
    case 'carrier':
      return { value: value * LITRES, unit: 'L/m2' }
    case 'pressure': {
      const unit = pressureUnit ?? 'kPa'
      return { value: value / PASCALS_PER[unit], unit }
    }
    default:
      return unknown satisfies never
  }
}

const stateOf = (
  unknown: BoomUnknown,
  { state }: BoomAnswer,
): NonNullable<NozzlesAnswer['solved']>['state'] =>
  state === 'practical'
    ? 'inside'
    : unknown === 'pressure'
      ? 'outside nozzle range'
      : 'outside practical limits'

function issueOf(error: BoomError): ComputeIssue {
  if (error.kind === 'outOfRange') {
    const message = 'The nozzle does not work at that pressure: its flow there is not known.'
    return { code: 'impossible', path: 'solve.pressure', message }
  }
  const path = error.what === 'carrier' || error.what === 'speed' ? `solve.${error.what}` : 'pressure'
  return { code: 'not-enough', path, message: `The ${error.what} has to be known first: send it.` }
}

/** Under this share of the mean a nozzle is blocked rather than low. */
const BLOCKED = -0.5

const problemsOf = ({ off, uneven, worn }: NozzleReport): NozzlesAnswer['problems'] => [
  ...uneven.map((place) => {
    const blocked = (off[place] ?? 0) < BLOCKED
    return {
      code: blocked ? ('blocked' as const) : ('uneven' as const),
      message:
        `Nozzle ${place + 1} is ${formatDeviation(off[place] ?? 0)} off the mean: ` +
        'clean it and try again.',
    }
  }),
  ...(worn.length > 0
    ? [{ code: 'worn' as const, message: 'Nozzles give over 10 % more than new ones: replace the set.' }]
    : []),
]
