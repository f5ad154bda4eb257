import {
  afterAny,
  amountUnitAt,
  groundAt,
  past,
  spanAt,
  WATER,
  type PrintedUnit,
  type Read,
  type Span,
  type Tokens,
} from './phrases'
import type { Ground } from './units'

const CARRIER_WORDS: readonly string[] = [
  'in|with|using sufficient|enough water to deliver|apply|give|provide',
  'in|with|using a minimum of',
  'in|with|using at least',
  'mixed|diluted in|with',
  'in|with|using',
  'use a minimum of',
  'use at least',
  'a minimum of',
  'minimum of',
  'at least',
  'no|not less than',
  'use no|not less than',
  'minimum spray volume :|of|is',
  'spray|carrier|water volume|volumes :|of|is',
  'spray|carrier|water volume should be',
  'spray|carrier|water volume|volumes',
  'volume :|of|is',
  'apply in',
]

const PER: readonly string[] = ['per', '/', 'for|to each|every', 'a', 'over']
/** "In 50 gallons to treat an acre". */
const FOR: readonly string[] = ['for', 'on', 'to treat|cover|spray']

export interface Carrier {
  readonly span: Span
  readonly unit: PrintedUnit
  /** Absent where it is said of the ground of the rate beside it. */
  readonly ground?: Ground
}

/** Spray or water that carries a product: "in 1 to 2 gallons of water per 1,000 sq ft". */
export function carrierAt(tokens: Tokens, at: number): Read<Carrier> | undefined {
  const begun = past(tokens, at, CARRIER_WORDS)
  const span = spanAt(tokens, begun)
  const acre = span && afterAny(tokens, span.to, ['gpa'])
  if (span && acre !== undefined)
    return {
      is: { span: span.is, unit: { unit: 'gal', bare: false }, ground: { unit: 'ac', count: 1 } },
      to: past(tokens, acre, [...WATER, 'minimum']),
    }
  const unit = span && amountUnitAt(tokens, span.to)
  if (!span || !unit || (unit.is.unit !== 'gal' && unit.is.unit !== 'L')) return undefined
  const water = afterAny(tokens, unit.to, WATER)
  const least =
    begun > at &&
    /minimum|least|less|volume|enough|sufficient/.test(
      tokens
        .slice(at, begun)
        .map(({ text }) => text)
        .join(' '),
    )
  // "In 40 to 100 gallons per acre": what something goes out in carries it.
  const isIn = begun > at && tokens[begun - 1]?.text === 'in'
  const per = afterAny(tokens, water ?? unit.to, isIn || water !== undefined ? [...PER, ...FOR] : PER)
  const ground = per === undefined ? undefined : groundAt(tokens, per)
  const late = ground ? (afterAny(tokens, ground.to, WATER) ?? solutionAt(tokens, ground.to)) : undefined
  // Water is said before its ground, after it, or by the words that begin it.
  if (water === undefined && (!ground || (!least && !isIn && late === undefined))) return undefined
  return {
    is: { span: span.is, unit: unit.is, ...(ground && { ground: ground.is }) },
    to: late ?? ground?.to ?? water ?? unit.to,
  }
}

/** "2 gal per 1,000 sq ft of a 1 % solution": the place of its strength, which is a rate of its own. */
function solutionAt(tokens: Tokens, at: number): number | undefined {
  const of = afterAny(tokens, at, ['of a|an|the', 'of'])
  const span = of === undefined ? undefined : spanAt(tokens, of)
  const percent = span && amountUnitAt(tokens, span.to)
  return percent?.is.unit === '%' && afterAny(tokens, percent.to, ['solution|spray|mix|mixture|dilution'])
    ? of
    : undefined
}

const PACKAGES = 'bag|bottle|jug|box|package|container|pail'

/** "A 40-lb bag covers 5,000 sq ft". */
export function bagAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly amount: number; readonly unit: PrintedUnit; readonly ground: Ground }> | undefined {
  const counted =
    tokens[at]?.kind === 'number' && tokens[at]?.value === 1 && tokens[at + 1]?.kind === 'number'
  const named = afterAny(tokens, at, [`a|an|the|this|each|one ${PACKAGES} (`])
  const begun = counted ? at + 1 : (named ?? past(tokens, at, ['a|an|the|this|each']))
  const span = spanAt(tokens, begun)
  const unit = span && amountUnitAt(tokens, span.to)
  if (!span || !unit) return undefined
  const bag = past(tokens, past(tokens, unit.to, ['-', ')']), [PACKAGES])
  const covers = afterAny(tokens, bag, [
    'covers|treats|feeds|does up to',
    'covers|treats|feeds|does about',
    'covers|treats|feeds|does approximately',
    'covers|treats|feeds|does',
    'will cover|treat',
  ])
  const ground = covers === undefined ? undefined : groundAt(tokens, covers)
  return ground
    ? { is: { amount: span.is.from, unit: unit.is, ground: ground.is }, to: ground.to }
    : undefined
}
