import type { ApplicationDocument } from './document'
import type { SheetCheck } from './sheetCheck'

/**
 * Whether the applications of a visit stand in an order in which none undoes another: what belongs in the
 * soil first, leaf feed after it, iron last, then the water. Source: trade.md 1.
 * @param index the application in hand; a check is told on the later of a pair
 */
export function visitOrder(
  applications: readonly ApplicationDocument[],
  index: number,
): readonly SheetCheck[] {
  const own = applications[index]
  if (!own) return []
  const before = applications.slice(0, index)
  const where = own.fate?.where ?? ''
  const leafBefore = before.findIndex(({ fate }) => fate?.where === 'leaf')
  const checks: SheetCheck[] = []
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
