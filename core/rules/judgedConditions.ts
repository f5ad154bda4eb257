import { conditionLimits, limitsWithoutLabels, type ConditionLimits } from '../conditions/conditionLimits'
import { judgeConditions, type ConditionFinding, type ConditionReading } from '../conditions/judge'
import { typedFigure } from '../quantity/entered'
import { enteredWords } from '../quantity/enteredWords'
import { TRADE_UNITS } from '../quantity/nutrientText'
import { speedSi } from '../quantity/quantity'
import type { UnitSystem } from '../quantity/systems'
import { celsius } from '../quantity/temperature'
import type { Check } from './check'
import type { RuleVisit, VisitedProduct } from './visit'

export const unitsOf = ({ request }: RuleVisit): UnitSystem => request.units ?? TRADE_UNITS

/** Wind, air and soil as they were noted for the work. */
export function notedReading({ draft: { day, lanes } }: RuleVisit): ConditionReading {
  const wind = lanes && typedFigure(lanes.wind, 'speed', 'zero-too')
  const air = typedFigure(day?.air, 'temperature', 'any-sign')
  const soil = typedFigure(day?.soil, 'temperature', 'any-sign')
  return {
    wind: wind && speedSi(wind),
    air: air && celsius(air),
    soil: soil && celsius(soil),
    words: {
      ...(lanes && { wind: enteredWords(lanes.wind) }),
      ...(day && { air: enteredWords(day.air), soil: enteredWords(day.soil) }),
    },
  }
}

/** What the label of one product asks of wind, air and soil. */
function labelLimits({ says }: VisitedProduct, visit: RuleVisit): ConditionLimits {
  const { windMost, airMost, soilFrom, soilTo } = says.figures
  return {
    ...limitsWithoutLabels(visit.draft, unitsOf(visit)),
    windMost: windMost && speedSi(windMost),
    airMost: airMost && celsius(airMost),
    soilFrom: soilFrom && celsius(soilFrom),
    soilTo: soilTo && celsius(soilTo),
  }
}

/** What the label of one product says to a reading. */
export const byLabel = (
  reading: ConditionReading,
  line: VisitedProduct,
  visit: RuleVisit,
): readonly ConditionFinding[] =>
  judgeConditions(reading, labelLimits(line, visit)).filter(({ source }) => source === 'label')

/** What the house says to a reading, labels left aside: they are asked product by product. */
export function byHouse(reading: ConditionReading, visit: RuleVisit): readonly ConditionFinding[] {
  const { draft, library } = visit
  const limits = conditionLimits(draft, library.products, library.areas, unitsOf(visit))
  const unlabelled = {
    ...limits,
    windMost: undefined,
    airMost: undefined,
    soilFrom: undefined,
    soilTo: undefined,
  }
  return judgeConditions(reading, unlabelled).filter(({ source }) => source === 'house')
}

/** Of what is said to a reading, that of one subject, as a check. */
export const ofSubject = (
  found: readonly ConditionFinding[],
  wanted: ConditionFinding['subject'],
  as: (finding: ConditionFinding) => Omit<Check, 'level'> & { readonly level?: Check['level'] },
): readonly Check[] =>
  found.filter(({ subject }) => subject === wanted).map((one) => ({ level: one.level, ...as(one) }))

/** What the label of one product says to what was noted for the work, of one subject. */
export const labelChecks = (
  line: VisitedProduct,
  visit: RuleVisit,
  subject: ConditionFinding['subject'],
  as: Pick<Check, 'code' | 'source' | 'remedies'>,
): readonly Check[] =>
  ofSubject(byLabel(notedReading(visit), line, visit), subject, ({ message }) => ({
    ...as,
    productId: line.note.id,
    message: `${line.product.name}: ${message}`,
  }))
