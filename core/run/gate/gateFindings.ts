import { GATE_FIELDS } from './gateFields'
import { fromMph } from '../../quantity/speed'
import { enteredWords } from '../../quantity/enteredWords'
import { fieldReader, type FieldProblem } from '../../quantity/fieldReader'
import { formatGive } from '../../quantity/format'
import { lengthSi, speedSi, timeSi } from '../../quantity/quantity'
import { SYSTEM_UNITS } from '../../quantity/systems'
import { celsius } from '../../quantity/temperature'
import { temperatureUnitOf, toldTemperature } from '../../quantity/toldTemperature'
import { ROUNDING } from '../../quantity/tolerance'
import { METRES_PER_SECOND_PER, SECONDS_PER } from '../../quantity/units'
import type { GateLimits } from './gateLimits'
import type { GateQuestion, GateReadings } from './gateReadings'

/** What was read, SI and hours; undefined where it was not. */
export interface GateRead {
  readonly wind: number | undefined
  readonly gust: number | undefined
  readonly air: number | undefined
  readonly soil: number | undefined
  readonly rainInHours: number | undefined
  readonly rained: number | undefined
  readonly mownHours: number | undefined
  readonly problems: readonly FieldProblem[]
}

export type GateSubject =
  'wind' | 'gust' | 'air' | 'soil' | 'rainIn' | 'leaf' | 'ground' | 'mown' | GateQuestion

/** One reading that speaks against going, or that wants care. */
export interface GateFinding {
  readonly subject: GateSubject
  readonly level: 'stop' | 'warn' | 'note'
  /** Whose limit: the label's, the house's, or plain safety. */
  readonly source: 'label' | 'house' | 'safety'
  readonly message: string
}

/** House limits, mph. Source: trade.md 7. */
export const HOUSE_WIND = { stop: 10, gust: 15, note: 7, still: 3 } as const
/** So near to sunrise or sunset still air may hang under warmer air, h (house default). */
const NEAR_DUSK_HOURS = 1.5
/** Rain of so much in the day before leaves the ground full, m (house default). */
const MUCH_RAIN = 0.025

/** Reads what was typed; what is wrong is told at its field. */
export function readGate(readings: GateReadings): GateRead {
  const fields = fieldReader()
  const at = fields.of(GATE_FIELDS, '')
  const wind = at.optional('wind', readings.wind)
  const gust = at.optional('gust', readings.gust)
  const air = at.optional('air', readings.air)
  const soil = at.optional('soil', readings.soil)
  const rainIn = at.optional('rainIn', readings.rainIn)
  const rained = at.optional('rained', readings.rained)
  const mown = at.optional('mown', readings.mown)
  if (wind && gust && speedSi(gust) < speedSi(wind) - ROUNDING)
    fields.wrong('gust', 'Gusts are at least as strong as the wind: check both.')
  return {
    wind: wind && speedSi(wind),
    gust: gust && speedSi(gust),
    air: air && celsius(air),
    soil: soil && celsius(soil),
    rainInHours: rainIn && timeSi(rainIn) / SECONDS_PER.h,
    rained: rained && lengthSi(rained),
    mownHours: mown && timeSi(mown) / SECONDS_PER.h,
    problems: fields.problems,
  }
}

/**
 * What of the readings speaks against going, the worst first.
 * @param daylight hours of the day at which the sun rises and sets, with the hour it is now; undefined where
 *   the place is not known
 * Source: trade.md 7; limits of the label before those of the house.
 */
export function gateFindings(
  readings: GateReadings,
  limits: GateLimits,
  daylight: { readonly now: number; readonly rises: number; readonly sets: number } | undefined,
): readonly GateFinding[] {
  const read = readGate(readings)
  const found = [
    ...windFindings(readings, read, limits, daylight),
    ...gustFindings(readings, read, limits),
    ...warmth(readings, read, limits),
    ...rainFindings(read, limits),
    ...leafFindings(readings, limits),
    ...groundFindings(readings, read),
    ...mowing(read, limits),
    ...answerFindings(readings, limits),
  ]
  return found.toSorted((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))
}
const LEVELS = ['stop', 'warn', 'note'] as const

type Daylight = Parameters<typeof gateFindings>[2]

