import { formatGive } from '../quantity/format'
import { SYSTEM_UNITS } from '../quantity/systems'
import { toldDepth } from '../quantity/toldDepth'
import { temperatureUnitOf, toldTemperature } from '../quantity/toldTemperature'
import { ROUNDING } from '../quantity/tolerance'
import { METRES_PER_SECOND_PER } from '../quantity/units'
import type { ConditionLimits } from './conditionLimits'
import { HOUSE_CONDITIONS } from './houseConditions'

export const CONDITION_SUBJECTS = [
  'wind',
  'gust',
  'air',
  'soil',
  'rainIn',
  'rain',
  'leaf',
  'ground',
  'mown',
  'turf',
] as const
export type ConditionSubject = (typeof CONDITION_SUBJECTS)[number]

/**
 * The hour as it was read, is forecast, or the day is expected to be; SI and hours, undefined: not known.
 */
export interface ConditionReading {
  readonly wind?: number | undefined
  readonly gust?: number | undefined
  readonly air?: number | undefined
  /** Soil at the root zone. */
  readonly soil?: number | undefined
  /** It rains in this very hour. */
  readonly raining?: 'yes' | undefined
  readonly rainInHours?: number | undefined
  /** Rain told for the day ahead, and fallen in the day before, m. */
  readonly rainAhead?: number | undefined
  readonly rained?: number | undefined
  readonly mownHours?: number | undefined
  readonly leaf?: 'dry' | 'wet' | undefined
  readonly ground?: 'dry' | 'moist' | 'soaked' | undefined
  /** Hours of the day at which the sun rises and sets, with the hour it is; undefined where nobody knows. */
  readonly light?: Daylight | undefined
  /** Figures as they were typed, where somebody typed them. */
  readonly words?: Readonly<Partial<Record<ConditionSubject, string>>> | undefined
}
export interface Daylight {
  readonly now: number
  readonly rises: number
  readonly sets: number
}

/** One condition that speaks against going, or that wants care. */
export interface ConditionFinding {
  readonly subject: ConditionSubject
  readonly level: 'stop' | 'warn' | 'note'
  readonly source: 'label' | 'house'
  readonly message: string
  /** What it is held against, in the reading's own SI unit; absent where it is no figure. */
  readonly limit?: number
}

const LEVELS = ['stop', 'warn', 'note'] as const

/**
 * The one judge of wind, air, soil, rain, leaf, ground, mowing and turf: the gate, the sheet, days ahead and
 * the day's route all ask here. A limit of the label counts before the house's; what is not known is not
 * judged.
 * @returns the worst first
 * Source: decide.md 3.
 */
export function judgeConditions(
  reading: ConditionReading,
  limits: ConditionLimits,
): readonly ConditionFinding[] {
  const found = [
    ...windFindings(reading, limits),
    ...gustFindings(reading, limits),
    ...airFindings(reading, limits),
    ...soilFindings(reading, limits),
    ...rainFindings(reading, limits),
    ...leafFindings(reading, limits),
    ...groundFindings(reading),
    ...mowingFindings(reading, limits),
    ...turfFindings(limits),
  ]
  return found.toSorted((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))
}

type Findings = readonly ConditionFinding[]
const finding =
  (subject: ConditionSubject) =>
  (
    level: ConditionFinding['level'],
    source: ConditionFinding['source'],
    message: string,
    limit?: number,
  ): Findings => [{ subject, level, source, message, ...(limit !== undefined && { limit }) }]
const isOver = (value: number, limit: number): boolean => value > limit + ROUNDING
const isUnder = (value: number, limit: number): boolean => value < limit - ROUNDING

function windFindings({ wind, words, light }: ConditionReading, limits: ConditionLimits): Findings {
  if (wind === undefined) return []
  const found = finding('wind')
  const told = `Wind ${words?.wind ?? speedText(wind, limits)}`
  const { windMost, method } = limits
  const { sprayWindMost, sprayWindNoted, stillAir, granuleWindMost } = HOUSE_CONDITIONS
  if (windMost !== undefined && isOver(wind, windMost))
    return found('stop', 'label', `${told}: the label allows up to ${speedText(windMost, limits)}.`)
  if (method === 'spread')
    return isOver(wind, granuleWindMost)
      ? found('warn', 'house', `${told} carries light granules: deflector down, off the far edge.`)
      : []
  if (isOver(wind, sprayWindMost))
    return found('stop', 'house', `${told}: spraying stops above ${speedText(sprayWindMost, limits)}.`)
  if (isOver(wind, sprayWindNoted))
    return found('note', 'house', `${told}: boom low, coarse drops, off the downwind edge.`)
  if (!isUnder(wind, stillAir) || (light && !hangsStill(light))) return []
  const when = light ? '' : ' from before sunset until after sunrise'
  return found(
    'warn',
    'house',
    `${told} is still air: fine spray hangs in it${when} and drifts far. Wait for a light, steady wind.`,
  )
}

