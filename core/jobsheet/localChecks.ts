import { dayText } from '../calendar/dayText'
import { withinYearly } from '../calendar/dayOfYear'
import { daysAfter } from '../calendar/daysBetween'
import { formatFigure } from '../quantity/format'
import type { LocalRule } from '../localRules'
import { nutrientsOn } from '../plan/areaNutrients'
import type { Plan } from '../plan/plan'
import { NUTRIENT_UNITS } from './nutrientYear'
import { phosphorusTested } from './soilChecks'
import { nitrogenPerArea } from '../season/history'
import { namesOf, thisYear, type LabelContext } from './labelContext'
import type { Remedy, SheetCheck } from './sheetCheck'

/** The crew's own table of local rules, on the day of the job. */
export function localChecks(context: LabelContext, plan: Plan): readonly SheetCheck[] {
  return context.rooms.local
    .filter(({ from, to }) => from === '' || to === '' || withinYearly(context.day, from, to))
    .flatMap((rule) => {
      const words = broken(rule, context, plan)
      return words === undefined
        ? []
        : [
            {
              level: rule.kind === 'buffer to water' ? ('note' as const) : ('stop' as const),
              code: 'local-rule' as const,
              source: rule.source.trim() || 'local rule',
              message: `${words}${daysOf(rule)}.`,
              remedies: afterIt(rule, context.day),
            },
          ]
    })
}

/** The day after a closed season, where it has an end and stops the job. */
function afterIt({ kind, from, to }: LocalRule, day: string): readonly Remedy[] {
  if (kind === 'buffer to water' || kind === 'nitrogen in a year' || from === '' || to === '') return []
  const year = Number(day.slice(0, 4)) + (to < day.slice(5) ? 1 : 0)
  const next = daysAfter(`${year}-${to}`, 1)
  return [{ label: `Plan it for ${dayText(next)}`, path: 'plannedFor', value: next }]
}

const daysOf = ({ from, to }: LocalRule) => (from === '' || to === '' ? '' : `, ${from} to ${to}`)

/** The most of each nutrient that any area gets. */
function most(
  { request }: LabelContext,
  plan: Plan,
): { readonly n: number; readonly p2o5: number; readonly k2o: number } {
  const areas = plan.rates
    ? request.areas.map(({ id }) => nutrientsOn(id, request, plan))
    : [nutrientsOn('', request, plan)]
  const top = (name: 'n' | 'p2o5' | 'k2o') => Math.max(0, ...areas.map((one) => one?.[name] ?? 0))
  return { n: top('n'), p2o5: top('p2o5'), k2o: top('k2o') }
}

function broken(rule: LocalRule, context: LabelContext, plan: Plan): string | undefined {
  const limit = Number(rule.limit)
  const { n, p2o5: p, k2o: k } = most(context, plan)
  switch (rule.kind) {
    case 'no application':
      return 'Nothing may be applied in these days'
    case 'no nitrogen':
      return n > 0 ? `${formatFigure(n)} lb N/1000 ft2, where no nitrogen may go down` : undefined
    case 'no phosphorus':
      return p > 0 && !phosphorusTested(context)
        ? `${formatFigure(p)} lb P2O5/1000 ft2, where no phosphorus may go down without a soil test`
        : undefined
    case 'nitrogen in one go':
      return limit > 0 && n > limit * (1 + 1e-9)
        ? `${formatFigure(n)} lb N/1000 ft2 in one go, over ${limit}`
        : undefined
    case 'phosphorus in one go':
      return limit > 0 && p > limit * (1 + 1e-9)
        ? `${formatFigure(p)} lb P2O5/1000 ft2 in one go, over ${limit}`
        : undefined
    case 'potassium in one go':
      return limit > 0 && k > limit * (1 + 1e-9)
        ? `${formatFigure(k)} lb K2O/1000 ft2 in one go, over ${limit}`
        : undefined
    case 'nitrogen in a year': {
      const found =
        limit > 0
          ? context.lawns.flatMap((lawn) => {
              const laid = nitrogenPerArea(thisYear(lawn.history.rows, context)) * NUTRIENT_UNITS
              const now = nutrientsOn(lawn.lawn.id, context.request, plan)?.n ?? 0
              return now > 0 && laid + now > limit * (1 + 1e-9) ? [{ ...lawn, laid: laid + now }] : []
            })
          : []
      return (
        found[0] &&
        `${formatFigure(found[0].laid)} lb N/1000 ft2 on ${namesOf(found)} this year with this job, ` +
          `over ${limit}`
      )
    }
    case 'buffer to water':
      return `Keep ${rule.limit.trim() || 'the'} ft from open water`
    default:
      return rule.kind satisfies never
  }
}
