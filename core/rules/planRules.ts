import { nutrientText } from '../quantity/nutrientText'
import type { Figure } from '../working/figures'
import { PLAN_CHECK_CODES, type PlanCheck, type PlanCheckCode } from '../plan/plan'
import { COARSE_SHARE, QUICK_N_LIMIT, SMALL_LOAD_SHARE } from '../plan/planChecks'
import type { Entered } from '../quantity/entered'
import { asEntered } from '../working/figureText'
import type { ApplicationDraft, ProductDraft } from '../draft/applicationShape'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'
import type { RuleReading } from './reading'

/** One check of the plan as a rule: where its figure is worked out, and the changes that would clear it. */
interface PlanRule {
  readonly level: string
  readonly looksAt: string
  readonly limit: string
  readonly source: string
  /** The page of working on which its figure stands. */
  readonly page: (check: PlanCheck) => Figure | undefined
}

const amountPage = ({ productId }: PlanCheck): Figure => `products.${productId}.amount`

const OF_PLAN: Readonly<Record<PlanCheckCode, PlanRule>> = {
  'above-max-per-application': {
    level: 'stop',
    looksAt: 'the rate of all passes together, each lawn with its own',
    limit: 'the label’s most for one application',
    source: 'label, most per application',
    page: amountPage,
  },
  'rate-above-label': {
    level: 'stop',
    looksAt: 'the rate of all passes together, each lawn with its own',
    limit: 'the highest rate of the label’s line',
    source: 'label rate line',
    page: amountPage,
  },
  'rate-below-label': {
    level: 'warn',
    looksAt: 'the rate of all passes together, each lawn with its own',
    limit: 'the lowest rate of the label’s line',
    source: 'label rate line',
    page: amountPage,
  },
  'quick-nitrogen-high': {
    level: 'warn',
    looksAt: 'quick nitrogen of all products of the application',
    limit: `${nutrientText(QUICK_N_LIMIT, '')} in one go; a local rule may be lower`,
    source: 'house limit; local rule may be lower',
    page: () => 'nutrients.n',
  },
  'measure-step-coarse': {
    level: 'warn',
    looksAt: 'what the scale or cup can show against the amount of every load',
    limit: `${COARSE_SHARE * 100} % of the amount`,
    source: 'measuring step',
    page: ({ productId }) => `products.${productId}.measured`,
  },
  'part-load-small': {
    level: 'note',
    looksAt: 'the smallest load',
    limit: `what the pump agitates from, else ${SMALL_LOAD_SHARE * 100} % of the tank`,
    source: 'pump agitation',
    page: () => 'loads.count',
  },
  'nutrients-unknown': {
    level: 'note',
    looksAt: 'products with an analysis that are measured by volume',
    limit: 'none; without a density what they lay down is not known',
    source: 'label density',
    page: () => undefined,
  },
}

function remediesFor({ code, productId }: PlanCheck, document: ApplicationDraft): readonly Remedy[] {
  const index = document.products.findIndex(({ id }) => id === productId)
  const product = document.products[index]
  const path = `products.${index}`
  switch (code) {
    case 'above-max-per-application':
      return product ? rateTo(product, product.most, path, 'Lower to the most allowed') : []
    case 'rate-above-label':
      return product ? rateTo(product, product.high, path, 'Lower to the label’s highest') : []
    case 'rate-below-label':
      return product ? rateTo(product, product.low, path, 'Raise to the label’s lowest') : []
    case 'quick-nitrogen-high':
      return [{ label: 'Change the rate', path: 'products.0.rate' }]
    case 'measure-step-coarse':
      return [{ label: 'Choose a finer step', path: `${path}.step` }, ...equalLoads(document)]
    case 'part-load-small':
      return equalLoads(document)
    case 'nutrients-unknown':
      return [{ label: 'Enter the density', path: `${path}.density` }]
    default:
      return code satisfies never
  }
}

/**
 * A limit is set as the rate only where both count the same.
 */
function rateTo(
  product: ProductDraft,
  limit: Entered<ProductDraft['rate']['unit']>,
  path: string,
  label: string,
): readonly Remedy[] {
  if (product.basis !== (product.limitBasis ?? 'product') || limit.text.trim() === '')
    return [{ label: 'Change the rate', path: `${path}.rate` }]
  return [{ label: `${label}: ${asEnteredText(limit)}`, path: `${path}.rate`, value: limit }]
}

const asEnteredText = ({ text, unit }: Entered): string =>
  Number.isFinite(Number(text)) ? asEntered({ value: Number(text), unit }) : text

function equalLoads({ method, spray }: ApplicationDraft): readonly Remedy[] {
  return method === 'spray' && spray.loads !== 'equal'
    ? [{ label: 'Make all loads equal', path: 'spray.loads', value: 'equal' }]
    : []
}

/** Each check of the plan as a rule of its own, asked of every application that could be planned. */
export const PLAN_RULES: readonly Rule[] = PLAN_CHECK_CODES.map((code) => {
  const { page, ...facts } = OF_PLAN[code]
  return {
    needs: 'reading',
    codes: [code],
    ...facts,
    find: ({ plan, draft }: RuleReading): readonly Check[] =>
      (plan?.checks ?? [])
        .filter((check) => check.code === code)
        .map((check) => ({
          ...check,
          source: facts.source,
          remedies: remediesFor(check, draft),
          working: page(check),
        })),
  }
})
