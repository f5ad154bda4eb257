import type {
  AmountUnit,
  AngleUnit,
  AreaUnit,
  DensityUnit,
  DilutionUnit,
  LengthUnit,
  PressureUnit,
  SpanUnit,
  SpeedUnit,
  StopwatchUnit,
  TemperatureUnit,
  TimeUnit,
} from './units'

/** What people write for a unit; compared in lower case, blanks squeezed, without full stops. */
export const LENGTH_NAMES: Readonly<Record<string, LengthUnit>> = {
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  '′': 'ft',
  '’': 'ft',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
  yd: 'yd',
  yard: 'yd',
  yards: 'yd',
  yds: 'yd',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
}

export const SPAN_NAMES: Readonly<Record<string, SpanUnit>> = {
  ...LENGTH_NAMES,
  pace: 'paces',
  paces: 'paces',
  step: 'paces',
  steps: 'paces',
  stride: 'paces',
  strides: 'paces',
}

export const ANGLE_NAMES: Readonly<Record<string, AngleUnit>> = {
  '°': '°',
  deg: '°',
  degree: '°',
  degrees: '°',
}

export const STOPWATCH_NAMES: Readonly<Record<string, StopwatchUnit>> = {
  s: 's',
  sec: 's',
  secs: 's',
  second: 's',
  seconds: 's',
  min: 'min',
  mins: 'min',
  minute: 'min',
  minutes: 'min',
}

export const PRESSURE_NAMES: Readonly<Record<string, PressureUnit>> = {
  psi: 'psi',
  bar: 'bar',
  bars: 'bar',
  kpa: 'kPa',
}

export const TEMPERATURE_NAMES: Readonly<Record<string, TemperatureUnit>> = {
  f: '°F',
  '°f': '°F',
  'deg f': '°F',
  fahrenheit: '°F',
  c: '°C',
  '°c': '°C',
  'deg c': '°C',
  celsius: '°C',
}

export const AREA_NAMES: Readonly<Record<string, AreaUnit>> = {
  ft2: 'ft2',
  'ft²': 'ft2',
  'sq ft': 'ft2',
  sqft: 'ft2',
  'square foot': 'ft2',
  'square feet': 'ft2',
  '1000 ft2': '1000 ft2',
  '1000 ft²': '1000 ft2',
  '1000 sq ft': '1000 ft2',
  '1000 sqft': '1000 ft2',
  '1000 square feet': '1000 ft2',
  1000: '1000 ft2',
  ac: 'ac',
  acre: 'ac',
  acres: 'ac',
  a: 'ac',
  m2: 'm2',
  'm²': 'm2',
  'sq m': 'm2',
  sqm: 'm2',
  'square metre': 'm2',
  'square metres': 'm2',
  'square meter': 'm2',
  'square meters': 'm2',
  '100 m2': '100 m2',
  '100 m²': '100 m2',
  '100 sq m': '100 m2',
  are: '100 m2',
  ha: 'ha',
  hectare: 'ha',
  hectares: 'ha',
}

export const AMOUNT_NAMES: Readonly<Record<string, AmountUnit>> = {
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  g: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kgs: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  'fl oz': 'fl oz',
  floz: 'fl oz',
  'fluid oz': 'fl oz',
  'fluid ounce': 'fl oz',
  'fluid ounces': 'fl oz',
  tsp: 'tsp',
  tsps: 'tsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  tbsp: 'tbsp',
  tbsps: 'tbsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  cup: 'cup',
  cups: 'cup',
  pt: 'pt',
  pts: 'pt',
  pint: 'pt',
  pints: 'pt',
  qt: 'qt',
  qts: 'qt',
  quart: 'qt',
  quarts: 'qt',
  gal: 'gal',
  gals: 'gal',
  gallon: 'gal',
  gallons: 'gal',
  ml: 'mL',
  millilitre: 'mL',
  millilitres: 'mL',
  milliliter: 'mL',
  milliliters: 'mL',
  cc: 'mL',
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
}

export const SPEED_NAMES: Readonly<Record<string, SpeedUnit>> = {
  mph: 'mph',
  'mi/h': 'mph',
  'miles per hour': 'mph',
  'km/h': 'km/h',
  kmh: 'km/h',
  kph: 'km/h',
  'm/s': 'm/s',
  'ft/min': 'ft/min',
  fpm: 'ft/min',
}

export const TIME_NAMES: Readonly<Record<string, TimeUnit>> = {
  min: 'min',
  mins: 'min',
  minute: 'min',
  minutes: 'min',
  h: 'h',
  hr: 'h',
  hrs: 'h',
  hour: 'h',
  hours: 'h',
  d: 'd',
  day: 'd',
  days: 'd',
  wk: 'wk',
  wks: 'wk',
  week: 'wk',
  weeks: 'wk',
}

/** So many of a unit that a field knows. */
export interface MultipleOf<U> {
  readonly unit: U
  readonly of: number
}
const named = <U>(names: readonly string[], multiple: MultipleOf<U>) =>
  names.map((name) => [name, multiple] as const)

export const AREA_MULTIPLES: Readonly<Record<string, MultipleOf<AreaUnit>>> = Object.fromEntries(
  named<AreaUnit>(['sq yd', 'sq yds', 'sqyd', 'yd2', 'yd²', 'square yard', 'square yards'], {
    unit: 'ft2',
    of: 9,
  }),
)
/** A month is 30 days, as labels count them. */
export const TIME_MULTIPLES: Readonly<Record<string, MultipleOf<TimeUnit>>> = Object.fromEntries([
  ...named<TimeUnit>(['mo', 'mos', 'month', 'months'], { unit: 'd', of: 30 }),
  ...named<TimeUnit>(['yr', 'yrs', 'year', 'years'], { unit: 'd', of: 365 }),
])

export const PERCENT_NAMES: Readonly<Record<string, '%'>> = {
  '%': '%',
  percent: '%',
  'per cent': '%',
  pct: '%',
}

export const DENSITY_NAMES: Readonly<Record<string, DensityUnit>> = {
  'lb/gal': 'lb/gal',
  'lbs/gal': 'lb/gal',
  'lb per gal': 'lb/gal',
  'kg/l': 'kg/L',
  'g/ml': 'kg/L',
}

export const DILUTION_NAMES: Readonly<Record<string, DilutionUnit>> = {
  'fl oz/gal': 'fl oz/gal',
  'ml/l': 'mL/L',
  '%': '%',
  'per cent': '%',
  percent: '%',
  'oz/gal': 'oz/gal',
  'g/l': 'g/L',
  'lb/gal': 'lb/gal',
}
