import type { Carrier } from '../label/dose'
import { amountFactor, areaSi, type Quantity } from '../quantity/quantity'
import type { UnitSystem } from '../quantity/systems'
import type { VolumeUnit } from '../quantity/units'
import { carrierOf } from './carrierOf'
import type { PlanArea, PlanProduct, PlanRequest, SpreadMethod, SprayMethod } from './planRequest'

/** One area to be treated, and how it was entered, which its working quotes. */
export interface AskedArea {
  readonly entered: PlanArea
  /** m2. */
  readonly size: number
}

/** The water of a tank mix: m3, the carrier m3 on each m2. */
export interface AskedWater {
  readonly carrier: Carrier
  readonly tank: number
  readonly dead: number
  /** Least the pump agitates; undefined where nobody says. */
  readonly agitate: number | undefined
}

/**
 * One application as the planner takes it: ground and water in SI; labels as they are printed, for their
 * figures mean nothing without their units.
 */
export interface PlanQuestion {
  readonly areas: readonly AskedArea[]
  readonly products: readonly PlanProduct[]
  /** As entered. */
  readonly method: SpreadMethod | SprayMethod
  /** Undefined for dry work. */
  readonly water: AskedWater | undefined
  readonly units?: UnitSystem
}

/** What a request of the public contract asks. */
export function planQuestion({ areas, products, method, units }: PlanRequest): PlanQuestion {
  const carrier = carrierOf(method)
  return {
    areas: areas.map((entered) => ({ entered, size: areaSi(entered.size) })),
    products,
    method,
    water: method.kind === 'spray' && carrier ? waterOf(method, carrier) : undefined,
    ...(units && { units }),
  }
}

/** The same in the public contract's terms. */
export const requestOf = ({ areas, products, method, units }: PlanQuestion): PlanRequest => ({
  areas: areas.map(({ entered }) => entered),
  products,
  method,
  ...(units && { units }),
})

/** The water of a sprayed method, whose carrier is known to the full. */
export const waterOf = ({ tank, dead, agitate }: SprayMethod, carrier: Carrier): AskedWater => ({
  carrier,
  tank: cubicMetres(tank),
  dead: dead ? cubicMetres(dead) : 0,
  agitate: agitate && cubicMetres(agitate),
})

const cubicMetres = ({ value, unit }: Quantity<VolumeUnit>): number => value * amountFactor(unit)

/** What an area is called to the user. */
export const calledArea = ({ name, id }: PlanArea): string => name ?? id

/** Areas by their names. @example 'Front, Side' */
export const calledAreas = (areas: readonly AskedArea[]): string =>
  areas.map(({ entered }) => calledArea(entered)).join(', ')
