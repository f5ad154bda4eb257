import { GRASS_NAMES, type GrassName } from '../../ground/grasses'
import type { Quantity } from '../../quantity/quantity'
import type { LengthUnit } from '../../quantity/units'
import type { YearPeriod } from '../productDocument'
import {
  afterAny,
  afterWord,
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
import { DAYS_IN, HOURS_IN, type Ground } from './units'

/** A cap begins: what follows is a most, of one application unless a year is said. */
const CAPS: readonly string[] = [
  'do not exceed a total of',
  'do not exceed',
  'do not apply|use|make more than a total of',
  'do not apply|use|make more than',
  'must|should not exceed',
  'not to exceed',
  'no more than',
  'not more than',
  'never more than',
  'never exceed',
  'a maximum|limit of',
  'maximum single application rate',
  'maximum application rate',
  'maximum rate',
  'maximum|limit of',
  'maximum',
  'max',
  'at most',
]
const YEARLY_CAPS: readonly string[] = [
  'maximum annual|yearly|seasonal application rate|amount',
  'maximum annual|yearly|seasonal rate|amount|total',
  'annual|yearly|seasonal maximum|limit',
]

/** How a most is said. @returns whether the words themselves name a year */
export function capAt(tokens: Tokens, at: number): Read<'one' | 'year'> | undefined {
  const yearly = afterAny(tokens, at, YEARLY_CAPS)
  if (yearly !== undefined) return { is: 'year', to: past(tokens, yearly, [':', 'is', 'of']) }
  const one = afterAny(tokens, at, CAPS)
  return one === undefined ? undefined : { is: 'one', to: past(tokens, one, [':']) }
}

const PERIODS: readonly (readonly [phrase: string, period: YearPeriod])[] = [
  ['per|a|each|in|any calendar year', 'calendar year'],
  ['in a|one|any|each calendar year', 'calendar year'],
]
const YEARS: readonly string[] = [
  'per|a|each|every crop|growing year|season',
  'per|a|each|every year|season|annum',
  '/ year|yr|season',
  'in a|one|any year|season',
  'during a|one|any|the year|season',
  'annually|yearly',
]

/** A year, and which one where it is said. */
export function yearAt(tokens: Tokens, at: number): Read<YearPeriod> | undefined {
  for (const [phrase, period] of PERIODS) {
    const to = afterAny(tokens, at, [phrase])
    if (to !== undefined) return { is: period, to }
  }
  const begun = past(tokens, at, ['in|during|within a|any|one', 'per|in|within|any|a'])
  const months = tokens[begun]
  if (begun > at && months?.kind === 'number' && months.value === 12) {
    const month = afterAny(tokens, past(tokens, begun + 1, ['-', 'consecutive']), ['month|months'])
    if (month !== undefined) return { is: 'twelve months', to: past(tokens, month, ['period']) }
  }
  const to = afterAny(tokens, at, YEARS)
  return to === undefined ? undefined : { is: '', to }
}

/** "per application", "in one application", "at one time". */
export const oneGoAt = (tokens: Tokens, at: number): number | undefined => {
  const begun = past(tokens, at, ['per|in|for|each|/|any|at'])
  const one =
    tokens[begun]?.kind === 'number' && tokens[begun]?.value === 1
      ? begun + 1
      : past(tokens, begun, ['a|any|each|single', 'any single'])
  const to = afterAny(tokens, one, ['application|treatment|time|spray'])
  return begun > at && to !== undefined ? to : undefined
}

export interface Times {
  readonly count: number
  readonly row: boolean
}

/** "3 times", "four applications", "twice", "two consecutive applications", "2 applications in a row". */
export function timesAt(tokens: Tokens, at: number): Read<Times> | undefined {
  const once = afterAny(tokens, at, ['once'])
  const twice = afterAny(tokens, at, ['twice'])
  if (once !== undefined) return { is: { count: 1, row: false }, to: once }
  if (twice !== undefined) return { is: { count: 2, row: false }, to: twice }
  const begun = past(tokens, at, ['up to'])
  const number = tokens[begun]
  if (number?.kind !== 'number' || !Number.isInteger(number.value)) return undefined
  const figure = tokens[begun + 1]?.text === '(' && tokens[begun + 3]?.text === ')'
  const after = figure ? begun + 4 : begun + 1
  const sequential = afterAny(tokens, after, ['consecutive|sequential|successive'])
  const to = afterAny(tokens, sequential ?? after, [
    'application|applications|treatment|treatments|time|times|spray|sprays',
  ])
  if (to === undefined) return undefined
  const row = afterAny(tokens, to, ['in a row', 'in sequence|succession', 'consecutively'])
  return {
    is: { count: number.value ?? 0, row: (sequential ?? row) !== undefined },
    to: row ?? to,
  }
}

const REPEAT_WORDS: readonly string[] = [
  'minimum re - treatment|application interval is|:|of',
  'minimum retreatment|reapplication interval is|:|of',
  'retreatment|reapplication interval is|:|of',
  're - treatment interval is|:|of',
  'minimum interval is|:|of',
  'minimum interval between applications|treatments is|:|of',
  'do not reapply|repeat within|for',
  'a second application may|can|should be made',
  'do not re - apply within',
  'allow at least',
  'allow a minimum of',
  'wait at least',
  'repeat applications|application|treatment|treatments',
  'repeat|reapply|retreat|again',
  're - apply|treat',
  'every|each',
  'at|on a|an',
  'at|on',
]
const REPEAT_LINKS: readonly string[] = [
  'as|if needed',
  'if necessary',
  'at intervals of',
  'at|on a|an',
  'in|after|every|at|on|within',
  'at least',
  'a minimum of',
  'interval|intervals of|is|:',
]
const REPEAT_TAILS: readonly string[] = [
  '- schedule|program',
  'schedule|program',
  '- interval|intervals',
  'interval|intervals',
  'between applications|treatments',
  'between',
  'apart',
  'later',
]
const BY_NAME: Readonly<Record<string, number>> = { monthly: 30, weekly: 7, biweekly: 14 }

/**
 * Days between applications. A bare "14 days" is none: something must say that it is repeated or how far
 * apart; mowing, seeding and entry have waits of their own.
 */
export function repeatAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly from: number; readonly to?: number }> | undefined {
  const begun = past(tokens, at, [
    'applied|apply|repeat|reapply',
    'a minimum of',
    'minimum of',
    'at least',
    'no|not less than',
  ])
  const name = BY_NAME[tokens[begun]?.text ?? '']
  if (name !== undefined) return { is: { from: name }, to: begun + 1 }
  const word = afterAny(tokens, at, REPEAT_WORDS)
  let place = word ?? begun
  for (
    let link = afterAny(tokens, place, REPEAT_LINKS);
    link !== undefined;
    link = afterAny(tokens, place, REPEAT_LINKS)
  )
    place = link
  const span = spanAt(tokens, place)
  const unit = span && past(tokens, span.to, ['-'])
  const days = unit === undefined ? undefined : DAYS_IN[tokens[unit]?.text ?? '']
  if (!span || unit === undefined || days === undefined) return undefined
  const tail = afterAny(tokens, unit + 1, REPEAT_TAILS)
  const said = word !== undefined && !['at', 'on'].includes(tokens[at]?.text ?? '')
  if (!said && tail === undefined) return undefined
  const end = past(
    tokens,
    tail ?? unit + 1,
    said ? ['after the|a first|initial|previous|last application|treatment'] : [],
  )
  // "Wait 2 days before mowing" and "repeat" are told apart by what follows.
  if (afterAny(tokens, end, ['before|prior']) !== undefined) return undefined
  return {
    is: { from: span.is.from * days, ...(span.is.to !== undefined && { to: span.is.to * days }) },
    to: end,
  }
}

