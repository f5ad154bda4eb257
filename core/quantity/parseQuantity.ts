import { err, ok, type Result } from '../result'
import { NUMBER_PATTERN, parseNumber, spellFractions, type TypedProblem } from './parseNumber'
import type { Quantity } from './quantity'
import { isUnder } from './tolerance'
import {
  AMOUNT_NAMES,
  ANGLE_NAMES,
  AREA_MULTIPLES,
  AREA_NAMES,
  DENSITY_NAMES,
  DILUTION_NAMES,
  LENGTH_NAMES,
  PERCENT_NAMES,
  PRESSURE_NAMES,
  SPAN_NAMES,
  SPEED_NAMES,
  STOPWATCH_NAMES,
  TEMPERATURE_NAMES,
  TIME_MULTIPLES,
  TIME_NAMES,
  type MultipleOf,
} from './unitNames'
import {
  CUBIC_METRES_PER,
  isMassUnit,
  isVolumeUnit,
  KILOGRAMS_PER,
  METRES_PER,
  SECONDS_PER,
  STOPWATCH_PER,
  type AmountUnit,
  type AngleUnit,
  type AreaRateUnit,
  type AreaUnit,
  type CarrierUnit,
  type ContentUnit,
  type DensityUnit,
  type LengthUnit,
  type MassUnit,
  type PressureUnit,
  type RateUnit,
  type SpanUnit,
  type SpeedUnit,
  type StopwatchUnit,
  type TemperatureUnit,
  type TimeUnit,
  type VolumeUnit,
} from './units'

/** The unit types that a field of each kind can hold. */
export interface KindUnits {
  length: LengthUnit
  span: SpanUnit
  angle: AngleUnit
  area: AreaUnit
  mass: MassUnit
  volume: VolumeUnit
  amount: AmountUnit
  speed: SpeedUnit
  density: DensityUnit
  content: ContentUnit
  rate: RateUnit
  massRate: AreaRateUnit
  carrier: CarrierUnit
  percent: '%'
  stopwatch: StopwatchUnit
  grain: 'mm'
  pressure: PressureUnit
  time: TimeUnit
  temperature: TemperatureUnit
}
export type Kind = keyof KindUnits

type UnitReader<K extends Kind> = (name: string) => Result<KindUnits[K], TypedProblem>

const EXAMPLES: Readonly<Record<Kind, string>> = {
  length: '34\'6", 34.5 ft or 10.5 m',
  span: '34\'6", 10.5 m or 42 paces',
  angle: '72°',
  area: '5,870 ft2, 0.13 acre or 545 m2',
  mass: '3.4 lb, 54 oz or 1.5 kg',
  volume: '2 gal, 12 fl oz or 3 L',
  amount: '3.4 lb, 12 fl oz or 1.5 kg',
  speed: '3.1 mph or 5 km/h',
  density: '10.3 lb/gal or 1.23 kg/L',
  content: '14.3 % or 1.3 lb/gal',
  rate: '3.4 lb/1000 ft2, 2 fl oz/1000 ft2 or 8 fl oz/gal',
  massRate: '3.4 lb/1000 ft2 or 166 kg/ha',
  carrier: '1.3 gal/1000 ft2 or 5 L/100 m2',
  percent: '21 %',
  stopwatch: '42.5 s, 1:30 or 1 min 30 s',
  grain: '2.1 mm',
  pressure: '30 psi or 2 bar',
  time: '28 days, 4 weeks or 12 h',
  temperature: '72 °F or 22 °C',
}

const tidy = (name: string) =>
  name
    .toLowerCase()
    .replaceAll('.', '')
    .replaceAll(/\b1,000\b/g, '1000')
    .replaceAll(/\s+/g, ' ')
    .trim()

const look = <U extends string>(table: Readonly<Record<string, U>>, name: string): U | undefined =>
  Object.hasOwn(table, name) ? table[name] : undefined

const unknown = (name: string, kind: Kind): TypedProblem => ({
  kind: 'unknownUnit',
  message: `“${name}” is not a unit this field knows: write for example ${EXAMPLES[kind]}.`,
})

const wrongKind = (name: string, kind: Kind): TypedProblem => ({
  kind: 'wrongKind',
  message: `“${name}” measures something else: write for example ${EXAMPLES[kind]}.`,
})

function fromTable<K extends Kind>(kind: K, table: Readonly<Record<string, KindUnits[K]>>): UnitReader<K> {
  return (name) => {
    const unit = look(table, name)
    if (unit !== undefined) return ok(unit)
    return err(isKnownElsewhere(name) ? wrongKind(name, kind) : unknown(name, kind))
  }
}

