import { dayText } from '../calendar/dayText'
import type { LibraryProduct } from '../draft/fromLibrary'
import { pairKey } from './localRule'
import type { Check } from './check'
import type { HeldByMachine } from './reading'
import type { Rule } from './rule'
import { namesOf, type RuleVisit, type VisitedArea } from './visit'

/** What was in the machine before, and when, in words. */
interface Before {
  readonly products: readonly LibraryProduct[]
  readonly when: string
}

const STEPS = {
  spray:
    'Empty it, flush tank, hose and boom with water three times, the second time with the tank cleaner the ' +
    'label names, take out and rinse screens and nozzles; let it out only onto ground the label allows.',
  spread: 'Empty it, brush and blow out hopper, gate and impeller, over ground that takes the old product.',
} as const

/**
 * A machine that held what clots with the next product, or a herbicide where ornamentals or a grass it harms
 * come next, is cleaned out first. Source: trade.md 4.
 */
function cleanOutFindings(visit: RuleVisit): readonly Check[] {
  const before = beforeIn(visit)
  if (!before) return []
  const { draft, lines, lawns, library } = visit
  const next = lines.map(({ product }) => product)
  const carriedOn = (product: LibraryProduct) => next.some(({ id }) => id === product.id)
  const mixes = new Map(library.mixes.map((mix) => [pairKey(mix.a, mix.b), mix]))
  const findings = before.products
    .filter((product) => !carriedOn(product))
    .flatMap((old) => [
      ...next.flatMap((fresh) => {
        const never = mixes.get(pairKey(old.name, fresh.name))?.verdict === 'never'
        if (draft.method !== 'spray' || !(never || clots(old, fresh))) return []
        return [
          `${old.name} was in it ${before.when}; what is left of it ` +
            (never ? `must not meet ${fresh.name}.` : `can clot with ${fresh.name}: iron and phosphate.`),
        ]
      }),
      ...harmedBy(old, lawns).map(
        (words) => `${old.name}, a herbicide, was in it ${before.when}, and ${words}.`,
      ),
    ])
  return findings.map((words) => ({
    level: 'warn',
    code: 'clean-out-first',
    source: 'trade practice, what the machine last held',
    message: `Clean it out first: ${words} ${STEPS[draft.method]}`,
    remedies: [{ label: 'Look at the machine', path: `${draft.method}.equipment` }],
  }))
}

/** The application before it in this visit with the same machine, or what is on record. */
function beforeIn({ draft, visit: { drafts, index }, library }: RuleVisit): Before | undefined {
  const machine = draft[draft.method].source?.id
  if (machine === undefined) return undefined
  const labels = (ids: readonly (string | undefined)[]) =>
    library.products.filter(({ id }) => ids.includes(id))
  const earlier = drafts.slice(0, index).findLast((one) => one[one.method].source?.id === machine)
  if (earlier)
    return {
      products: labels(earlier.products.map(({ source }) => source?.id)),
      when: 'earlier in this visit',
    }
  const held = library.held?.find(({ equipmentId }) => equipmentId === machine)
  if (!held || isCleaned(held)) return undefined
  return { products: labels(held.sourceIds), when: `on ${dayText(held.on)}` }
}

/** Cleaned out since it last held something: a clean-out before that says nothing. */
export const isCleaned = ({ at, cleaned }: Pick<HeldByMachine, 'at' | 'cleaned'>): boolean =>
  cleaned !== '' && Date.parse(cleaned) >= Date.parse(at)

const has = ({ document }: LibraryProduct, nutrient: 'fe' | 'p2o5') =>
  Number(document.analysis[nutrient].text) > 0
const clots = (a: LibraryProduct, b: LibraryProduct) =>
  (has(a, 'fe') && has(b, 'p2o5')) || (has(b, 'fe') && has(a, 'p2o5'))

function harmedBy({ document }: LibraryProduct, lawns: readonly VisitedArea[]): readonly string[] {
  if (document.kind !== 'pre-emergent herbicide' && document.kind !== 'post-emergent herbicide') return []
  const beds = lawns.filter(({ area }) => area.document.use === 'bed')
  const grasses = lawns.filter(({ area }) =>
    area.document.grass.some(({ species }) => document.harms?.includes(species)),
  )
  return [
    ...(beds.length > 0 ? [`${namesOf(beds)} is planted`] : []),
    ...(grasses.length > 0 ? [`it may harm the grass on ${namesOf(grasses)}`] : []),
  ]
}

export const CLEAN_OUT_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['clean-out-first'],
    level: 'warn',
    looksAt: 'what the machine last held, on record or earlier in the visit, against products and lawns now',
    limit: 'none',
    source: 'trade practice, the crew’s jar tests',
    find: cleanOutFindings,
  },
]