const CARRIER_WORDS: readonly string[] = [
  'in|with|using a minimum of',
  'in|with|using at least',
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
  'apply in',
]

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
  const unit = span && amountUnitAt(tokens, span.to)
  if (!span || !unit || (unit.is.unit !== 'gal' && unit.is.unit !== 'L')) return undefined
  const water = afterAny(tokens, unit.to, WATER)
  const least =
    begun > at &&
    /minimum|least|less|volume/.test(
      tokens
        .slice(at, begun)
        .map(({ text }) => text)
        .join(' '),
    )
  if (water === undefined && !least) return undefined
  const per = afterAny(tokens, water ?? unit.to, ['per', '/', 'for each|every', 'a', 'over'])
  const ground = per === undefined ? undefined : groundAt(tokens, per)
  const late = ground ? afterAny(tokens, ground.to, WATER) : undefined
  if (!ground && water === undefined) return undefined
  return {
    is: { span: span.is, unit: unit.is, ...(ground && { ground: ground.is }) },
    to: late ?? ground?.to ?? water ?? unit.to,
  }
}

/** Hours after some words: "for 12 hours", "in 30 minutes". */
function hoursAfter(tokens: Tokens, at: number, links: readonly string[]): Read<number> | undefined {
  const span = spanAt(tokens, past(tokens, at, links))
  const hours = span && HOURS_IN[tokens[span.to]?.text ?? '']
  return span && hours !== undefined ? { is: span.is.from * hours, to: span.to + 1 } : undefined
}

