import {
  amountFactor,
  type CubicMetres,
  type Kilograms,
  type MetresPerSecond,
  type Metres,
  type Quantity,
  type SquareMetres,
} from './quantity'
import type { Entered } from './entered'
import { formatArea, formatFigure, formatGive, formatSteps } from './format'
import type { Dimension } from './rateUnit'
import {
  KILOGRAMS_PER,
  METRES_PER,
  METRES_PER_SECOND_PER,
  SQUARE_METRES_PER,
  STOPWATCH_PER,
  type AmountUnit,
  type AreaRateUnit,
  type AreaUnit,
  type CarrierUnit,
  type LengthUnit,
  type MassUnit,
  type SpeedUnit,
  type VolumeUnit,
} from './units'

export const UNIT_SYSTEMS = ['us-1000', 'us-acre', 'metric-100', 'metric-ha'] as const
/** The ground people count in: 1,000 ft2 or acre, 100 m2 or hectare. */
export type UnitSystem = (typeof UNIT_SYSTEMS)[number]

/**
 * The units one system reads and asks in. Amounts climb their ladder: the first unit of which there is at
 * least one.
 */
export interface SystemUnits {
  readonly name: string
  readonly length: LengthUnit
  /** The unit a lawn's size is told in, and asked in. */
  readonly size: AreaUnit
  readonly massLadder: readonly MassUnit[]
  readonly volumeLadder: readonly VolumeUnit[]
  readonly massRate: AreaRateUnit
  readonly volumeRate: AreaRateUnit
  readonly carrier: CarrierUnit
  readonly tank: VolumeUnit
  readonly weight: MassUnit
  readonly speed: SpeedUnit
}

export const SYSTEM_UNITS: Readonly<Record<UnitSystem, SystemUnits>> = {
  'us-1000': {
    name: '1,000 ft²',
    length: 'ft',
    size: 'ft2',
    massLadder: ['lb', 'oz'],
    volumeLadder: ['gal', 'fl oz'],
    massRate: 'lb/1000 ft2',
    volumeRate: 'fl oz/1000 ft2',
    carrier: 'gal/1000 ft2',
    tank: 'gal',
    weight: 'lb',
    speed: 'mph',
  },
  'us-acre': {
    name: 'acre',
    length: 'ft',
    size: 'ac',
    massLadder: ['lb', 'oz'],
    volumeLadder: ['gal', 'fl oz'],
    massRate: 'lb/ac',
    volumeRate: 'fl oz/ac',
    carrier: 'gal/ac',
    tank: 'gal',
    weight: 'lb',
    speed: 'mph',
  },
  'metric-100': {
    name: '100 m²',
    length: 'm',
    size: 'm2',
    massLadder: ['kg', 'g'],
    volumeLadder: ['L', 'mL'],
    massRate: 'kg/100 m2',
    volumeRate: 'mL/100 m2',
    carrier: 'L/100 m2',
    tank: 'L',
    weight: 'kg',
    speed: 'km/h',
  },
  'metric-ha': {
    name: 'ha',
    length: 'm',
    size: 'ha',
    massLadder: ['kg', 'g'],
    volumeLadder: ['L', 'mL'],
    massRate: 'kg/ha',
    volumeRate: 'L/ha',
    carrier: 'L/ha',
    tank: 'L',
    weight: 'kg',
    speed: 'km/h',
  },
}

/** A figure ready to be read: grouped digits, and the unit as it is set small beside them. */
export interface Shown {
  readonly figure: string
  readonly unit: string
}

/** Units inside a sentence as people read them: 'fl oz/1000 ft2' is set as 'fl oz/1,000 ft²'. */
export const prettyUnits = (text: string): string =>
  text.replaceAll('1000 ft2', '1,000 ft²').replaceAll('ft2', 'ft²').replaceAll('m2', 'm²')

/** A unit by itself, as it is set small beside its figure: 'lb/1000 ft2' is 'lb / 1,000 ft²'. */
export const unitText = (unit: string): string => prettyUnits(unit).replace('/', ' / ')

/** Any quantity in its own unit. */
export const showQuantity = ({ value, unit }: Quantity): Shown => ({
  figure: formatFigure(value),
  unit: unitText(unit),
})

/** A measured amount in its own unit; with a step it is whole steps, shown exactly. */
export const showMeasured = ({ value, unit }: Quantity, step: Quantity | undefined): Shown => ({
  figure: step ? formatSteps(value) : formatFigure(value),
  unit: unitText(unit),
})

export function showSize(size: SquareMetres, system: UnitSystem): Shown {
  const unit = SYSTEM_UNITS[system].size
  const value = size / SQUARE_METRES_PER[unit]
  return {
    figure: unit === 'ft2' || unit === 'm2' ? formatArea(value, unit) : formatFigure(value),
    unit: unitText(unit),
  }
}

/** A length as somebody would have typed it, to the tenth of the system's unit. */
export function enteredLength(metres: number, system: UnitSystem): Entered<LengthUnit> {
  const { length: unit } = SYSTEM_UNITS[system]
  return { text: String(Number((metres / METRES_PER[unit]).toFixed(1))), unit }
}

/** An amount of product (kg or m3) in the largest unit of which there is at least one. */
export function showAmount(
  amount: Kilograms | CubicMetres | number,
  dimension: Dimension,
  system: UnitSystem,
): Shown {
  const { massLadder, volumeLadder } = SYSTEM_UNITS[system]
  return showQuantity(onLadder<AmountUnit>(amount, dimension === 'mass' ? massLadder : volumeLadder))
}

/** A mass as it is written down, in the largest unit of which there is at least one. @param mass kg */
export const massIn = (mass: number, system: UnitSystem): Quantity<MassUnit> =>
  onLadder(mass, SYSTEM_UNITS[system].massLadder)

