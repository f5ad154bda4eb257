import { formatFigure } from './format'
import { rateInSystem, SYSTEM_UNITS, type UnitSystem } from './systems'
import { KILOGRAMS_PER, SQUARE_METRES_PER } from './units'

/** The trade's own unit of a nutrient, 1 lb on 1,000 ft2, in kg on each m2. Source: trade.md 5. */
export const NUTRIENT_UNIT = KILOGRAMS_PER.lb / SQUARE_METRES_PER['1000 ft2']

/** How nutrients are told where nobody says in which units: as the trade does. */
export const TRADE_UNITS: UnitSystem = 'us-1000'

/** A nutrient on the ground, kg on each m2, as a figure of the units somebody reads. */
export const nutrientIn = (perArea: number, system: UnitSystem): number =>
  rateInSystem(perArea, 'mass', system).value

/**
 * A nutrient on the ground in the units somebody reads.
 * @param perArea kg of the nutrient on each m2
 * @param name of the nutrient, blank where the sentence names it
 * @param write how the figure is written: to be read, or with the digits of a working
 * @example nutrientText(0.00488243, 'N', 'metric-100') // '0.488 kg N/100 m2'
 */
export const nutrientText = (
  perArea: number,
  name: string,
  system: UnitSystem = TRADE_UNITS,
  write: (figure: number) => string = formatFigure,
): string => `${write(nutrientIn(perArea, system))} ${unitOf(name, system)}`

/** Two of them, from and to, told without the noughts of a measured figure: '2 to 4 lb N/1000 ft2'. */
export const nutrientRangeText = (
  [from, to]: readonly [number, number],
  name: string,
  system: UnitSystem = TRADE_UNITS,
): string =>
  `${threeDigits(nutrientIn(from, system))} to ${threeDigits(nutrientIn(to, system))} ${unitOf(name, system)}`

const threeDigits = (figure: number): string => String(Number(figure.toPrecision(3)))

function unitOf(name: string, system: UnitSystem): string {
  const [mass = '', ground = ''] = SYSTEM_UNITS[system].massRate.split('/')
  return `${[mass, name].filter(Boolean).join(' ')}/${ground}`
}
