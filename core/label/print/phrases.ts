import { amountFactor } from '../../quantity/quantity'
import { sameContent } from '../../sameContent'
import { isMassUnit, type AmountUnit, type AreaUnit } from '../../quantity/units'
import type { RateBasis } from '../label'
import type { Token } from './tokens'
import { AMOUNT_WORDS, GROUND_WORDS, SQUARED, type Ground } from './units'

/** What was read from a place on, and the place after it. */
export interface Read<Of> {
  readonly is: Of
  readonly to: number
}
export type Tokens = readonly Token[]

/** A word or a mark; a number only where it is spelled out, as in "one application". */
const textAt = (tokens: Tokens, at: number): string => {
  const token = tokens[at]
  return token && (token.kind !== 'number' || /^\p{L}/u.test(token.text)) ? token.text : ''
}

/** The place after a word, and after the stop of an abbreviation; undefined where another stands. */
export function afterWord(tokens: Tokens, at: number, ...words: readonly string[]): number | undefined {
  if (!words.includes(textAt(tokens, at))) return undefined
  const [stop, next] = [tokens[at + 1], tokens[at + 2]]
  const abbreviated = stop?.text === '.' && stop.start === tokens[at]?.end && next && !next.capital
  return abbreviated ? at + 2 : at + 1
}

/** A phrase taken apart once: words that follow each other, each one of several. */
const apart = new Map<string, readonly (readonly string[])[]>()
function wordsOf(phrase: string): readonly (readonly string[])[] {
  const known = apart.get(phrase)
  if (known) return known
  const words = phrase.split(' ').map((choice) => choice.split('|'))
  apart.set(phrase, words)
  return words
}

/** The place after words that follow each other; each may be one of several, apart by a bar. */
function afterWords(tokens: Tokens, at: number, phrase: string): number | undefined {
  let place = at
  for (const choice of wordsOf(phrase)) {
    const next = afterWord(tokens, place, ...choice)
    if (next === undefined) return undefined
    place = next
  }
  return place
}

/** The place after the first of several phrases that stands there. */
export function afterAny(tokens: Tokens, at: number, phrases: readonly string[]): number | undefined {
  for (const phrase of phrases) {
    const to = afterWords(tokens, at, phrase)
    if (to !== undefined) return to
  }
  return undefined
}

/** As afterAny, but what is not there is no matter. */
export const past = (tokens: Tokens, at: number, phrases: readonly string[]): number =>
  afterAny(tokens, at, phrases) ?? at

export interface Span {
  readonly from: number
  readonly to?: number
  /** One of its numbers could be read two ways. */
  readonly doubtful: boolean
}

/**
 * One number or two: "3", "2 to 3", "between 3 and 4", "1.5-2.2 fl oz", "2 quarts to 1 gallon". Two are told
 * in the unit of the second; where they can't be, or stand on other ground, only the first is read.
 */
export function spanAt(tokens: Tokens, at: number): Read<Span> | undefined {
  const begun = past(tokens, at, ['between', 'from', 'not|no less than'])
  const first = tokens[begun]
  if (first?.kind !== 'number') return undefined
  const links = begun > at ? (JOINED[tokens[at]?.text ?? ''] ?? JOINS) : JOINS
  const afterUnit = amountUnitAt(tokens, begun + 1)?.to ?? begun + 1
  for (const place of new Set([begun + 1, afterUnit, afterGround(tokens, afterUnit)])) {
    const joined = afterAny(tokens, place, links)
    const second = joined === undefined ? undefined : tokens[joined]
    if (joined === undefined || second?.kind !== 'number') continue
    const times = inSecondUnit(tokens, begun + 1, joined + 1)
    if (times !== undefined)
      return {
        is: {
          from: Number(((first.value ?? 0) * times).toPrecision(12)),
          to: second.value ?? 0,
          doubtful: (first.doubtful ?? second.doubtful) === true,
        },
        to: joined + 1,
      }
  }
  return { is: { from: first.value ?? 0, doubtful: first.doubtful === true }, to: begun + 1 }
}

/**
 * What the first number of a span is multiplied with to be told in the unit of the second; undefined where
 * that can't be.
 * @param one the place behind the first number
 * @param other the place behind the second
 */
