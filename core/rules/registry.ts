import { CALIBRATION_RULES } from './calibrationRules'
import type { Check } from './check'
import { CLEAN_OUT_RULES } from './cleanOutRules'
import { CONDITION_RULES } from './conditionRules'
import { DIAL_RULES } from './dialRules'
import { DISEASE_RULES } from './diseaseRules'
import { DRIFT_RULES } from './driftRules'
import { INTERVAL_RULES } from './intervalRules'
import { LIBRARY_RULES } from './libraryRules'
import { CREW_RULES } from './localRules'
import { MIX_RULES } from './mixRules'
import { PLAN_RULES } from './planRules'
import { PLAUSIBILITY_RULES } from './plausibilityRules'
import type { RuleReading } from './reading'
import type { Rule } from './rule'
import { SOIL_RULES } from './soilRules'
import { TURF_RULES } from './turfRules'
import type { RuleVisit } from './visit'
import { NUTRIENT_TWICE_RULES } from './nutrientTwiceRules'
import { ORDER_RULES } from './visitRules'
import { WEATHER_RULES } from './weatherRules'
import { YEAR_RULES } from './yearRules'

/** A family of rules, as the page of rules shows them. */
export interface RuleFamily {
  readonly name: string
  readonly rules: readonly Rule[]
}

/** Every rule there is. A rule that is not listed here is not asked. */
export const RULES: readonly RuleFamily[] = [
  { name: 'The label, for one application', rules: PLAN_RULES },
  { name: 'The label, for the year', rules: YEAR_RULES },
  { name: 'Intervals and resistance', rules: [...INTERVAL_RULES, ...NUTRIENT_TWICE_RULES] },
  { name: 'Turf, seed and grasses', rules: TURF_RULES },
  { name: 'Soil tests', rules: SOIL_RULES },
  { name: 'Disease', rules: DISEASE_RULES },
  { name: 'Weather and soil of the day', rules: CONDITION_RULES },
  { name: 'What the weather of the place says', rules: WEATHER_RULES },
  { name: 'Wind and drift', rules: DRIFT_RULES },
  { name: 'What meets in a tank', rules: MIX_RULES },
  { name: 'What the machine last held', rules: CLEAN_OUT_RULES },
  { name: 'Local rules', rules: CREW_RULES },
  { name: 'Order of the visit', rules: ORDER_RULES },
  { name: 'Calibration', rules: CALIBRATION_RULES },
  { name: 'The dial', rules: DIAL_RULES },
  { name: 'Slips of a figure or a unit', rules: PLAUSIBILITY_RULES },
  { name: 'What changed since', rules: LIBRARY_RULES },
]
const ALL = RULES.flatMap(({ rules }) => rules)

/**
 * Asks every rule of one application.
 * @param visit the same with labels and ledger brought together; undefined until that is possible
 */
export const askRules = (reading: RuleReading, visit: RuleVisit | undefined): readonly Check[] =>
  ALL.flatMap((rule) => (rule.needs === 'reading' ? rule.find(reading) : visit ? rule.find(visit) : []))