function windFindings(
  { wind }: GateReadings,
  { wind: speed }: GateRead,
  limits: GateLimits,
  daylight: Daylight,
): readonly GateFinding[] {
  if (speed === undefined) return []
  const told = enteredWords(wind)
  const finding = (level: GateFinding['level'], source: GateFinding['source'], message: string) => [
    { subject: 'wind' as const, level, source, message },
  ]
  const { windMost } = limits
  if (windMost !== undefined && speed > windMost + ROUNDING)
    return finding('stop', 'label', `Wind ${told}: the label allows up to ${speedWords(windMost, limits)}.`)
  if (speed > fromMph(HOUSE_WIND.stop) + ROUNDING)
    return limits.method === 'spray'
      ? finding('stop', 'house', `Wind ${told}: spraying stops above ${mphWords(HOUSE_WIND.stop, limits)}.`)
      : finding('warn', 'house', `Wind ${told} carries light granules: deflector down, off the far edge.`)
  if (limits.method !== 'spray') return []
  if (speed > fromMph(HOUSE_WIND.note) + ROUNDING)
    return finding('note', 'house', `Wind ${told}: boom low, coarse drops, off the downwind edge.`)
  const dusk =
    daylight &&
    Math.min(Math.abs(daylight.now - daylight.rises), Math.abs(daylight.now - daylight.sets)) <=
      NEAR_DUSK_HOURS
  return speed < fromMph(HOUSE_WIND.still) - ROUNDING && dusk !== false
    ? finding(
        'warn',
        'house',
        `Wind ${told}${dusk ? ' near sunrise or sunset' : ''} is still air: fine spray hangs in it and ` +
          'drifts far. Wait for a light, steady wind.',
      )
    : []
}

function gustFindings({ gust }: GateReadings, read: GateRead, limits: GateLimits): readonly GateFinding[] {
  if (read.gust === undefined || read.gust <= fromMph(HOUSE_WIND.gust) + ROUNDING) return []
  return [
    {
      subject: 'gust',
      level: limits.method === 'spray' ? 'stop' : 'warn',
      source: 'house',
      message: `Gusts of ${enteredWords(gust)}: the house stops at ${mphWords(HOUSE_WIND.gust, limits)}.`,
    },
  ]
}

function warmth(readings: GateReadings, { air, soil }: GateRead, limits: GateLimits): readonly GateFinding[] {
  const unit = temperatureUnitOf(limits.units)
  const { airMost, soilFrom, soilTo } = limits
  const hot: readonly GateFinding[] =
    air !== undefined && airMost !== undefined && air > airMost + ROUNDING
      ? [
          {
            subject: 'air',
            level: 'stop',
            source: 'label',
            message:
              `Air ${enteredWords(readings.air)}: the label allows up to ` +
              `${toldTemperature(airMost, unit)}.`,
          },
        ]
      : []
  const off =
    soil === undefined
      ? undefined
      : soilFrom !== undefined && soil < soilFrom - ROUNDING
        ? `from ${toldTemperature(soilFrom, unit)}`
        : soilTo !== undefined && soil > soilTo + ROUNDING
          ? `up to ${toldTemperature(soilTo, unit)}`
          : undefined
  return [
    ...hot,
    ...(off === undefined
      ? []
      : [
          {
            subject: 'soil' as const,
            level: 'stop' as const,
            source: 'label' as const,
            message: `Soil ${enteredWords(readings.soil)}: the label says ${off}.`,
          },
        ]),
  ]
}

function rainFindings({ rainInHours }: GateRead, limits: GateLimits): readonly GateFinding[] {
  const { rainfastHours, waterDepth, waterHours } = limits
  if (rainInHours === undefined) return []
  const told = `Rain in ${hoursWords(rainInHours)}`
  if (rainfastHours !== undefined && rainInHours < rainfastHours - ROUNDING)
    return [
      {
        subject: 'rainIn',
        level: 'stop',
        source: 'label',
        message: `${told}: it has to stay dry for ${hoursWords(rainfastHours)}.`,
      },
    ]
  return waterDepth !== undefined && (waterHours === undefined || rainInHours <= waterHours)
    ? [
        {
          subject: 'rainIn',
          level: 'note',
          source: 'label',
          message: `${told} may water it in: a gauge on the site says whether it did.`,
        },
      ]
    : []
}

function leafFindings({ leaf }: GateReadings, limits: GateLimits): readonly GateFinding[] {
  const warn = (message: string): readonly GateFinding[] => [
    { subject: 'leaf', level: 'warn', source: 'house', message },
  ]
  const { method, forLeaf, dryLeaf } = limits
  if (method === 'spread' && forLeaf === 'yes')
    return leaf === 'dry'
      ? warn('The leaf is dry: what has to stick to it needs dew or a light sprinkling.')
      : []
  if (leaf !== 'wet') return []
  if (method === 'spread')
    return warn('The leaf is wet: granules cling to it and can burn. Wait, or drag the dew.')
  return dryLeaf === 'asked' ? warn('The leaf is wet: spray runs off it. Wait until it is dry.') : []
}