function inSecondUnit(tokens: Tokens, one: number, other: number): number | undefined {
  const [first, second] = [amountUnitAt(tokens, one), amountUnitAt(tokens, other)]
  if (!first || !second) return 1
  const grounds = [first, second].map(({ to }) => groundBehind(tokens, to)?.is)
  if (grounds[0] && grounds[1] && !sameContent(grounds[0], grounds[1])) return undefined
  const [from, to] = [first.is.unit, second.is.unit]
  if (from === to) return 1
  if (from === '%' || to === '%') return undefined
  // "4 oz to 1 pint": beside what is poured a bare ounce is poured.
  const poured = first.is.bare && !isMassUnit(to) ? 'fl oz' : from
  return isMassUnit(poured) === isMassUnit(to) ? amountFactor(poured) / amountFactor(to) : undefined
}

/** What stands between two numbers of a span, and what does after the word that began it. */
const JOINS: readonly string[] = ['to', '-', 'through', 'up to']
const JOINED: Readonly<Record<string, readonly string[]>> = {
  between: ['and'],
  not: ['and|but not|no more than'],
  no: ['and|but not|no more than'],
}

/** The place after "/A" in "6 fl oz/A to 9 fl oz/A". */
const afterGround = (tokens: Tokens, at: number): number => groundBehind(tokens, at)?.to ?? at

function groundBehind(tokens: Tokens, at: number): Read<Ground> | undefined {
  const per = afterAny(tokens, at, ['per', '/'])
  return per === undefined ? undefined : groundAt(tokens, per)
}

/** A unit of amounts; a bare ounce could be either. */
export interface PrintedUnit {
  readonly unit: AmountUnit | '%'
  readonly bare: boolean
}

export function amountUnitAt(tokens: Tokens, at: number): Read<PrintedUnit> | undefined {
  const begun = past(tokens, at, ['-'])
  const sure = (unit: AmountUnit | '%', to: number): Read<PrintedUnit> => ({ is: { unit, bare: false }, to })
  if (tokens[begun]?.text === '%') return sure('%', begun + 1)
  const percent = afterAny(tokens, begun, ['percent', 'per cent'])
  if (percent !== undefined) return sure('%', percent)
  const fluid = afterAny(tokens, begun, ['fl|fluid oz|ozs|ounce|ounces'])
  if (fluid !== undefined) return sure('fl oz', fluid)
  const dry = afterAny(tokens, begun, ['dry|weight|wt oz|ounce|ounces'])
  if (dry !== undefined) return sure('oz', dry)
  const unit = AMOUNT_WORDS[textAt(tokens, begun)]
  const to = afterWord(tokens, begun, textAt(tokens, begun))
  if (!unit || to === undefined) return undefined
  const poured = unit === 'oz' ? afterAny(tokens, to, ['( fluid )', 'fluid']) : undefined
  if (poured !== undefined) return sure('fl oz', poured)
  const weighed = afterAny(tokens, to, ['by weight', '( by weight )', 'wt|weight', '( wt|weight )'])
  return { is: { unit, bare: unit === 'oz' && weighed === undefined }, to: weighed ?? to }
}

/** Ground that a rate is for: "acre", "1,000 sq ft", "M", "100 m2"; a bare 1,000 counts square feet. */
export function groundAt(tokens: Tokens, at: number): Read<Ground> | undefined {
  const number = tokens[at]?.kind === 'number' ? tokens[at] : undefined
  const begun = number ? at + 1 : at
  const squared = afterAny(tokens, begun, ['sq|square'])
  const word = squared === undefined ? undefined : SQUARED[textAt(tokens, squared)]
  const named = word ? GROUND_WORDS[word] : GROUND_WORDS[textAt(tokens, begun)]
  const place = word && squared !== undefined ? squared : begun
  const count = number?.value ?? 1
  const to = afterWord(tokens, place, textAt(tokens, place))
  if (named && to !== undefined) {
    if (number && (textAt(tokens, begun) === 'm' || textAt(tokens, begun) === 'a')) return undefined
    // An acre foot is water.
    if (['foot', 'feet', 'inch', 'inches'].includes(textAt(tokens, to))) return undefined
    const thousand = named.unit === '1000 ft2' ? past(tokens, to, ['sq|square ft|feet|foot']) : to
    return { is: { unit: named.unit, count: named.count * count }, to: thousand }
  }
  // "1,000 linear feet" is another thing.
  const ends = tokens[begun]?.kind !== 'word' || GOES_ON.has(tokens[begun]?.text ?? '')
  return number && count === 1000 && ends ? { is: { unit: 'ft2', count: 1000 }, to: begun } : undefined
}