const ENTRY: readonly string[] = [
  'do not enter or allow entry|others into treated areas|area',
  'do not re - enter treated areas|area',
  'do not re - enter',
  'do not reenter|enter treated areas|area',
  'do not reenter|enter',
  'restricted - entry interval',
  'restricted entry interval',
  're - entry interval',
  'rei|reentry',
]

/** Nobody goes back before so many hours. */
export function reentryAt(tokens: Tokens, at: number): Read<number> | undefined {
  const to = afterAny(tokens, at, ENTRY)
  return to === undefined
    ? undefined
    : hoursAfter(tokens, past(tokens, to, ['( rei )']), [':', 'of|is|for|until|within'])
}

export function rainfastAt(tokens: Tokens, at: number): Read<number> | undefined {
  const to = afterAny(tokens, at, ['rainfast'])
  return to === undefined ? undefined : hoursAfter(tokens, to, ['in|within|after', ':'])
}

const LENGTHS: Readonly<Record<string, LengthUnit | 'mm'>> = {
  inch: 'in',
  inches: 'in',
  in: 'in',
  '"': 'in',
  '”': 'in',
  '″': 'in',
  mm: 'mm',
  millimetres: 'mm',
  millimeters: 'mm',
  cm: 'cm',
}
const WATER_IN: readonly string[] = [
  'water in with',
  'irrigate|water with',
  'water in',
  'watered in with',
  'apply|with',
]

export interface WaterIn {
  readonly depth?: Quantity<LengthUnit>
  /** Hours. */
  readonly within?: number
}

/** "Water in with 1/2 inch of irrigation within 24 hours"; the least of two depths is what must come. */
export function waterInAt(tokens: Tokens, at: number): Read<WaterIn> | undefined {
  const begun = afterAny(tokens, at, WATER_IN)
  if (begun === undefined) return undefined
  const span = spanAt(tokens, past(tokens, begun, ['at least', 'about']))
  const unit = span && LENGTHS[tokens[span.to]?.text ?? '']
  const measured =
    span && unit
      ? (afterAny(tokens, span.to + 1, ['of water|irrigation|rain|rainfall']) ?? span.to + 1)
      : undefined
  const deep = measured !== undefined && span && unit
  // "Apply 2 inches ..." says nothing of water unless water is named.
  if (deep && tokens[at]?.text === 'apply' && measured === span.to + 1) return undefined
  const place = deep ? measured : begun
  const within = hoursAfter(tokens, afterAny(tokens, place, ['within']) ?? tokens.length, [])
  if (!deep && (!within || tokens[at]?.text === 'apply' || tokens[at]?.text === 'with')) return undefined
  const end = within ? past(tokens, within.to, ['of|after application|treatment']) : place
  return {
    is: {
      ...(deep && {
        depth:
          unit === 'mm' ? { value: span.is.from / 10, unit: 'cm' as const } : { value: span.is.from, unit },
      }),
      ...(within && { within: within.is }),
    },
    to: end,
  }
}