const isKnownElsewhere = (name: string) =>
  [LENGTH_NAMES, AREA_NAMES, AMOUNT_NAMES, SPEED_NAMES, DENSITY_NAMES].some((table) =>
    Object.hasOwn(table, name),
  )

const readAmount: UnitReader<'amount'> = fromTable('amount', AMOUNT_NAMES)

const readMass: UnitReader<'mass'> = (name) => {
  const unit = look(AMOUNT_NAMES, name)
  if (unit === undefined) return err(isKnownElsewhere(name) ? wrongKind(name, 'mass') : unknown(name, 'mass'))
  return isMassUnit(unit) ? ok(unit) : err(wrongKind(name, 'mass'))
}

const readVolume: UnitReader<'volume'> = (name) => {
  const unit = look(AMOUNT_NAMES, name)
  if (unit === 'oz')
    return err({
      kind: 'ambiguousOunces',
      message: 'Ounces by weight or fluid ounces? For a liquid write fl oz; oz is always weight here.',
    })
  if (unit === undefined)
    return err(isKnownElsewhere(name) ? wrongKind(name, 'volume') : unknown(name, 'volume'))
  return isVolumeUnit(unit) ? ok(unit) : err(wrongKind(name, 'volume'))
}

function readAreaRate<A extends AmountUnit>(
  name: string,
  kind: Kind,
  readNumerator: (name: string) => Result<A, TypedProblem>,
): Result<`${A}/${AreaUnit}`, TypedProblem> {
  const split = /^(.*?)\s*(?:\/|\bper\b)\s*(.*)$/.exec(name)
  const area = split && look(AREA_NAMES, (split[2] ?? '').trim())
  if (!split || !area) return err(unknown(name, kind))
  const amount = readNumerator((split[1] ?? '').trim())
  return amount.ok ? ok(`${amount.value}/${area}` as const) : amount
}

const readRate: UnitReader<'rate'> = (name) => {
  const dilution = look(DILUTION_NAMES, name.replace(' per ', '/').replaceAll(/\s*\/\s*/g, '/'))
  return dilution ? ok(dilution) : readAreaRate(name, 'rate', readAmount)
}

const CONTENT_NAMES: Readonly<Record<string, ContentUnit>> = {
  ...PERCENT_NAMES,
  'g/l': 'g/L',
  'kg/l': 'kg/L',
  'lb/gal': 'lb/gal',
}

const READERS: { readonly [K in Kind]: UnitReader<K> } = {
  length: fromTable('length', LENGTH_NAMES),
  span: fromTable('span', SPAN_NAMES),
  angle: fromTable('angle', ANGLE_NAMES),
  area: fromTable('area', AREA_NAMES),
  mass: readMass,
  volume: readVolume,
  amount: readAmount,
  speed: fromTable('speed', SPEED_NAMES),
  density: fromTable('density', DENSITY_NAMES),
  content: (name) => {
    const unit = look(CONTENT_NAMES, name)
    return unit ? ok(unit) : err(unknown(name, 'content'))
  },
  rate: readRate,
  massRate: (name) => readAreaRate(name, 'massRate', readMass),
  carrier: (name) => readAreaRate(name, 'carrier', readVolume),
  time: fromTable('time', TIME_NAMES),
  stopwatch: fromTable('stopwatch', STOPWATCH_NAMES),
  pressure: fromTable('pressure', PRESSURE_NAMES),
  temperature: fromTable('temperature', TEMPERATURE_NAMES),
  grain: (name) => (name === 'mm' ? ok('mm') : err(unknown(name, 'grain'))),
  percent: fromTable('percent', PERCENT_NAMES),
}

const MULTIPLES: { readonly [K in Kind]?: Readonly<Record<string, MultipleOf<KindUnits[K]>>> } = {
  area: AREA_MULTIPLES,
  time: TIME_MULTIPLES,
}

const FIGURE_AND_UNIT = new RegExp(`^(${NUMBER_PATTERN})\\s*(.*)$`, 's')
const TWO_PARTS = new RegExp(
  `^(${NUMBER_PATTERN})\\s*([a-z'"′″’”][a-z'"′″’” .]*?)\\s*(${NUMBER_PATTERN})\\s*([a-z'"′″’”]*[a-z .]*)$`,
  'i',
)

/** SI in one unit, for the kinds whose figures people write in two parts (34'6", 3 lb 4 oz, 1 gal 2 qt). */
const COMPOUND_FACTORS: Readonly<Record<string, number>> = {
  ...METRES_PER,
  ...KILOGRAMS_PER,
  ...CUBIC_METRES_PER,
  ...SECONDS_PER,
  ...STOPWATCH_PER,
}
const COMPOUND_KINDS: readonly Kind[] = ['length', 'span', 'mass', 'volume', 'amount', 'stopwatch', 'time']
/** What stands before the colon of a time and after it. */
const CLOCK: Readonly<Partial<Record<Kind, readonly [string, string]>>> = {
  stopwatch: ['min', 's'],
  time: ['h', 'min'],
}