/** From before sunset through the night until after sunrise warmer air lies over colder. */
const hangsStill = ({ now, rises, sets }: Daylight): boolean =>
  now >= sets - HOUSE_CONDITIONS.stillHours || now <= rises + HOUSE_CONDITIONS.stillHours

function gustFindings({ gust, words }: ConditionReading, limits: ConditionLimits): Findings {
  const { gustMost } = HOUSE_CONDITIONS
  if (gust === undefined || !isOver(gust, gustMost)) return []
  return finding('gust')(
    limits.method === 'spray' ? 'stop' : 'warn',
    'house',
    `Gusts of ${words?.gust ?? speedText(gust, limits)}: the house stops at ${speedText(gustMost, limits)}.`,
  )
}

function airFindings({ air, words }: ConditionReading, limits: ConditionLimits): Findings {
  if (air === undefined) return []
  const { airMost, units, hormone, nitrogen, grass } = limits
  const told = `Air ${words?.air ?? toldTemperature(air, temperatureUnitOf(units))}`
  const upTo = (degrees: number) => toldTemperature(degrees, temperatureUnitOf(units))
  const found = finding('air')
  const { hormoneAirMost, foliarAirMost, quickNitrogenAirMost } = HOUSE_CONDITIONS
  if (airMost !== undefined && isOver(air, airMost))
    return found('stop', 'label', `${told}: the label allows up to ${upTo(airMost)}.`)
  if (hormone && isOver(air, hormoneAirMost))
    return found(
      'warn',
      'house',
      `${told}: growth-hormone herbicides drift as vapour and harm turf over ${upTo(hormoneAirMost)}.`,
    )
  if (nitrogen === 'quick' && grass === 'cool' && isOver(air, quickNitrogenAirMost))
    return found(
      'warn',
      'house',
      `${told}: quick nitrogen burns cool-season turf over ${upTo(quickNitrogenAirMost)}.`,
    )
  return isFoliar(limits) && isOver(air, foliarAirMost)
    ? found('warn', 'house', `${told}: work on the leaf may burn over ${upTo(foliarAirMost)}.`)
    : []
}

/** Sprayed onto the leaf: by its plan, or a kind that works there. */
const isFoliar = ({ method, forLeaf, kinds }: ConditionLimits): boolean =>
  method === 'spray' && (forLeaf === 'yes' || kinds.some((kind) => FOLIAR_KINDS.includes(kind)))
const FOLIAR_KINDS: readonly string[] = ['post-emergent herbicide', 'growth regulator', 'iron']

function soilFindings({ soil, words }: ConditionReading, limits: ConditionLimits): Findings {
  if (soil === undefined) return []
  const { soilFrom, soilTo, nitrogen, turf, units } = limits
  const told = `Soil ${words?.soil ?? toldTemperature(soil, temperatureUnitOf(units))}`
  const degrees = (figure: number) => toldTemperature(figure, temperatureUnitOf(units))
  const found = finding('soil')
  const { frozenSoil, nitrogenSoilLeast } = HOUSE_CONDITIONS
  if (soilFrom !== undefined && isUnder(soil, soilFrom))
    return found('stop', 'label', `${told}: the label says from ${degrees(soilFrom)}.`, soilFrom)
  if (soilTo !== undefined && isOver(soil, soilTo))
    return found('stop', 'label', `${told}: the label says up to ${degrees(soilTo)}.`, soilTo)
  if (!isOver(soil, frozenSoil))
    return found('stop', 'house', `${told} is frozen: what goes down now runs off with the thaw.`, frozenSoil)
  if (nitrogen === undefined || !isUnder(soil, nitrogenSoilLeast)) return []
  return nitrogen === 'quick' && turf === 'dormant'
    ? found(
        'stop',
        'house',
        `${told} under dormant turf: quick nitrogen is lost under ${degrees(nitrogenSoilLeast)}, ` +
          'unless it is meant as a winter feed.',
        nitrogenSoilLeast,
      )
    : found(
        'warn',
        'house',
        `${told}: under ${degrees(nitrogenSoilLeast)} grass takes up no nitrogen.`,
        nitrogenSoilLeast,
      )
}

