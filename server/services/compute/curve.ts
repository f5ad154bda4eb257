import { askCurve, type CurveQuestion } from '#core/calibration/askCurve'
import { MARGIN, settingCurve, type CurveError } from '#core/calibration/settingCurve'
import type { ComputeIssue } from '#core/computeIssue'
import { amountFactor, lengthSi, speedSi } from '#core/quantity/quantity'
import { rateUnitParts } from '#core/quantity/rateUnit'
import { WATCH_SECONDS_PER } from '#core/quantity/units'
import { err, ok, type Result } from '#core/result'
import { openWorkingBook } from '#core/working/working'
import type { CurveAnswer, CurveRequest } from '#shared/schemas/compute/bench'
import { answeredWorking } from './answeredWorking'

/** A spreader's curve asked for setting, rate or speed, for other programs. */
export function answerCurve({ points, ask }: CurveRequest): Result<CurveAnswer, readonly ComputeIssue[]> {
  const curve = settingCurve(
    points.map(({ setting, flow, ageDays }) => ({ setting, flow: flowSi(flow), age: ageDays })),
  )
  const book = openWorkingBook()
  const question = questionOf(ask)
  const asked = askCurve({ curve, speed: undefined }, question, 'answer', book)
  if (!asked.ok) return err([issueOf(asked.error)])
  const { setting, rate, speed, reach, doubt } = asked.value
  if (![setting, rate, speed].every(Number.isFinite)) {
    const message = 'One point at a setting of zero says nothing of other settings: add another.'
    return err([{ code: 'not-enough', path: 'points', message }])
  }
  return ok({
    answer:
      question.find === 'setting'
        ? { setting }
        : question.find === 'rate'
          ? { rate: { value: rate, unit: 'kg/m2' } }
          : { speed: { value: speed, unit: 'm/s' } },
    band: doubt === undefined ? null : 2 * doubt,
    reach: reach === 'tested' ? 'tested' : 'margin',
    guess: curve.means.length === 1,
    working: answeredWorking(book),
  })
}

function flowSi({ value, unit }: CurveRequest['points'][number]['flow']): number {
  const [mass, time] = unit.split('/') as ['kg' | 'g' | 'lb', 's' | 'min']
  return (value * amountFactor(mass)) / WATCH_SECONDS_PER[time]
}

function questionOf({ setting, rate, speed, width, passes }: CurveRequest['ask']): CurveQuestion {
  const held = { passes, swath: lengthSi(width) }
  const wanted = rate ? rate.value * rateUnitParts(rate.unit).factor : 0
  const pace = speed ? speedSi(speed) : 0
  if (setting === undefined) return { find: 'setting', ...held, rate: wanted, speed: pace }
  return rate === undefined
    ? { find: 'rate', ...held, setting, speed: pace }
    : { find: 'speed', ...held, rate: wanted, setting }
}

function issueOf(error: CurveError): ComputeIssue {
  switch (error.kind) {
    case 'noPoints':
      return { code: 'not-enough', path: 'points', message: 'A curve needs at least one point.' }
    case 'impossible':
      return {
        code: 'contradicts',
        path: 'points',
        message:
          `Between settings ${error.between.join(' and ')} more open lets less through: one of the two ` +
          'is wrong.',
      }
    case 'outside':
      return {
        code: 'not-enough',
        path: 'ask',
        message:
          `That is beyond what was tested (settings ${error.least.setting} to ${error.most.setting}) ` +
          'and the margin ' +
          `of ${100 * MARGIN} % of their range: test further out.`,
      }
    default:
      return error satisfies never
  }
}