/**
 * Reads a figure as people type it, with or without its unit.
 * @param typed such as `34'6"`, `3 L`, `1 1/2 pt`, `1,250`, `3.4 lb per 1,000 sq ft`
 * @param kind what the field measures; @param unit the unit of a bare figure
 * @returns the figure in the unit typed (a figure in two parts: in the first part's unit). Sign and size
 *   are the field's business.
 * Errors say what would be right: `empty`, `notANumber`, `ambiguousComma`, `unknownUnit`, `ambiguousOunces`,
 * `wrongKind`, `mixedUnits`.
 */
export function parseQuantity<K extends Kind>(
  typed: string,
  kind: K,
  unit: KindUnits[K],
): Result<Quantity<KindUnits[K]>, TypedProblem> {
  const text = spellFractions(typed).trim()
  const compound = COMPOUND_KINDS.includes(kind) ? (clockParts(text, kind) ?? compoundParts(text)) : undefined
  if (compound) return readCompound(compound, kind, unit)
  const split = FIGURE_AND_UNIT.exec(text)
  if (!split) {
    const number = parseNumber(typed)
    return number.ok ? ok({ value: number.value, unit }) : number
  }
  const number = parseNumber(split[1] ?? '')
  if (!number.ok) return number
  const name = tidy(split[2] ?? '')
  if (name === '') return ok({ value: number.value, unit })
  if (/^[\d,]/.test(name)) return parseNumberAgain(typed)
  const multiple = MULTIPLES[kind]?.[name]
  if (multiple) return ok({ value: number.value * multiple.of, unit: multiple.unit })
  const read: Result<KindUnits[K], TypedProblem> = READERS[kind](name)
  return read.ok ? ok({ value: number.value, unit: read.value }) : read
}

/** The text did not split into a figure and a unit; say what is wrong with it as a number. */
function parseNumberAgain(typed: string): Result<never, TypedProblem> {
  const number = parseNumber(typed)
  return number.ok ? err({ kind: 'notANumber', message: `“${typed.trim()}” is not one figure.` }) : number
}

/** "1:30": minutes and seconds of a run, hours and minutes of a longer time. */
function clockParts(text: string, kind: Kind): readonly [string, string, string, string] | undefined {
  const units = CLOCK[kind]
  const match = units && /^(\d+):(\d{2}(?:\.\d+)?)$/.exec(text)
  return match ? [match[1] ?? '', units[0], match[2] ?? '', units[1]] : undefined
}

function compoundParts(text: string): readonly [string, string, string, string] | undefined {
  const match = TWO_PARTS.exec(text)
  if (!match) return undefined
  const [, first, firstUnit, second, secondUnit] = match
  // "34'6" is feet and inches; "34 ft2" is an area in the wrong field, not 34 feet 2.
  if (secondUnit === '' && !/['′’]$/.test(firstUnit ?? '')) return undefined
  return [first ?? '', firstUnit ?? '', second ?? '', secondUnit ?? '']
}

function readCompound<K extends Kind>(
  [first, firstName, second, secondName]: readonly [string, string, string, string],
  kind: K,
  unit: KindUnits[K],
): Result<Quantity<KindUnits[K]>, TypedProblem> {
  const high = parseQuantity(`${first} ${firstName}`, kind, unit)
  if (!high.ok) return high
  const bareInches = high.value.unit === 'ft' && tidy(secondName) === ''
  const low = parseQuantity(`${second} ${bareInches ? 'in' : secondName}`, kind, unit)
  if (!low.ok) return low
  const highFactor = COMPOUND_FACTORS[high.value.unit] ?? Number.NaN
  const lowFactor = COMPOUND_FACTORS[low.value.unit] ?? Number.NaN
  if (
    !(lowFactor < highFactor) ||
    second.startsWith('-') ||
    isMassUnit(high.value.unit) !== isMassUnit(low.value.unit)
  ) {
    return err({
      kind: 'mixedUnits',
      message:
        `Two figures in one field must be a larger unit and then a smaller one, such as 34'6" or 3 lb 4 ` +
        'oz.',
    })
  }
  const part = (low.value.value * lowFactor) / highFactor
  if (!isUnder(part, 1))
    return err({
      kind: 'mixedUnits',
      message:
        `${low.value.value} ${low.value.unit} are a whole ${high.value.unit} or more: check the two ` +
        `figures, or write it all in ${high.value.unit}.`,
    })
  return ok({
    value: high.value.value < 0 ? high.value.value - part : high.value.value + part,
    unit: high.value.unit,
  })
}
