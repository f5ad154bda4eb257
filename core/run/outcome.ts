import { betweenDimensions } from '../label/asProduct'
import { doseOf, type Dose } from '../label/dose'
import { carrierOf } from '../plan/carrierOf'
import type { Plan } from '../plan/plan'
import type { PlanRequest } from '../plan/planRequest'
import { hasOwnRates } from '../plan/rateGroups'
import { sumOf } from '../quantity/counting'
import { amountFactor, areaSi, type Quantity } from '../quantity/quantity'
import { roundingOf } from '../quantity/repeats'
import { dimensionOf, rateUnitParts } from '../quantity/rateUnit'
import type { AmountUnit, AreaRateUnit, AreaUnit, RateUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { apartOutcomes, type ApartOutcome } from './apartOutcomes'
import type { StripEntry } from './carriedShape'
import { onEachRate } from './onEachRate'
import type { OutcomeProblem } from './outcomeProblem'
import { DEFAULT_JUDGING, deviationRange, verdictOf, type Judging, type Verdict } from './verdict'

/** What was really put in and what came back, as weighed or measured. */
export interface Used {
  readonly treated: Quantity<AreaUnit>
  /** Product put into the hopper or the tank, all loads together. */
  readonly putIn: readonly { readonly productId: string; readonly amount: Quantity<AmountUnit> }[]
  /** What was left: product in the hopper, or finished spray in the tank, hose and boom. */
  readonly left: Quantity<AmountUnit>
  /** Finished spray made, all loads together; undefined for dry work. */
  readonly made?: Quantity<AmountUnit>
  /**
   * Of a job at several rates: what each rate's lawns got but the last, in the plan's order, product of dry
   * work, spray of wet; absent where it was measured as one.
   */
  readonly apart?: readonly Quantity<AmountUnit>[]
  /** Ground of its own beyond the planned areas: what went there is not on these. */
  readonly strips?: readonly StripEntry[]
}

export interface ProductOutcome {
  readonly productId: string
  readonly used: Quantity<AmountUnit>
  /** Absent, as are deviation and verdict, where nobody noted what was planned. */
  readonly plannedRate?: Quantity<RateUnit>
  readonly actualRate: Quantity<RateUnit>
  /** Actual over planned, less one. */
  readonly deviation?: number
  /** Uncertainty of the deviation, two standard deviations: what ground and scale leave open. */
  readonly give: number
  readonly verdict?: Verdict
  /** By rate, where the lawns were weighed apart. */
  readonly apart?: readonly ApartOutcome[]
}

/** An outcome that is held against its plan. */
export interface JudgedOutcome extends ProductOutcome {
  /** In the planned rate's own unit and basis; of a concentration, what of it goes onto the ground. */
  readonly plannedRate: Quantity<RateUnit>
  readonly deviation: number
  readonly verdict: Verdict
}

/**
 * The actual rate of every product: what was used over the ground that was treated, against what was planned.
 * Dry: used = put in - left. Wet: used = put in x (made - left) / made, every product alike.
 * @returns problems where the entries contradict each other; never a guess
 * Source: trade.md 9.
 */
export function outcomeOf(
  request: PlanRequest,
  plan: Plan,
  entries: Used,
  book: WorkingBook,
  judging: Judging = DEFAULT_JUDGING,
): Result<readonly JudgedOutcome[], readonly OutcomeProblem[]> {
  const share = sharePutDown(request, entries)
  if (!share.ok) return share
  const problems: OutcomeProblem[] = []
  const { tolerance } = judging
  const outcomes = request.products.flatMap((product) => {
    const path = `putIn.${product.id}` as const
    const put = entries.putIn.find(({ productId }) => productId === product.id)
    const planned = plan.totals.products.find(({ id }) => id === product.id)
    const dose = doseOf(product, carrierOf(request.method))
    if (!put || !planned || !dose.ok) return []
    const conversion = betweenDimensions(
      dimensionOf(put.amount.unit),
      dose.value.dimension,
      product.density,
      path,
    )
    if (!conversion.ok) {
      problems.push({ path, message: conversion.error.message })
      return []
    }
    const usedInPutUnit = put.amount.value * share.value
    const perArea =
      (usedInPutUnit * amountFactor(put.amount.unit) * conversion.value) / areaSi(entries.treated)
    // Where areas had rates of their own, what was planned is their mean over the whole ground.
    const mean = hasOwnRates(request)
      ? (planned.amount.value * amountFactor(planned.amount.unit)) /
        plan.totals.size.value /
        dose.value.perArea
      : 1
    const deviation = perArea / (dose.value.perArea * mean) - 1
    const used = { value: usedInPutUnit, unit: put.amount.unit }
    const apart = apartOutcomes(
      product.id,
      plan.rates ?? [],
      {
        apart: onEachRate(request, plan, entries, product.id),
        used,
        treatedShare: areaSi(entries.treated) / plan.totals.size.value,
      },
      book,
      judging,
    )
    if (!apart.ok) {
      problems.push(...apart.error)
      return []
    }
    const plannedRate = ratePlanned(product.rate, dose.value, mean)
    const give =
      2 * Math.hypot(judging.groundError, weighingError(product, entries, usedInPutUnit, put.amount.unit))
    const outcome: JudgedOutcome = {
      productId: product.id,
      used,
      plannedRate,
      actualRate: { value: plannedRate.value * (1 + deviation), unit: plannedRate.unit },
      deviation,
      give,
      verdict: verdictOf(deviation, give, tolerance),
      ...(apart.value.length > 0 && { apart: apart.value }),
    }
    book.note(`outcome.${product.id}`, () => [
      `put in ${asEntered(put.amount)}`,
      entries.made
        ? `made ${asEntered(entries.made)} of spray, left ${asEntered(entries.left)}`
        : `left ${asEntered(entries.left)}`,
      ...(entries.strips ?? []).map(
        ({ name, size, amount }) => `${asEntered(amount)} went onto ${name}, ${asEntered(size)}`,
      ),
      `used ${figureText(outcome.used)} on ${asEntered(entries.treated)}`,
      ...(judging.against === 'nothing'
        ? []
        : [
            `planned ${figureText(plannedRate)}${mean === 1 ? '' : ', the mean of the areas’ own rates'}; ` +
              `off by ${sixDigits(deviation * 100)} %`,
          ]),
      ...(give > 0
        ? [
            `ground ${sixDigits(200 * judging.groundError)} % and scale together: ` +
              `± ${sixDigits(100 * give)} %` +
              (judging.against === 'nothing' ? '' : `: ${deviationRange(deviation, give)}`),
          ]
        : []),
      `actual rate ${figureText(outcome.actualRate)}`,
    ])
    return [outcome]
  })
  return problems.length > 0 ? err(problems) : ok(outcomes)
}

/**
 * One standard deviation of what was used, as a share, for the step it was weighed in: put in and, where work
 * is dry, back. What is left of a spray is read off a mark whose step nobody said.
 */
function weighingError(
  { measureStep }: PlanRequest['products'][number],
  { made }: Used,
  used: number,
  unit: AmountUnit,
): number {
  if (!measureStep || dimensionOf(measureStep.unit) !== dimensionOf(unit)) return 0
  const step = (measureStep.value * amountFactor(measureStep.unit)) / amountFactor(unit)
  return (roundingOf(step) * Math.sqrt(made ? 1 : 2)) / used
}

/**
 * The planned rate as what went down is held against it. Of a dose by concentration that is the product on
 * the
 * ground: what is in a litre stays what it was, however much of it was left.
 */
function ratePlanned(rate: Quantity<RateUnit>, { unit, perArea }: Dose, mean: number): Quantity<RateUnit> {
  if (rateUnitParts(rate.unit).per === 'area') return { value: rate.value * mean, unit: rate.unit }
  const onGround = ON_GROUND[unit] ?? (`${unit}/1000 ft2` as const)
  return { value: (perArea * mean) / rateUnitParts(onGround).factor, unit: onGround }
}
const ON_GROUND: Readonly<Partial<Record<AmountUnit, AreaRateUnit>>> = {
  gal: 'fl oz/1000 ft2',
  L: 'mL/100 m2',
  mL: 'mL/100 m2',
  kg: 'kg/100 m2',
  g: 'g/100 m2',
}

const STRIP_UNITS: Readonly<Record<PlanRequest['method']['kind'], string>> = {
  spray: 'What went onto a strip is spray: write gal, fl oz or L.',
  spread: 'What went onto a strip is a weight: write lb, oz or kg.',
}

/** Share of what was put in that went down; dry work has one product, whose own unit decides. */
function sharePutDown(
  { method }: PlanRequest,
  { left, made, putIn, strips = [] }: Used,
): Result<number, readonly OutcomeProblem[]> {
  const leftSi = left.value * amountFactor(left.unit)
  const whole = method.kind === 'spray' ? made : putIn[0]?.amount
  if (!whole) return err([{ path: 'made', message: 'How much spray was made is still missing.' }])
  if (dimensionOf(left.unit) !== dimensionOf(whole.unit)) {
    return err([
      {
        path: 'left',
        message:
          method.kind === 'spray'
            ? 'What is left of a spray is a volume: write gal, fl oz or L.'
            : 'What is left in a hopper is a weight: write lb, oz or kg.',
      },
    ])
  }
  const wholeSi = whole.value * amountFactor(whole.unit)
  if (leftSi >= wholeSi)
    return err([
      {
        path: 'left',
        message: `What is left (${asEntered(left)}) must be less than what was put in (${asEntered(whole)}).`,
      },
    ])
  const onStrips = sumOf(strips, ({ amount }) => amount.value * amountFactor(amount.unit))
  if (strips.some(({ amount }) => dimensionOf(amount.unit) !== dimensionOf(whole.unit)))
    return err([{ path: 'strips', message: STRIP_UNITS[method.kind] }])
  if (leftSi + onStrips >= wholeSi)
    return err([
      {
        path: 'strips',
        message:
          `What is left and what went onto strips (${sixDigits(onStrips / amountFactor(whole.unit))} ` +
          `${whole.unit}) must be less than what was put in (${asEntered(whole)}).`,
      },
    ])
  return ok(1 - (leftSi + onStrips) / wholeSi)
}
