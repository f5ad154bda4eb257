import { counted } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { err, ok, type Result } from '../result'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { paceOf } from './anotherSpeed'
import { flowAt, settingFor, type CurveError, type Reach } from './settingCurve'
import type { SpreaderCurve } from './spreaderCurve'

/**
 * What can be asked of a curve, and what is held; all SI: rates in kg on each m2 of all passes together,
 * speeds in m/s, swaths in m.
 */
interface Held {
  readonly passes: number
  readonly swath: number
}
export type CurveQuestion =
  | (Held & { readonly find: 'setting'; readonly rate: number; readonly speed: number })
  | (Held & { readonly find: 'rate'; readonly setting: number; readonly speed: number })
  | (Held & { readonly find: 'speed'; readonly rate: number; readonly setting: number })

export interface CurveReply {
  readonly setting: number
  readonly rate: number
  readonly speed: number
  readonly reach: Reach
  /** One standard deviation of the flow, as a share; undefined without repeats. */
  readonly doubt: number | undefined
  /** Whether the speed is near enough to the one the curve was made at. */
  readonly pace: 'trusted' | 'questioned'
}

/**
 * Asks a spreader's curve for a setting, a rate or a speed, the others held: flow = rate / passes x swath x
 * speed. Errors are the curve's own. Source: trade.md 3.
 */
export function askCurve(
  { curve, speed: made }: Pick<SpreaderCurve, 'curve' | 'speed'>,
  question: CurveQuestion,
  figure: Figure,
  book: WorkingBook,
): Result<CurveReply, CurveError> {
  const { passes, swath } = question
  const pace = (speed: number) => (made === undefined ? ('trusted' as const) : paceOf(speed, made))
  if (question.find === 'setting') {
    const { rate, speed } = question
    const answer = settingFor(curve, (rate / passes) * swath * speed, figure, book)
    return answer.ok
      ? ok({
          setting: answer.value.setting,
          rate,
          speed,
          reach: answer.value.reach,
          doubt: answer.value.doubt,
          pace: pace(speed),
        })
      : err(answer.error)
  }
  const through = flowAt(curve, question.setting)
  if (!through.ok) return err(through.error)
  const { flow, reach, doubt, setting } = through.value
  const [rate, speed] =
    question.find === 'rate'
      ? [(passes * flow) / (swath * question.speed), question.speed]
      : [question.rate, (passes * flow) / (question.rate * swath)]
  book.note(figure, () => [
    `setting ${sixDigits(setting)} lets ${sixDigits(1000 * flow)} g/s through`,
    `swath ${sixDigits(swath)} m, ${counted(passes, 'pass', 'passes')}`,
    question.find === 'rate'
      ? `rate = passes x flow / (swath x speed) = ${sixDigits(1000 * rate)} g/m2 at ` +
        `${sixDigits(speed * 3.6)} km/h`
      : `speed = passes x flow / (swath x rate) = ${sixDigits(speed * 3.6)} km/h for ` +
        `${sixDigits(1000 * rate)} g/m2`,
  ])
  return ok({ setting, rate, speed, reach, doubt, pace: pace(speed) })
}
