/**
 * Exact factors to SI, one table for each dimension; the unit types are inferred from them.
 * Source: NIST Handbook 44, Appendix C (international foot, avoirdupois pound, US liquid gallon).
 */

const FOOT_M = 0.3048
const POUND_KG = 0.45359237
const GALLON_M3 = 0.003785411784
const LITRE_M3 = 0.001
const ACRE_M2 = 43_560 * FOOT_M * FOOT_M

/** Metres in one of each. */
export const METRES_PER = { ft: FOOT_M, in: FOOT_M / 12, yd: FOOT_M * 3, m: 1, cm: 0.01, mm: 0.001 } as const

/** Radians in one of each. */
export const RADIANS_PER = { '°': Math.PI / 180 } as const

/** Square metres in one of each; the acre is the international one, 43,560 ft2. */
export const SQUARE_METRES_PER = {
  ft2: FOOT_M * FOOT_M,
  '1000 ft2': 1000 * FOOT_M * FOOT_M,
  ac: ACRE_M2,
  m2: 1,
  '100 m2': 100,
  ha: 10_000,
} as const

/** Kilograms in one of each; oz is weight, always. */
export const KILOGRAMS_PER = { lb: POUND_KG, oz: POUND_KG / 16, g: 0.001, kg: 1 } as const

/** Cubic metres in one of each; US customary liquid measures. */
export const CUBIC_METRES_PER = {
  'fl oz': GALLON_M3 / 128,
  tsp: GALLON_M3 / 768,
  tbsp: GALLON_M3 / 256,
  cup: GALLON_M3 / 16,
  pt: GALLON_M3 / 8,
  qt: GALLON_M3 / 4,
  gal: GALLON_M3,
  mL: LITRE_M3 / 1000,
  L: LITRE_M3,
} as const

/** Kilograms per cubic metre in one of each. */
export const DENSITY_SI_PER = {
  'lb/gal': POUND_KG / GALLON_M3,
  'kg/L': 1 / LITRE_M3,
  'g/L': 0.001 / LITRE_M3,
} as const

/** Metres per second in one of each. */
export const METRES_PER_SECOND_PER = {
  mph: (5280 * FOOT_M) / 3600,
  'km/h': 1 / 3.6,
  'm/s': 1,
  'ft/min': FOOT_M / 60,
} as const

/** Seconds in one of each; for intervals on a label. */
export const SECONDS_PER = { min: 60, h: 3600, d: 86_400, wk: 604_800 } as const

/** Seconds in one of each, from a stopwatch to a day; for the public routes. */
export const WATCH_SECONDS_PER = { s: 1, min: 60, h: 3600, d: 86_400 } as const
export type WatchUnit = keyof typeof WATCH_SECONDS_PER

/** Seconds in one of each; for a stopwatch. */
export const STOPWATCH_PER = { s: 1, min: 60 } as const

/** Kelvin in one degree of each, and the reading at 0 °C. */
export const TEMPERATURE_SCALES = {
  '°F': { kelvin: 5 / 9, freezing: 32 },
  '°C': { kelvin: 1, freezing: 0 },
} as const

/** Pascals in one of each; psi is not exact (trade.md 16). */
export const PASCALS_PER = { psi: 6894.757293168, bar: 100_000, kPa: 1000 } as const

export type LengthUnit = keyof typeof METRES_PER
export type AngleUnit = keyof typeof RADIANS_PER
/** A length, or a count of paces that a calibrated stride turns into one. */
export type SpanUnit = LengthUnit | 'paces'
export type StopwatchUnit = keyof typeof STOPWATCH_PER
export type TemperatureUnit = keyof typeof TEMPERATURE_SCALES
export type PressureUnit = keyof typeof PASCALS_PER
export type AreaUnit = keyof typeof SQUARE_METRES_PER
export type MassUnit = keyof typeof KILOGRAMS_PER
export type VolumeUnit = keyof typeof CUBIC_METRES_PER
export type AmountUnit = MassUnit | VolumeUnit
export type SpeedUnit = keyof typeof METRES_PER_SECOND_PER
export type TimeUnit = keyof typeof SECONDS_PER
export type DensityUnit = 'lb/gal' | 'kg/L'
export type AreaRateUnit = `${AmountUnit}/${AreaUnit}`
export type CarrierUnit = `${VolumeUnit}/${AreaUnit}`

/** The units a table holds, in its own order, typed. */
const unitsOf = <U extends string>(table: Readonly<Record<U, number>>): readonly U[] =>
  Object.keys(table) as U[]

export const LENGTH_UNITS = unitsOf(METRES_PER)
export const STOPWATCH_UNITS = unitsOf(STOPWATCH_PER)
export const PRESSURE_UNITS = unitsOf(PASCALS_PER)
export const TEMPERATURE_UNITS: readonly TemperatureUnit[] = ['°F', '°C']
export const SPAN_UNITS: readonly SpanUnit[] = [...LENGTH_UNITS, 'paces']
export const AREA_UNITS = unitsOf(SQUARE_METRES_PER)
export const MASS_UNITS = unitsOf(KILOGRAMS_PER)
export const VOLUME_UNITS = unitsOf(CUBIC_METRES_PER)
export const AMOUNT_UNITS: readonly AmountUnit[] = [...MASS_UNITS, ...VOLUME_UNITS]
export const TIME_UNITS = unitsOf(SECONDS_PER)
export const SPEED_UNITS = unitsOf(METRES_PER_SECOND_PER)
export const DENSITY_UNITS: readonly DensityUnit[] = ['lb/gal', 'kg/L']
export const AREA_RATE_UNITS = AMOUNT_UNITS.flatMap((amount) =>
  AREA_UNITS.map((area): AreaRateUnit => `${amount}/${area}`),
)
export const CARRIER_UNITS = VOLUME_UNITS.flatMap((amount) =>
  AREA_UNITS.map((area): CarrierUnit => `${amount}/${area}`),
)

/** Amount of product per volume of finished spray: parts by volume, or mass in volume. */
const VOLUME_DILUTION_UNITS = ['fl oz/gal', 'mL/L', '%'] as const
const MASS_DILUTION_UNITS = ['oz/gal', 'g/L', 'lb/gal'] as const
export type DilutionUnit = (typeof VOLUME_DILUTION_UNITS)[number] | (typeof MASS_DILUTION_UNITS)[number]
export const DILUTION_UNITS: readonly DilutionUnit[] = [...VOLUME_DILUTION_UNITS, ...MASS_DILUTION_UNITS]
export type RateUnit = AreaRateUnit | DilutionUnit
export const RATE_UNITS: readonly RateUnit[] = [...AREA_RATE_UNITS, ...DILUTION_UNITS]

export const CONTENT_UNITS = ['%', 'lb/gal', 'g/L', 'kg/L'] as const
export type ContentUnit = (typeof CONTENT_UNITS)[number]

export const isMassUnit = (unit: string): unit is MassUnit => Object.hasOwn(KILOGRAMS_PER, unit)
export const isVolumeUnit = (unit: string): unit is VolumeUnit => Object.hasOwn(CUBIC_METRES_PER, unit)