function groundFindings({ ground }: GateReadings, { rained }: GateRead): readonly GateFinding[] {
  return ground === 'soaked' || (ground === '' && rained !== undefined && rained > MUCH_RAIN)
    ? [
        {
          subject: 'ground',
          level: 'warn',
          source: 'house',
          message: 'The ground is full of water: what goes down now runs off, and wheels leave ruts.',
        },
      ]
    : []
}

function mowing({ mownHours }: GateRead, { mowBeforeHours }: GateLimits): readonly GateFinding[] {
  return mownHours !== undefined && mowBeforeHours !== undefined && mownHours < mowBeforeHours - ROUNDING
    ? [
        {
          subject: 'mown',
          level: 'stop',
          source: 'label',
          message:
            `Mown ${hoursWords(mownHours)} ago: the label asks for ${hoursWords(mowBeforeHours)} between ` +
            'mowing and this.',
        },
      ]
    : []
}

interface Unsafe {
  readonly level: GateFinding['level']
  readonly source: GateFinding['source']
  readonly message: string
}
const UNSAFE: Readonly<Record<GateQuestion, Unsafe>> = {
  people: {
    level: 'stop',
    source: 'safety',
    message: 'People or pets are on the lawn: nothing goes out before they are off it.',
  },
  bees: {
    level: 'warn',
    source: 'safety',
    message: 'Bees are on flowering weeds: mow the flowers off first, or come when they do not fly.',
  },
  notices: {
    level: 'warn',
    source: 'house',
    message: 'No notice is up: put one at every way onto the lawn.',
  },
  equipment: {
    level: 'warn',
    source: 'house',
    message: 'The machine was not checked: hoses, nozzles, gate and wheels before anything goes in.',
  },
  gear: {
    level: 'stop',
    source: 'label',
    message: 'Protective gear is not on: the label says what has to be worn, from opening the package on.',
  },
  label: {
    level: 'stop',
    source: 'label',
    message: 'The label is not at hand: it has to be there where the product is used.',
  },
}

const answerFindings = ({ answers }: GateReadings, { kinds }: GateLimits): readonly GateFinding[] =>
  (Object.keys(UNSAFE) as GateQuestion[]).flatMap((subject): readonly GateFinding[] => {
    if (answers[subject] !== 'no') return []
    const unsafe = UNSAFE[subject]
    return [
      subject === 'bees' && kinds.includes('insecticide')
        ? { ...unsafe, subject, level: 'stop', source: 'label' }
        : { ...unsafe, subject },
    ]
  })

/** What was not read yet of what this application hangs on. */
export function gateGaps(readings: GateReadings, limits: GateLimits): readonly GateSubject[] {
  const blank = (name: 'wind' | 'air' | 'soil' | 'mown') => readings[name].text.trim() === ''
  const questions = (Object.keys(UNSAFE) as GateQuestion[]).filter(
    (name) => readings.answers[name] === '' && (name !== 'bees' || limits.kinds.some(isForPests)),
  )
  return [
    ...((limits.method === 'spray' || limits.windMost !== undefined) && blank('wind')
      ? (['wind'] as const)
      : []),
    ...(limits.airMost !== undefined && blank('air') ? (['air'] as const) : []),
    ...((limits.soilFrom ?? limits.soilTo) !== undefined && blank('soil') ? (['soil'] as const) : []),
    ...(limits.mowBeforeHours !== undefined && blank('mown') ? (['mown'] as const) : []),
    ...(readings.leaf === '' ? (['leaf'] as const) : []),
    ...questions,
  ]
}
const PESTS = ['insecticide', 'fungicide', 'pre-emergent herbicide', 'post-emergent herbicide']
const isForPests = (kind: string) => PESTS.includes(kind)

const speedWords = (speed: number, { units }: GateLimits): string => {
  const { speed: unit } = SYSTEM_UNITS[units]
  return `${formatGive(speed / METRES_PER_SECOND_PER[unit])} ${unit}`
}
const mphWords = (figure: number, limits: GateLimits): string => speedWords(fromMph(figure), limits)
const hoursWords = (hours: number): string => `${formatGive(hours)} h`
