import type { PlanCheck, PlanCheckCode } from '../plan/plan'
import type { Entered } from '../quantity/entered'
import { asEntered } from '../working/figureText'
import type { ApplicationDraft, ProductDraft } from '../draft/applicationDraft'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'
import type { RuleReading } from './reading'

const SOURCES: Readonly<Record<PlanCheckCode, string>> = {
  'above-max-per-application': 'label, most per application',
  'rate-above-label': 'label rate line',
  'rate-below-label': 'label rate line',
  'quick-nitrogen-high': 'house limit; local rule may be lower',
  'measure-step-coarse': 'measuring step',
  'part-load-small': 'pump agitation',
  'nutrients-unknown': 'label density',
}

/** The page of working on which a check's figure stands. */
function pageOf({ code, productId }: PlanCheck): string | undefined {
  switch (code) {
    case 'above-max-per-application':
    case 'rate-above-label':
    case 'rate-below-label':
      return `products.${productId}.amount`
    case 'measure-step-coarse':
      return `products.${productId}.measured`
    case 'quick-nitrogen-high':
      return 'nutrients.n'
    case 'part-load-small':
      return 'loads.count'
    case 'nutrients-unknown':
      return undefined
    default:
      return code satisfies never
  }
}

/** The plan's checks as the sheet shows them: with their source and the changes that would clear them. */
const planFindings = ({ plan, draft }: RuleReading): readonly Check[] =>
  (plan?.checks ?? []).map((check) => ({
    ...check,
    source: SOURCES[check.code],
    remedies: remediesFor(check, draft),
    working: pageOf(check),
  }))

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
 * A limit counts product: setting the rate to it also sets the basis straight, so it is offered only for a
 * product rate.
 */
function rateTo(
  product: ProductDraft,
  limit: Entered<ProductDraft['rate']['unit']>,
  path: string,
  label: string,
): readonly Remedy[] {
  if (product.basis !== 'product' || limit.text.trim() === '')
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

export const PLAN_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: [
      'above-max-per-application',
      'rate-above-label',
      'rate-below-label',
      'quick-nitrogen-high',
      'measure-step-coarse',
      'part-load-small',
      'nutrients-unknown',
    ],
    level: 'stop over the label’s most, else warn or note',
    looksAt: 'rates, nutrients, measuring steps and loads of this application',
    limit: 'the label’s line; house limits',
    source: 'label, house limits',
    find: planFindings,
  },
]
