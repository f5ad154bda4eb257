import type { Check } from './check'
import type { Rule } from './rule'
import type { RuleReading } from './reading'

/**
 * Whether the applications of a visit stand in an order in which none undoes another: what belongs in the
 * soil first, leaf feed after it, iron last, then the water. Source: trade.md 1.
 * Told on the later of a pair.
 */
function orderFindings({ visit: { drafts, index } }: RuleReading): readonly Check[] {
  const own = drafts[index]
  if (!own) return []
  const before = drafts.slice(0, index)
  const where = own.fate?.where ?? ''
  const leafBefore = before.findIndex(({ fate }) => fate?.where === 'leaf')
  const checks: Check[] = []
  if (where === 'soil' && leafBefore >= 0) {
    checks.push({
      level: 'warn',
      code: 'order-of-visit',
      source: 'trade practice',
      message:
        `This belongs in the soil, but application ${leafBefore + 1} feeds the leaf before it: watering ` +
        'this in washes that off.',
      remedies: [{ label: 'Put it one earlier', path: 'order', value: 'earlier' }],
    })
  }
  const previous = before.at(-1)
  const wait = previous?.fate?.wait
  if (wait?.text.trim())
    checks.push({
      level: 'note',
      code: 'order-of-visit',
      source: 'this visit',
      message: `Wait ${wait.text} ${wait.unit} after application ${index} before this one.`,
      remedies: [],
    })
  return checks
}

export const ORDER_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: ['order-of-visit'],
    level: 'warn; a wait is a note',
    looksAt: 'the order of the visit’s applications',
    limit: 'soil before leaf, leaf before iron, then water',
    source: 'trade practice',
    find: orderFindings,
  },
]
