import { formatFigure } from './format'
import { rateInSystem, SYSTEM_UNITS, type UnitSystem } from './systems'
import { KILOGRAMS_PER, SQUARE_METRES_PER } from './units'

/** Kg on each m2 in the trade's own unit of a nutrient, 1 lb on 1,000 ft2. */
const NUTRIENT_UNIT = KILOGRAMS_PER.lb / SQUARE_METRES_PER['1000 ft2']

/** How nutrients are told where nobody says in which units: as the trade does. */
export const TRADE_UNITS: UnitSystem = 'us-1000'

/** A nutrient, given in lb on 1,000 ft2, as a figure of the units somebody reads. */
export const nutrientIn = (units: number, system: UnitSystem): number =>
  system === TRADE_UNITS ? units : rateInSystem(units * NUTRIENT_UNIT, 'mass', system).value

/**
 * A nutrient on the ground in the units somebody reads.
 * @param units of the nutrient, lb on 1,000 ft2
 * @param name of the nutrient, blank where the sentence names it
 * @param write how the figure is written: to be read, or with the digits of a working
 * @example nutrientText(1, 'N', 'metric-100') // '0.488 kg N/100 m2'
 */
export const nutrientText = (
  units: number,
  name: string,
  system: UnitSystem = TRADE_UNITS,
  write: (figure: number) => string = formatFigure,
): string => `${write(nutrientIn(units, system))} ${unitOf(name, system)}`

/** Two of them, from and to. @example nutrientRangeText([2, 4], 'N') // '2 to 4 lb N/1000 ft2' */
export const nutrientRangeText = (
  [from, to]: readonly [number, number],
  name: string,
  system: UnitSystem = TRADE_UNITS,
): string =>
  `${threeDigits(nutrientIn(from, system))} to ${threeDigits(nutrientIn(to, system))} ${unitOf(name, system)}`

/** What a grass wants is a round figure: told without the noughts of a measured one. */
const threeDigits = (figure: number): string => String(Number(figure.toPrecision(3)))

function unitOf(name: string, system: UnitSystem): string {
  const [mass = '', ground = ''] = SYSTEM_UNITS[system].massRate.split('/')
  return `${[mass, name].filter(Boolean).join(' ')}/${ground}`
}