/** What may follow a bare thousand of square feet. */
const GOES_ON = new Set('every each in for per repeat to and or at with of using once twice'.split(' '))

/** Spray or water that a dilution is for: "gallon of water", "100 gal", "10 L". */
function sprayBaseAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly unit: AmountUnit; readonly count: number }> | undefined {
  const number = tokens[at]?.kind === 'number' ? tokens[at] : undefined
  const read = amountUnitAt(tokens, number ? at + 1 : at)
  if (!read || (read.is.unit !== 'gal' && read.is.unit !== 'L')) return undefined
  return {
    is: { unit: read.is.unit, count: number?.value ?? 1 },
    to: past(tokens, read.to, WATER),
  }
}

/** What carries a product. */
export const WATER: readonly string[] = [
  'of finished spray solution|mixture|mix',
  'of spray solution|mixture|mix',
  'of finished spray',
  'of water|spray|solution|carrier|mix',
  'spray solution|mixture',
  'finished spray',
  'water|spray|solution',
]

const BASES: readonly (readonly [phrase: string, basis: RateBasis])[] = [
  ['of actual n|nitrogen', 'n'],
  ['actual n|nitrogen', 'n'],
  ['of n|nitrogen', 'n'],
  ['n|nitrogen', 'n'],
  ['of p2o5|phosphate', 'p2o5'],
  ['p2o5|phosphate', 'p2o5'],
  ['of k2o|potash', 'k2o'],
  ['k2o|potash', 'k2o'],
  ['of iron|fe', 'fe'],
  ['iron|fe', 'fe'],
  ['of active ingredient', 'active'],
  ['of active', 'active'],
  ['active ingredient', 'active'],
  ['of ai|a.i.', 'active'],
  ['ai|a.i.', 'active'],
  ['of this|the product', 'product'],
  ['of product', 'product'],
  ['product', 'product'],
]
/**
 * What an amount may be of that is no product: of quick-release nitrogen less is meant than of nitrogen, and
 * what it says must be read by people.
 */
const NO_PRODUCT = new Set(
  'water spray solution irrigation nitrogen n phosphate potash iron active ingredient'.split(' '),
)
/** No more words than these stand between an amount and its ground. */
const MOST_WORDS = 3

/** What an amount is of: a nutrient, the active, or the product under whatever name. */
function basisAt(tokens: Tokens, at: number): Read<RateBasis> | undefined {
  for (const [phrase, basis] of BASES) {
    const to = afterWords(tokens, at, phrase)
    if (to !== undefined) return { is: basis, to }
  }
  const of = afterWord(tokens, at, 'of')
  if (of === undefined) return undefined
  for (let to = of; to < of + MOST_WORDS && tokens[to]?.kind === 'word'; to++) {
    if (NO_PRODUCT.has(textAt(tokens, to))) return undefined
    if (perAt(tokens, to + 1) !== undefined) return { is: 'product', to: to + 1 }
  }
  return undefined
}

/** The place after the word that says what an amount is for. */
const perAt = (tokens: Tokens, at: number): number | undefined =>
  afterAny(tokens, at, [
    'in|with enough|sufficient water to cover|treat',
    'per',
    '/',
    'for each|every',
    'to each|every',
    'on each|every',
    'each',
    'every',
    'a|an',
    'over',
    'to',
    'for',
    'on',
  ])

/** The place after an amount said again in another unit: "2 tablespoons (1 fl oz) per gallon". */
function againAt(tokens: Tokens, at: number): number {
  if (tokens[at]?.text !== '(') return at
  const span = spanAt(tokens, at + 1)
  const unit = span && amountUnitAt(tokens, span.to)
  const end = unit && (basisAt(tokens, unit.to)?.to ?? unit.to)
  return end !== undefined && tokens[end]?.text === ')' ? end + 1 : at
}