function rainFindings(
  { raining, rainInHours, rainAhead }: ConditionReading,
  limits: ConditionLimits,
): Findings {
  const { rainfastHours, waterDepth, waterHours, method, forLeaf, units } = limits
  const now = raining ? finding('rain')('stop', 'house', 'It rains: nothing goes out in rain.') : []
  const heavy =
    rainAhead !== undefined &&
    (method === 'spread' || forLeaf === 'no') &&
    isOver(rainAhead, HOUSE_CONDITIONS.heavyRain)
      ? finding('rain')(
          'warn',
          'house',
          `${toldDepth(rainAhead, units)} of rain in the day after: heavy rain washes it away.`,
        )
      : []
  if (rainInHours === undefined) return [...now, ...heavy]
  const told = `Rain in ${hoursText(rainInHours)}`
  if (rainfastHours !== undefined && isUnder(rainInHours, rainfastHours))
    return [
      ...now,
      ...finding('rainIn')('stop', 'label', `${told}: it has to stay dry for ${hoursText(rainfastHours)}.`),
    ]
  return waterDepth !== undefined && (waterHours === undefined || rainInHours <= waterHours)
    ? [
        ...now,
        ...heavy,
        ...finding('rainIn')(
          'note',
          'label',
          `${told} may water it in: a gauge on the site says whether it did.`,
        ),
      ]
    : [...now, ...heavy]
}

function leafFindings({ leaf }: ConditionReading, { method, forLeaf, dryLeaf }: ConditionLimits): Findings {
  const warn = (message: string) => finding('leaf')('warn', 'house', message)
  if (method === 'spread' && forLeaf === 'yes')
    return leaf === 'dry'
      ? warn('The leaf is dry: what has to stick to it needs dew or a light sprinkling.')
      : []
  if (leaf !== 'wet') return []
  if (method === 'spread')
    return warn('The leaf is wet: granules cling to it and can burn. Wait, or drag the dew.')
  return dryLeaf === 'asked' ? warn('The leaf is wet: spray runs off it. Wait until it is dry.') : []
}

const groundFindings = ({ ground, rained }: ConditionReading): Findings =>
  ground === 'soaked' ||
  (ground === undefined && rained !== undefined && isOver(rained, HOUSE_CONDITIONS.soakingRain))
    ? finding('ground')(
        'stop',
        'house',
        'The ground is full of water: what goes down now runs off, and wheels leave ruts.',
      )
    : []

const mowingFindings = ({ mownHours }: ConditionReading, { mowBeforeHours }: ConditionLimits): Findings =>
  mownHours !== undefined && mowBeforeHours !== undefined && isUnder(mownHours, mowBeforeHours)
    ? finding('mown')(
        'stop',
        'label',
        `Mown ${hoursText(mownHours)} ago: the label asks for ${hoursText(mowBeforeHours)} between ` +
          'mowing and this.',
      )
    : []

/** Turf that rests from heat and drought takes nothing up and is harmed sooner. */
const turfFindings = ({ turf, kinds, nitrogen }: ConditionLimits): Findings => {
  const found =
    RESTING_KINDS.find((kind) => kinds.includes(kind)) ?? (nitrogen === undefined ? undefined : 'fertilizer')
  return turf === 'heat-stressed' && found
    ? finding('turf')('warn', 'house', `The turf rests in heat and drought: a ${found} waits until it grows.`)
    : []
}
const RESTING_KINDS = ['fertilizer', 'post-emergent herbicide', 'growth regulator'] as const

const speedText = (speed: number, { units }: ConditionLimits): string => {
  const { speed: unit } = SYSTEM_UNITS[units]
  return `${formatGive(speed / METRES_PER_SECOND_PER[unit])} ${unit}`
}
const hoursText = (hours: number): string => `${formatGive(hours)} h`
