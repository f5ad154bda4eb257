import { dayText } from '../calendar/dayText'
import { isPresent, nutrientOn, nutrientWords } from '../plan/areaNutrients'
import { leaveOut, namesOf, type RuleVisit } from './visit'
import type { Check } from './check'
import type { Rule } from './rule'

/**
 * Months of the year, MM-DD, in which root disease shows and in which autumn feeding falls; north of the
 * equator.
 */
const SPRING = { from: '03-01', to: '06-30' } as const
const AUTUMN = { from: '09-01', to: '11-30' } as const
const within = (day: string, { from, to }: { readonly from: string; readonly to: string }) =>
  day.slice(5) >= from && day.slice(5) <= to

/** Autumn nitrogen where this year's spring showed root disease. Source: trade.md 6. */
function diseaseFindings(context: RuleVisit): readonly Check[] {
  if (!within(context.day, AUTUMN)) return []
  const found = context.lawns.flatMap((lawn) => {
    const now = nutrientOn(lawn.lawn.id, 'n', context.request, context.plan)
    const seen = lawn.area.document.diseases?.find(
      ({ seat, on }) => seat === 'root' && on.startsWith(String(context.year)) && within(on, SPRING),
    )
    return isPresent(now) && seen ? [{ ...lawn, now, seen }] : []
  })
  const [first] = found
  if (!first) return []
  return [
    {
      level: 'warn',
      code: 'nitrogen-root-disease',
      source: 'trade practice, the area’s own ledger',
      message:
        `${nutrientWords(first.now, 'n', context.request.units)} in autumn on ${namesOf(found)}, where ` +
        `${first.seen.name.trim() || 'root disease'} showed on ${dayText(first.seen.on)}: it feeds the ` +
        'next outbreak.',
      remedies: leaveOut(found),
    },
  ]
}

export const DISEASE_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['nitrogen-root-disease'],
    level: 'warn',
    looksAt: 'autumn nitrogen where this year’s spring showed root disease',
    limit: 'none',
    source: 'trade practice, the area’s own ledger',
    find: diseaseFindings,
  },
]
