import { pairKey, type JarTest } from './localRule'
import { remembered } from '../remembered'
import type { IndexedRow } from '../season/ledger'
import type { RuleVisit, VisitedProduct } from './visit'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'

/**
 * Partners of one tank: what the crew knows of them, what clumps, and pairs that never met. Source: trade.md
 * 6.
 */
function mixFindings({ draft, lines, lawns, library }: RuleVisit): readonly Check[] {
  if (draft.method !== 'spray' || lines.length < 2) return []
  const known = new Map(library.mixes.map((mix) => [pairKey(mix.a, mix.b), mix]))
  const met = (key: string) => lawns.some(({ ledger }) => pairsMet(ledger.rows).has(key))
  const checks: Check[] = []
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
  (ledger: readonly IndexedRow[]): ReadonlySet<string> => new Set(pairsOf(applicationsOf(ledger))),
)

/** Names that went down together, an application at a time. */
function applicationsOf(ledger: readonly IndexedRow[]): readonly (readonly string[])[] {
  const names = new Map<string, string[]>()
  for (const { applicationId, product, planned } of ledger)
    if (!planned) names.set(applicationId, [...(names.get(applicationId) ?? []), product])
  return [...names.values()].filter((list) => list.length > 1)
}

const has = ({ planned }: VisitedProduct, nutrient: 'fe' | 'p2o5') => (planned.analysis?.[nutrient] ?? 0) > 0
const clumps = (a: VisitedProduct, b: VisitedProduct) =>
  (has(a, 'fe') && has(b, 'p2o5')) || (has(b, 'fe') && has(a, 'p2o5'))

export const MIX_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['mix-never', 'iron-with-phosphate', 'mix-untested'],
    level: 'stop, warn, note',
    looksAt: 'every pair of one tank: the crew’s notes, iron with phosphate, pairs that never met',
    limit: 'none',
    source: 'the crew’s notes, trade practice',
    find: mixFindings,
  },
]
