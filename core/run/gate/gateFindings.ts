import type { ConditionLimits } from '../../conditions/conditionLimits'
import {
  judgeConditions,
  type ConditionFinding,
  type ConditionReading,
  type ConditionSubject,
  type Daylight,
} from '../../conditions/judge'
import { GATE_FIELDS } from './gateFields'
import { enteredWords } from '../../quantity/enteredWords'
import { fieldReader, type FieldProblem } from '../../quantity/fieldReader'
import { lengthSi, speedSi, timeSi } from '../../quantity/quantity'
import { celsius } from '../../quantity/temperature'
import { ROUNDING } from '../../quantity/tolerance'
import { SECONDS_PER } from '../../quantity/units'
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

export type GateSubject = ConditionSubject | GateQuestion

/** One reading that speaks against going, or that wants care. */
export interface GateFinding extends Omit<ConditionFinding, 'subject' | 'source'> {
  readonly subject: GateSubject
  /** Whose limit: the label's, the house's, or plain safety. */
  readonly source: ConditionFinding['source'] | 'safety'
}

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
 * @param light hours of the day at which the sun rises and sets, with the hour it is now; undefined where the
 *   place is not known
 * Source: trade.md 7; the judge of conditions for what is measured, eyes for the rest.
 */
export function gateFindings(
  readings: GateReadings,
  limits: ConditionLimits,
  light: Daylight | undefined,
): readonly GateFinding[] {
  const found = [...judgeConditions(asRead(readings, light), limits), ...answerFindings(readings, limits)]
  return found.toSorted((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))
}
const LEVELS = ['stop', 'warn', 'note'] as const

/** What was typed as the judge reads it, in the words it was typed in. */
function asRead(readings: GateReadings, light: Daylight | undefined): ConditionReading {
  const { problems: _, ...read } = readGate(readings)
  const { wind, gust, air, soil, leaf, ground } = readings
  return {
    ...read,
    leaf: leaf || undefined,
    ground: ground || undefined,
    light,
    words: {
      wind: enteredWords(wind),
      gust: enteredWords(gust),
      air: enteredWords(air),
      soil: enteredWords(soil),
    },
  }
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

const answerFindings = ({ answers }: GateReadings, { kinds }: ConditionLimits): readonly GateFinding[] =>
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
export function gateGaps(readings: GateReadings, limits: ConditionLimits): readonly GateSubject[] {
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
