import { doseOf } from '../label/dose'
import { densitySi } from '../quantity/quantity'
import { figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { PlanProduct } from './planRequest'

/** A finished spray heavy enough that nozzles calibrated with water give noticeably less of it. */
export interface HeavyMix {
  /** Of the finished spray, water 1. */
  readonly gravity: number
  /** What really goes down, m3 on each m2. */
  readonly carrier: number
  /** Of the water that was calibrated with, less one. */
  readonly change: number
}

/** kg/m3. */
const WATER = 1000
/** Carriers closer than this are told apart by no jug. */
const NOTICED = 0.01
const ROUNDS = 30

/**
 * The carrier of a spray that is heavier than the water it was calibrated with. Less of it flows, so the same
 * product stands in less water, which makes it heavier still: worked out round by round until it rests.
 * @param watered what the calibration puts down of water, m3 on each m2
 * @returns undefined where it makes no difference, or no density says so; what is dry is taken to weigh
 * nothing
 *   beside its water
 * Source: trade.md 4, heavier solutions flow less: divide by root of specific gravity.
 * @example 0.53 L/m2 of water, a fifth of it a solution of 1.28: gravity 1.056, so 0.516 L/m2
 */
export function heavyMix(
  products: readonly PlanProduct[],
  watered: number,
  book: WorkingBook,
): HeavyMix | undefined {
  const gravityAt = (carrier: number): number =>
    products.reduce((sum, product) => {
      const dose = doseOf(product, { perArea: carrier, unit: 'L' })
      if (!dose.ok || dose.value.dimension !== 'volume' || !product.density) return sum
      return sum + (dose.value.perArea * (densitySi(product.density) / WATER - 1)) / carrier
    }, 1)
  let carrier = watered
  for (let round = 0; round < ROUNDS; round++) {
    const gravity = gravityAt(carrier)
    if (!(gravity > 0)) return undefined
    const rested = watered / Math.sqrt(gravity)
    if (rested === carrier) break
    carrier = rested
  }
  const [gravity, change] = [gravityAt(carrier), carrier / watered - 1]
  if (Math.abs(change) < NOTICED) return undefined
  book.note('carrier.heavy', () => [
    `calibrated with water: ${sixDigits(1000 * watered)} L/m2`,
    ...products.flatMap(({ name, id, density }) =>
      density ? [`${name ?? id} weighs ${figureText(density)}`] : [],
    ),
    `finished spray = ${sixDigits(gravity)} times the weight of water`,
    `flows as 1 / root of that: ${sixDigits(100 * change)} %`,
    `carrier = ${sixDigits(1000 * carrier)} L/m2`,
  ])
  return { gravity, carrier, change }
}
