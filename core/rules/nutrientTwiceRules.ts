import { dayText } from '../calendar/dayText'
import { daysBetween } from '../calendar/daysBetween'
import { NUTRIENT_NAMES } from '../label/label'
import { nutrientOn } from '../plan/areaNutrients'
import { nutrientText } from '../quantity/nutrientText'
import type { IndexedRow } from '../season/ledger'
import { sixDigits } from '../working/figureText'
import type { Check } from './check'
import type { Rule } from './rule'
import { leaveOut, namesOf, plannedMark, type RuleVisit, type VisitedArea } from './visit'

/** Source: decide.md 3. d */
const TWICE_DAYS = 14
/** Amounts that differ by no more than this are the same amount. */
const SAME_SHARE = 0.1
const ASKED = ['n', 'p2o5', 'k2o'] as const
type Asked = (typeof ASKED)[number]

/** Another application that brings the same of a nutrient, kg on each m2. */
interface Twice {
  readonly lawn: VisitedArea
  readonly other: IndexedRow
  readonly amount: number
  readonly now: number
}

/** What each application near the day brought of a nutrient to one area, its products summed. */
function broughtNear(
  { ledger }: VisitedArea,
  nutrient: Asked,
  { dayNumber }: RuleVisit,
): readonly { readonly row: IndexedRow; readonly amount: number }[] {
  const found = new Map<string, { readonly row: IndexedRow; readonly amount: number }>()
  for (const row of ledger.rows) {
    const kilograms = row[nutrient]
    if (!kilograms || row.sizeM2 <= 0 || Math.abs(row.dayNumber - dayNumber) > TWICE_DAYS) continue
    const before = found.get(row.applicationId)
    found.set(row.applicationId, { row, amount: (before?.amount ?? 0) + kilograms / row.sizeM2 })
  }
  return [...found.values()]
}

/** The same amount of the same nutrient on the same area within 14 days. Source: decide.md 3. */
function nutrientTwice(context: RuleVisit): readonly Check[] {
  return ASKED.flatMap((nutrient) => {
    const found = context.lawns.flatMap((lawn): readonly Twice[] => {
      const now = nutrientOn(lawn.lawn.id, nutrient, context.request, context.plan).known
      const same = broughtNear(lawn, nutrient, context).find(
        ({ amount }) => now > 0 && Math.abs(amount - now) <= SAME_SHARE * now,
      )
      return same ? [{ lawn, other: same.row, amount: same.amount, now }] : []
    })
    const [first] = found
    return first ? [asked(nutrient, first, found, context)] : []
  })
}

function asked(
  nutrient: Asked,
  { lawn, other, amount, now }: Twice,
  all: readonly Twice[],
  context: RuleVisit,
): Check {
  const { units } = context.request
  const name = NUTRIENT_NAMES[nutrient]
  const between = Math.abs(daysBetween(other.on, context.day))
  const when = between === 0 ? 'the same day' : between === 1 ? 'a day apart' : `${between} days apart`
  const areas = all.map((one) => one.lawn)
  return {
    level: 'warn',
    code: 'nutrient-twice',
    source: `house, the same amount within ${TWICE_DAYS} days is asked`,
    message:
      `${nutrientText(amount, name, units)} ${other.planned ? 'is planned for' : 'was applied to'} ` +
      `${namesOf(areas)} on ${dayText(other.on)} (${other.product}), ${when}; this brings ` +
      `${nutrientText(now, name, units)} more. Are both meant?`,
    remedies: leaveOut(areas),
    working: () => [
      `${lawn.area.name}, ${dayText(other.on)}, ${other.product}${plannedMark(other)}: ` +
        nutrientText(amount, name, units, sixDigits),
      `this application: ${nutrientText(now, name, units, sixDigits)}`,
      `${Math.round((100 * Math.abs(amount - now)) / now)} % apart, up to ${100 * SAME_SHARE} % is the same`,
    ],
  }
}

export const NUTRIENT_TWICE_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['nutrient-twice'],
    level: 'warn',
    looksAt: 'nitrogen, phosphate and potash of other applications to the same area, planned or applied',
    limit: `the same amount within ${TWICE_DAYS} days`,
    source: 'house',
    find: nutrientTwice,
  },
]
