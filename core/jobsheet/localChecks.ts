import { withinYearly } from '../calendar/dayOfYear'
import { formatFigure } from '../quantity/format'
import type { LocalRule } from '../localRules'
import type { Plan } from '../plan/plan'
import { KILOGRAMS_PER, SQUARE_METRES_PER } from '../quantity/units'
import { nitrogenPerArea } from '../season/history'
import { namesOf, thisYear, type LabelContext } from './labelContext'
import type { SheetCheck } from './sheetCheck'

const THOUSAND = SQUARE_METRES_PER['1000 ft2'] / KILOGRAMS_PER.lb

/** The crew's own table of local rules, on the day of the job. */
export function localChecks(context: LabelContext, plan: Plan): readonly SheetCheck[] {
  return context.rooms.local.filter(({ from, to }) => from === '' || to === '' || withinYearly(context.day, from, to)).flatMap((rule) => {
    const words = broken(rule, context, plan)
    return words === undefined ? [] : [{ level: rule.kind === 'buffer to water' ? 'note' as const : 'stop' as const, code: 'local-rule' as const, source: rule.source.trim() || 'local rule', message: `${words}${daysOf(rule)}.`, remedies: [] }]
  })
}

const daysOf = ({ from, to }: LocalRule) => (from === '' || to === '' ? '' : `, ${from} to ${to}`)

function broken(rule: LocalRule, context: LabelContext, plan: Plan): string | undefined {
  const limit = Number(rule.limit)
  const [n, p] = [plan.nutrients?.n.value ?? 0, plan.nutrients?.p2o5.value ?? 0]
  switch (rule.kind) {
    case 'no application': return 'Nothing may be applied in these days'
    case 'no nitrogen': return n > 0 ? `${formatFigure(n)} lb N/1000 ft2, where no nitrogen may go down` : undefined
    case 'no phosphorus': return p > 0 ? `${formatFigure(p)} lb P2O5/1000 ft2, where no phosphorus may go down without a soil test` : undefined
    case 'nitrogen in one go': return limit > 0 && n > limit * (1 + 1e-9) ? `${formatFigure(n)} lb N/1000 ft2 in one go, over ${limit}` : undefined
    case 'nitrogen in a year': {
      const found = limit > 0
        ? context.lawns.flatMap((lawn) => {
            const laid = nitrogenPerArea(thisYear(lawn.history.rows, context)) * THOUSAND
            return n > 0 && laid + n > limit * (1 + 1e-9) ? [{ ...lawn, laid }] : []
          })
        : []
      return found[0] && `${formatFigure(found[0].laid + n)} lb N/1000 ft2 on ${namesOf(found)} this year with this job, over ${limit}`
    }
    case 'buffer to water': return `Keep ${rule.limit.trim() || 'the'} ft from open water`
    default: return rule.kind satisfies never
  }
}
