import { amountFactor, type Quantity } from '../../quantity/quantity'
import type { AmountUnit } from '../../quantity/units'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { FrozenPlan } from '../runEvent'
import type { RunStep } from './runSteps'

/**
 * What should be left where one really stops, a little before or behind the place the plan had in mind.
 * @param share of the pass that is behind there, above 0, up to 1
 * @returns undefined where the plan expects nothing
 * @example 9.65 lb after half a pass of 6.65 lb; stopped at 48 %: 9.65 + 0.02 x 6.65 = 9.783 lb
 */
export function shouldBeAt(
  { should, share: planned }: Extract<RunStep, { kind: 'check' }>,
  share: number,
  { request, plan, worked }: FrozenPlan,
  book: WorkingBook = closedWorkingBook,
): Quantity<AmountUnit> | undefined {
  const whole = worked?.hopper?.measured ?? plan.totals.products[0]?.measured
  if (!should || !whole || request.method.kind !== 'spread') return undefined
  const passes = worked?.passes ?? request.method.passes
  const perPass = (whole.value * amountFactor(whole.unit)) / amountFactor(should.unit) / passes
  const value = should.value + (planned - share) * perPass
  book.note('run.should', () => [
    `planned after ${sixDigits(100 * planned)} % of the pass: ${sixDigits(should.value)} ${should.unit}`,
    `stopped after ${sixDigits(100 * share)} %, a pass takes ${sixDigits(perPass)} ${should.unit}`,
    `${sixDigits(should.value)} + ${sixDigits(planned - share)} x ${sixDigits(perPass)} = ` +
      `${sixDigits(value)} ${should.unit}`,
  ])
  return { value, unit: should.unit }
}
