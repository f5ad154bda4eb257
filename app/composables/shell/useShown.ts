import { rateUnitParts, type Dimension } from '#core/quantity/rateUnit'
import { isMassUnit } from '#core/quantity/units'
import type { OnHand } from '#core/stock/onHand'
import type { AmountUnit, RateUnit } from '#core/quantity/units'
import {
  amountFactor,
  type Quantity,
  type SquareMetres,
  type MetresPerSecond,
  type Metres,
} from '#core/quantity/quantity'
import {
  giveOfAmount,
  giveOfSize,
  showAmount,
  showCarrier,
  showDistance,
  showRate,
  showRates,
  showSize,
  showSpeed,
  showStock,
} from '#core/quantity/systems'

/** Figures in the units this screen reads in; core does the converting, the crew store says which units. */
export function useShown() {
  const crew = useCrewStore()
  const amountSi = ({ value, unit }: Quantity<AmountUnit>) => value * amountFactor(unit)
  const dimensionOf = (unit: AmountUnit): Dimension => (isMassUnit(unit) ? 'mass' : 'volume')
  return {
    size: (m2: number) => showSize(m2 as SquareMetres, crew.units),
    /** kg or m3. */
    amountOf: (si: number, dimension: Dimension) => showAmount(si, dimension, crew.units),
    amount: (quantity: Quantity<AmountUnit>) =>
      showAmount(amountSi(quantity), dimensionOf(quantity.unit), crew.units),
    giveOfAmount: (share: number, quantity: Quantity<AmountUnit>) =>
      giveOfAmount(share, amountSi(quantity), dimensionOf(quantity.unit), crew.units),
    giveOfSize: (share: number, m2: number) => giveOfSize(share, m2 as SquareMetres, crew.units),
    stock: ({ amount, dimension }: OnHand) => showStock(amount, dimension, crew.units),
    rate: (perArea: number, dimension: Dimension) => showRate(perArea, dimension, crew.units),
    /** Rates that belong together, in one unit. */
    rates: (perAreas: readonly number[], dimension: Dimension) => showRates(perAreas, dimension, crew.units),
    carrier: (perArea: number) => showCarrier(perArea, crew.units),
    speed: (metresPerSecond: number) => showSpeed(metresPerSecond as MetresPerSecond, crew.units),
    distance: (metres: number) => showDistance(metres as Metres, crew.units),
    dimensionOfRate: (unit: RateUnit) => rateUnitParts(unit).dimension,
  }
}
