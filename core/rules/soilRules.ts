import { dayText } from '../calendar/dayText'
import { daysBetween } from '../calendar/daysBetween'
import { isPresent, nutrientOn, nutrientWords } from '../plan/areaNutrients'
import { leaveOut, namesOf, type VisitedArea, type RuleVisit } from './visit'
import type { Check } from './check'
import type { Rule } from './rule'

/** A soil test is looked at for three years (trade.md 13). */
const TEST_HOLDS_DAYS = 3 * 365

const testOf = ({ area }: VisitedArea, day: string) => {
  const { soilTest } = area.document
  return soilTest &&
    soilTest.on !== '' &&
    soilTest.on <= day &&
    daysBetween(soilTest.on, day) <= TEST_HOLDS_DAYS
    ? soilTest
    : undefined
}

/**
 * Whether a test of every lawn, not too old, asks for phosphorus: what a local ban without a test gives way
 * to.
 */
export const phosphorusTested = ({ lawns, request, day }: RuleVisit): boolean =>
  lawns.length === request.areas.length && lawns.every((lawn) => testOf(lawn, day)?.p === 'low')

const LISTED = [
  ['p2o5', 'p', 'phosphorus-enough'],
  ['k2o', 'k', 'potassium-enough'],
] as const

/** Phosphate and potash on ground whose test says that there is enough. Source: trade.md 11, soil test. */
function soilFindings(context: RuleVisit): readonly Check[] {
  return LISTED.flatMap(([nutrient, level, code]): readonly Check[] => {
    const found = context.lawns.flatMap((lawn) => {
      const now = nutrientOn(lawn.lawn.id, nutrient, context.request, context.plan)
      const test = testOf(lawn, context.day)
      return isPresent(now) && test && (test[level] === 'high' || test[level] === 'enough')
        ? [{ ...lawn, now, test }]
        : []
    })
    const [worst] = found.toSorted((a, b) => b.now.known - a.now.known)
    if (!worst) return []
    return [
      {
        level: worst.test[level] === 'high' ? 'warn' : 'note',
        code,
        source: `soil test of ${dayText(worst.test.on)}`,
        message:
          `${nutrientWords(worst.now, nutrient, context.request.units)} goes on ${namesOf(found)}, ` +
          `where the soil test says ${worst.test[level] === 'high' ? 'high' : 'enough'}.`,
        remedies: leaveOut(found),
      },
    ]
  })
}

export const SOIL_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['phosphorus-enough', 'potassium-enough'],
    level: 'warn where the test says high, note where it says enough',
    looksAt: 'phosphate and potash against the soil test',
    limit: `a test of the last ${TEST_HOLDS_DAYS / 365} years`,
    source: 'soil test',
    find: soilFindings,
  },
]