export interface PrintedRate {
  readonly span: Span
  readonly unit: PrintedUnit
  readonly basis: RateBasis
  readonly per:
    | { readonly of: 'area'; readonly unit: AreaUnit; readonly count: number }
    | { readonly of: 'spray'; readonly unit: AmountUnit; readonly count: number }
    | { readonly of: 'percent' }
    | undefined
}

/** "1-1/2 pints of product per acre", "2 fl oz/gal of water", "0.25 % v/v"; `per` absent without ground. */
export function rateAt(tokens: Tokens, at: number): Read<PrintedRate> | undefined {
  const aim = aimAt(tokens, at)
  const read = plainRateAt(tokens, aim?.to ?? at)
  if (!read) return undefined
  const rate = aim && read.is.basis === 'product' ? { ...read.is, basis: aim.is } : read.is
  // A nutrient or an active is told by its mass.
  const weighed = rate.unit.unit !== '%' && isMassUnit(rate.unit.unit)
  return rate.basis === 'product' || weighed ? { is: rate, to: read.to } : undefined
}

/** "(2 gal/A)": a rate in brackets, and the place after them. */
export function bracketAt(tokens: Tokens, at: number): Read<PrintedRate> | undefined {
  const read = tokens[at]?.text === '(' ? rateAt(tokens, at + 1) : undefined
  return read && tokens[read.to]?.text === ')' ? { is: read.is, to: read.to + 1 } : undefined
}

/** "Enough N for": the rate that follows is of it. */
function aimAt(tokens: Tokens, at: number): Read<RateBasis> | undefined {
  const enough = afterWord(tokens, at, 'enough')
  const basis = enough === undefined ? undefined : basisAt(tokens, enough)
  const to = basis && afterAny(tokens, basis.to, ['for', 'to give|supply|provide'])
  return basis && to !== undefined ? { is: basis.is, to } : undefined
}

/** "Rate per acre: 24 fl oz". */
function groundFirstAt(tokens: Tokens, at: number): Read<PrintedRate> | undefined {
  const per = afterAny(tokens, past(tokens, at, ['rate|rates|dose']), ['per'])
  const ground = per === undefined ? undefined : groundAt(tokens, per)
  const sign = ground && afterAny(tokens, ground.to, [':', '='])
  const span = sign === undefined ? undefined : spanAt(tokens, sign)
  const unit = span && amountUnitAt(tokens, span.to)
  if (!ground || !span || !unit || unit.is.unit === '%') return undefined
  const basis = basisAt(tokens, unit.to)
  return {
    is: {
      span: span.is,
      unit: unit.is,
      basis: basis?.is ?? 'product',
      per: { of: 'area', ...ground.is },
    },
    to: basis?.to ?? unit.to,
  }
}

function plainRateAt(tokens: Tokens, at: number): Read<PrintedRate> | undefined {
  const groundFirst = groundFirstAt(tokens, at)
  if (groundFirst) return groundFirst
  const span = spanAt(tokens, at)
  const unit = span && amountUnitAt(tokens, span.to)
  if (!span || !unit) return undefined
  if (unit.is.unit === '%') {
    const to = past(tokens, unit.to, ['v / v', 'vol / vol', 'by volume', 'v|vol', 'solution'])
    return { is: { span: span.is, unit: unit.is, basis: 'product', per: { of: 'percent' } }, to }
  }
  const again = againAt(tokens, unit.to)
  const before = basisAt(tokens, again)
  const place = againAt(tokens, before?.to ?? again)
  const per = perAt(tokens, place)
  const ground = per === undefined ? undefined : groundAt(tokens, per)
  const spray = per === undefined || ground ? undefined : sprayBaseAt(tokens, per)
  const end = ground?.to ?? spray?.to ?? place
  const after = before ? undefined : basisAt(tokens, end)
  return {
    is: {
      span: span.is,
      unit: unit.is,
      basis: before?.is ?? after?.is ?? 'product',
      per: ground ? { of: 'area', ...ground.is } : spray ? { of: 'spray', ...spray.is } : undefined,
    },
    to: after?.to ?? end,
  }
}
