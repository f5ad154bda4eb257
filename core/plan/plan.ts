import type { Nutrient, Rate } from '../label/label'
import type { Quantity } from '../quantity/quantity'
import type { AmountUnit, VolumeUnit } from '../quantity/units'
import type { Working } from '../working/working'

type Amount = Quantity<AmountUnit>
type Volume = Quantity<VolumeUnit>
type Size = Quantity<'m2'>

export interface AreaPlan {
  readonly id: string
  readonly size: Size
  readonly carrier: Volume | null
  readonly products: readonly {
    readonly id: string
    readonly amount: Amount
    readonly perPass: Amount | null
  }[]
}

export interface ProductTotal {
  readonly id: string
  /** What lands on the lawn. */
  readonly amount: Amount
  /** What is mixed: the lawn's amount and the share of the dead volume; null for dry work. */
  readonly mix: Amount | null
  /** The sum of what is really measured out, load by load, in the measuring step's unit. */
  readonly measured: Amount
  /** The rate that the measured amount really gives, in the rate's own unit and basis. */
  readonly measuredRate: Rate
  /** What is weighed into the hopper, reserve included; null for wet work. */
  readonly charge: Amount | null
}

export interface LoadPlan {
  readonly number: number
  readonly size: Size
  readonly carrier: Volume
  readonly products: readonly { readonly id: string; readonly amount: Amount; readonly measured: Amount }[]
  /** The areas it is for, where loads end at the areas' bounds. */
  readonly areas?: readonly string[]
}

/** Areas that take the same rates, and what they take. */
export interface RateGroup {
  readonly areas: readonly string[]
  readonly size: Size
  readonly products: readonly {
    readonly id: string
    readonly rate: Rate
    readonly amount: Amount
    readonly measured: Amount
  }[]
}

export const CHECK_LEVELS = ['stop', 'warn', 'note'] as const
export type CheckLevel = (typeof CHECK_LEVELS)[number]

export const PLAN_CHECK_CODES = [
  'above-max-per-application',
  'rate-above-label',
  'rate-below-label',
  'quick-nitrogen-high',
  'measure-step-coarse',
  'part-load-small',
  'nutrients-unknown',
] as const
export type PlanCheckCode = (typeof PLAN_CHECK_CODES)[number]

export interface PlanCheck {
  readonly level: CheckLevel
  readonly code: PlanCheckCode
  /** Absent where the check concerns the sum of all products. */
  readonly productId?: string
  readonly message: string
}

export type NutrientsLaid = Readonly<Record<Nutrient, Quantity<'lb/1000 ft2'>>>

/** Everything one application comes to; the answer of POST /api/plan. */
export interface Plan {
  readonly areas: readonly AreaPlan[]
  readonly totals: {
    readonly size: Size
    readonly carrier: Volume | null
    readonly mix: Volume | null
    readonly products: readonly ProductTotal[]
  }
  readonly loads: readonly LoadPlan[]
  readonly nutrients: NutrientsLaid | null
  readonly checks: readonly PlanCheck[]
  readonly working: readonly Working[]
  /** Only where areas have rates of their own. */
  readonly rates?: readonly RateGroup[]
}