/** Half of a doubt, as a share of an amount, in the unit that amount is itself told in: '1.5'. */
export function giveOfAmount(
  share: number,
  amount: number,
  dimension: Dimension,
  system: UnitSystem,
): string {
  const { massLadder, volumeLadder } = SYSTEM_UNITS[system]
  return formatGive(
    share * onLadder<AmountUnit>(amount, dimension === 'mass' ? massLadder : volumeLadder).value,
  )
}

/** As giveOfAmount, of a piece of ground. */
export const giveOfSize = (share: number, size: SquareMetres, system: UnitSystem): string =>
  formatGive((share * size) / SQUARE_METRES_PER[SYSTEM_UNITS[system].size])

/** Stock as it is told on a shelf: three digits at most, what is in the red with its sign. */
export function showStock(amount: number, dimension: Dimension, system: UnitSystem): Shown {
  const { massLadder, volumeLadder } = SYSTEM_UNITS[system]
  const { value, unit } = onLadder<AmountUnit>(
    Math.abs(amount),
    dimension === 'mass' ? massLadder : volumeLadder,
  )
  return {
    figure: `${amount < 0 ? '−' : ''}${formatSteps(Number(value.toPrecision(3)))}`,
    unit: unitText(unit),
  }
}

/** Product per ground (kg/m2 or m3/m2) in the system's rate unit. */
export function rateInSystem(
  perArea: number,
  dimension: Dimension,
  system: UnitSystem,
): Quantity<AreaRateUnit> {
  const unit = dimension === 'mass' ? SYSTEM_UNITS[system].massRate : SYSTEM_UNITS[system].volumeRate
  return { value: perArea / areaRateFactor(unit), unit }
}

/**
 * A rate of which there is less than a tenth of a pound or kilogram is told in ounces or grams on the same
 * ground.
 */
export function showRate(perArea: number, dimension: Dimension, system: UnitSystem): Shown {
  const {
    figures: [figure = ''],
    unit,
  } = showRates([perArea], dimension, system)
  return { figure, unit }
}

/** Rates that belong together, in one unit, the one that suits the largest: 0.05 and 0.714 lb / 1,000 ft². */
export function showRates(
  perAreas: readonly number[],
  dimension: Dimension,
  system: UnitSystem,
): { readonly figures: readonly string[]; readonly unit: string } {
  const unit = rateUnitFor(Math.max(...perAreas), dimension, system)
  return {
    figures: perAreas.map((perArea) => formatFigure(perArea / areaRateFactor(unit))),
    unit: unitText(unit),
  }
}

function rateUnitFor(perArea: number, dimension: Dimension, system: UnitSystem): AreaRateUnit {
  const { value, unit } = rateInSystem(perArea, dimension, system)
  const finer = SYSTEM_UNITS[system].massLadder.at(-1)
  return dimension !== 'mass' || value >= LEAST_TOLD || finer === undefined
    ? unit
    : `${finer}/${unit.slice(unit.indexOf('/') + 1) as AreaUnit}`
}
const LEAST_TOLD = 0.1

/** The ground a system counts in: 1,000 ft2, acre, 100 m2 or hectare. */
const groundOf = (system: UnitSystem): AreaUnit => SYSTEM_UNITS[system].carrier.split('/')[1] as AreaUnit

/** Money on the ground. @param perArea in the currency on each m2 */
export function showCost(perArea: number, currency: string, system: UnitSystem): Shown {
  const ground = groundOf(system)
  return {
    figure: (perArea * SQUARE_METRES_PER[ground]).toFixed(2),
    unit: `${currency} / ${unitText(ground)}`,
  }
}

/** Finished spray per ground (m3/m2) in the system's carrier unit. */
export function showCarrier(perArea: number, system: UnitSystem): Shown {
  const unit = SYSTEM_UNITS[system].carrier
  return showQuantity({ value: perArea / areaRateFactor(unit), unit })
}

export function showSpeed(speed: MetresPerSecond, system: UnitSystem): Shown {
  const unit = SYSTEM_UNITS[system].speed
  return showQuantity({ value: speed / METRES_PER_SECOND_PER[unit], unit })
}

/** A walking distance: feet or metres up to about a mile, then miles or kilometres. */
export function showDistance(distance: Metres, system: UnitSystem): Shown {
  const unit = SYSTEM_UNITS[system].length
  const perMile = METRES_PER.ft * 5280
  if (unit === 'ft')
    return distance < perMile / 4
      ? showQuantity({ value: distance / METRES_PER.ft, unit })
      : { figure: formatFigure(distance / perMile), unit: 'mi' }
  return distance < 1000
    ? showQuantity({ value: distance, unit })
    : { figure: formatFigure(distance / 1000), unit: 'km' }
}

function onLadder<U extends AmountUnit>(si: number, ladder: readonly U[]): Quantity<U> {
  const unit = ladder.find((candidate) => si / amountFactor(candidate) >= 1) ?? ladder.at(-1)!
  return { value: si / amountFactor(unit), unit }
}

function areaRateFactor(unit: AreaRateUnit): number {
  const slash = unit.indexOf('/')
  return (
    amountFactor(unit.slice(0, slash) as AmountUnit) / SQUARE_METRES_PER[unit.slice(slash + 1) as AreaUnit]
  )
}

/**
 * How a crew counts what runs through a gate: pounds a minute, or grams a second; `per` of it in one kg/s.
 */
export const flowUnit = (system: UnitSystem): { readonly name: string; readonly per: number } =>
  SYSTEM_UNITS[system].massLadder[0] === 'kg'
    ? { name: 'g/s', per: 1 / KILOGRAMS_PER.g }
    : { name: 'lb/min', per: STOPWATCH_PER.min / KILOGRAMS_PER.lb }