/** "A 40-lb bag covers 5,000 sq ft". */
export function bagAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly amount: number; readonly unit: PrintedUnit; readonly ground: Ground }> | undefined {
  const counted =
    tokens[at]?.kind === 'number' && tokens[at]?.value === 1 && tokens[at + 1]?.kind === 'number'
  const begun = counted ? at + 1 : past(tokens, at, ['a|an|the|this|each|one'])
  const span = spanAt(tokens, begun)
  const unit = span && amountUnitAt(tokens, span.to)
  if (!span || !unit) return undefined
  const bag = past(tokens, past(tokens, unit.to, ['-']), ['bag|bottle|jug|box|package|container|pail'])
  const covers = afterAny(tokens, bag, [
    'covers|treats|feeds|does up to',
    'covers|treats|feeds|does about',
    'covers|treats|feeds|does',
    'will cover|treat',
  ])
  const ground = covers === undefined ? undefined : groundAt(tokens, covers)
  return ground
    ? { is: { amount: span.is.from, unit: unit.is, ground: ground.is }, to: ground.to }
    : undefined
}

const GRASS_WORDS: readonly (readonly [phrase: string, grass: GrassName])[] = [
  ...GRASS_NAMES.map((name) => [name.toLowerCase(), name] as const),
  ['bermudagrass', 'bermuda'],
  ['bermuda grass', 'bermuda'],
  ['zoysiagrass', 'zoysia'],
  ['centipedegrass', 'centipede'],
  ['st . augustine', 'St Augustine'],
  ['st augustinegrass', 'St Augustine'],
  ['bentgrass', 'creeping bentgrass'],
  ['bahiagrass', 'bahia'],
  ['buffalo grass', 'buffalograss'],
]

export function grassAt(tokens: Tokens, at: number): Read<GrassName> | undefined {
  for (const [phrase, grass] of GRASS_WORDS) {
    const to = afterAny(tokens, at, [phrase])
    if (to !== undefined) return { is: grass, to }
  }
  return undefined
}

const TARGET_WORDS: readonly string[] = [
  'for preventive|curative|preventative control of',
  'for the control of',
  'for control of',
  'for suppression of',
  'to control|suppress|prevent',
  'for',
]
/** What follows "for" and is no pest. */
const NO_TARGETS = new Set(
  (
    'best each every use a the application applications all at up this turf lawns lawn broadcast spot note ' +
    'caution warning danger directions important maximum minimum interval rates timing method volume ' +
    'coverage uniform thorough optimum optimal better longer extended residual control results'
  ).split(' '),
)
const LONGEST_TARGET = 4

/** "For control of dollar spot"; as far as the sentence or the next thing to do. */
export function targetAt(tokens: Tokens, at: number): Read<string> | undefined {
  const begun = afterAny(tokens, at, TARGET_WORDS)
  return begun === undefined ? undefined : namedAt(tokens, begun, [',', '.', ';', ':', '('])
}

/** "Dollar spot:" at the head of a sentence. */
export function headingAt(tokens: Tokens, at: number): Read<string> | undefined {
  const named = namedAt(tokens, at, [':'])
  return named && tokens[named.to]?.text === ':' ? { is: named.is, to: named.to + 1 } : undefined
}

const VERBS = new Set(['apply', 'use', 'spray', 'mix', 'make', 'do', 'repeat', 'rate', 'rates', 'spread'])

function namedAt(tokens: Tokens, at: number, ends: readonly string[]): Read<string> | undefined {
  const words: string[] = []
  let to = at
  for (; to < tokens.length && words.length <= LONGEST_TARGET; to++) {
    const token = tokens[to]!
    if (ends.includes(token.text) || VERBS.has(token.text)) break
    if (
      token.kind !== 'word' ||
      afterWord(tokens, to, 'and', 'or', 'in', 'on', 'within', 'after') !== undefined
    ) {
      if (token.kind === 'word' && ends.length > 1) break
      return undefined
    }
    words.push(token.text)
  }
  if (words.length === 0 || words.length > LONGEST_TARGET || NO_TARGETS.has(words[0]!)) return undefined
  return { is: words.join(' '), to }
}
