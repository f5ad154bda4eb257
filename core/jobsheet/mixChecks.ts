import { pairKey, type JarTest } from '../localRules'
import { remembered } from '../remembered'
import type { HistoryRow } from '../season/history'
import type { LabelContext, LabelledLine } from './labelContext'
import type { Remedy, SheetCheck } from './sheetCheck'

/**
 * Partners of one tank: what the crew knows of them, what clumps, and pairs that never met. Source: trade.md
 * 6.
 */
export function mixChecks({ document, lines, lawns, rooms }: LabelContext): readonly SheetCheck[] {
  if (document.method !== 'spray' || lines.length < 2) return []
  const known = new Map(rooms.mixes.map((mix) => [pairKey(mix.a, mix.b), mix]))
  const met = (key: string) => lawns.some(({ history }) => pairsMet(history.rows).has(key))
  const checks: SheetCheck[] = []
  const untested: (readonly [string, string])[] = []
  for (const [a, b] of pairs(lines)) {
    const mix = known.get(pairKey(a.product.name, b.product.name))
    if (mix?.verdict === 'never') {
      checks.push({
        level: 'stop',
        code: 'mix-never',
        productId: b.note.id,
        source: 'the crew’s own note',
        message:
          `${a.product.name} and ${b.product.name} must not meet in a ` +
          `tank${mix.words.trim() ? `: ${mix.words.trim()}` : ''}.`,
        remedies: [{ label: 'Look at the products', path: `products.${b.index}.name` }],
      })
      continue
    }
    if (clumps(a, b))
      checks.push({
        level: 'warn',
        code: 'iron-with-phosphate',
        productId: b.note.id,
        source: 'trade practice',
        message:
          `${a.product.name} with ${b.product.name}: iron and phosphate can clump and block nozzles. Try ` +
          'them in a jar, or put them down apart.',
        remedies: [{ label: `Choose another than ${b.product.name}`, path: `products.${b.index}.name` }],
      })
    if (!mix && !met(pairKey(a.product.name, b.product.name))) untested.push([a.product.name, b.product.name])
  }
  if (untested.length > 0)
    checks.push({
      level: 'note',
      code: 'mix-untested',
      source: 'the crew’s notes',
      message:
        `Never mixed here before: ${untested.map((pair) => pair.join(' with ')).join('; ')}. Do a jar ` +
        'test, and note what you find.',
      remedies: jarTests(untested),
    })
  return checks
}

/** What the jar showed, one press away: they all mix, or which pair does not. */
function jarTests(pairs: readonly (readonly [string, string])[]): readonly Remedy[] {
  const found = (verdict: JarTest['verdict'], list: typeof pairs): readonly JarTest[] =>
    list.map(([a, b]) => ({ a, b, verdict }))
  return [
    {
      label: pairs.length === 1 ? 'Tried: they mix' : 'Tried: all of them mix',
      path: 'products.0.name',
      jar: found('mixes', pairs),
    },
    ...pairs.slice(0, MOST_NAMED).map((pair): Remedy => ({
      label: pairs.length === 1 ? 'Tried: they must not meet' : `Tried: ${pair.join(' and ')} must not meet`,
      path: 'products.0.name',
      jar: found('never', [pair]),
    })),
  ]
}
const MOST_NAMED = 3

const pairs = <T>(list: readonly T[]): readonly (readonly [T, T])[] =>
  list.flatMap((a, i) => list.slice(i + 1).map((b) => [a, b] as const))
const pairsOf = (applications: readonly (readonly string[])[]): readonly string[] =>
  applications.flatMap((names) => pairs([...new Set(names)]).map(([a, b]) => pairKey(a, b)))

/** Pairs that met in a tank on a lawn. */
const pairsMet = remembered(
  (history: readonly HistoryRow[]): ReadonlySet<string> => new Set(pairsOf(applicationsOf(history))),
)

/** Names that went down together, an application at a time. */
function applicationsOf(history: readonly HistoryRow[]): readonly (readonly string[])[] {
  const names = new Map<string, string[]>()
  for (const { applicationId, product } of history)
    names.set(applicationId, [...(names.get(applicationId) ?? []), product])
  return [...names.values()].filter((list) => list.length > 1)
}

const has = ({ planned }: LabelledLine, nutrient: 'fe' | 'p2o5') => (planned.analysis?.[nutrient] ?? 0) > 0
const clumps = (a: LabelledLine, b: LabelledLine) =>
  (has(a, 'fe') && has(b, 'p2o5')) || (has(b, 'fe') && has(a, 'p2o5'))
