import type { YearPeriod } from '../productDocument'
import { afterAny, past, type Read, type Tokens } from './phrases'

/** A cap begins: what follows is a most, of one application unless a year is said. */
const CAPS: readonly string[] = [
  'do not exceed a total of',
  'do not exceed',
  'do not apply|use|make more than a total of',
  'do not apply|use|make more than',
  'do not apply|use over',
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
  'limit to|:',
  'limit',
]
const YEARLY_CAPS: readonly string[] = [
  'total annual|yearly|seasonal use|rate|amount may|must|should not exceed',
  'maximum|max annual|yearly|seasonal application|use rate|amount',
  'maximum|max annual|yearly|seasonal rate|amount|total|use',
  'maximum|max annual|yearly|seasonal',
  'annual|yearly|seasonal maximum|max|limit|total',
  'maximum|max use|application rate|amount per year|season',
  'maximum|max rate|amount|total per year|season',
  'maximum|max per year|season',
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
  const span = spanOfTimeAt(tokens, at)
  if (span && YEAR_LONG[span.is.unit] === span.is.count) return { is: 'twelve months', to: span.to }
  const to = afterAny(tokens, at, YEARS)
  return to === undefined ? undefined : { is: '', to }
}

const YEAR_LONG: Readonly<Record<string, number>> = { day: 365, week: 52, month: 12 }

/** "in any 30-day period", "/12 months". */
function spanOfTimeAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly count: number; readonly unit: string }> | undefined {
  const begun = past(tokens, at, ['in|during|within a|any|one', 'per|in|within|any|a|/'])
  const number = tokens[begun]
  if (begun === at || number?.kind !== 'number') return undefined
  const named = past(tokens, begun + 1, ['-', 'consecutive'])
  const unit = /^(day|week|month)s?$/.exec(tokens[named]?.text ?? '')?.[1]
  const to = unit && past(tokens, past(tokens, named + 1, ['-']), ['period'])
  return to ? { is: { count: number.value ?? 0, unit }, to } : undefined
}

/** A stretch of time that is neither one application nor a year: a most within it is for people to keep. */
export const isOtherPeriod = (tokens: Tokens, at: number): boolean =>
  yearAt(tokens, at) === undefined && spanOfTimeAt(tokens, at) !== undefined

/** "per application", "in one application", "at one time". */
export const oneGoAt = (tokens: Tokens, at: number): number | undefined => {
  const begun = past(tokens, at, ['per|in|for|each|/|any|at'])
  const one =
    tokens[begun]?.kind === 'number' && tokens[begun]?.value === 1
      ? begun + 1
      : past(tokens, begun, ['a|any|each|single', 'any single'])
  const to = afterAny(tokens, one, ['application|appl|app|treatment|time|spray'])
  return begun > at && to !== undefined ? to : undefined
}

export interface Times {
  readonly count: number
  readonly row: boolean
}

const IN_A_ROW: readonly string[] = ['in a row', 'in sequence|succession', 'consecutively']

/** "3 times", "four applications", "twice", "two consecutive applications", "2 applications in a row". */
export function timesAt(tokens: Tokens, at: number): Read<Times> | undefined {
  const worded = afterAny(tokens, at, ['once|twice'])
  if (worded !== undefined) {
    const row = afterAny(tokens, worded, IN_A_ROW)
    const count = tokens[at]?.text === 'once' ? 1 : 2
    return { is: { count, row: row !== undefined }, to: row ?? worded }
  }
  const started = past(tokens, at, ['up to'])
  // Of "two to three" the most is what is allowed.
  const joined = tokens[started]?.kind === 'number' ? afterAny(tokens, started + 1, ['to|or|-']) : undefined
  const begun = joined !== undefined && tokens[joined]?.kind === 'number' ? joined : started
  const number = tokens[begun]
  if (number?.kind !== 'number' || !Number.isInteger(number.value)) return undefined
  const figure = tokens[begun + 1]?.text === '(' && tokens[begun + 3]?.text === ')'
  const after = figure ? begun + 4 : begun + 1
  const sequential = afterAny(tokens, after, ['consecutive|sequential|successive', 'back - to - back'])
  const kind = past(tokens, sequential ?? after, ['broadcast|foliar|total|separate'])
  const named = afterAny(tokens, kind, [
    'application|applications|app|apps|treatment|treatments|time|times|spray|sprays',
  ])
  const row = afterAny(tokens, named ?? kind, IN_A_ROW)
  const to = named ?? row
  if (to === undefined) return undefined
  return {
    is: { count: number.value ?? 0, row: (sequential ?? row) !== undefined },
    to: row ?? to,
  }
}

const COUNTED: readonly string[] = [
  'maximum|max number of applications|treatments',
  'maximum|max applications|treatments',
  'number of applications|treatments',
]

/** "Maximum number of applications per year: 4"; a year must be said before the figure or after it. */
export function countedAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly count: number; readonly period: YearPeriod }> | undefined {
  const words = afterAny(tokens, at, COUNTED)
  if (words === undefined) return undefined
  const before = yearAt(tokens, words)
  const place = past(tokens, before?.to ?? words, [':', 'is', '='])
  const number = tokens[place]
  if (number?.kind !== 'number' || !Number.isInteger(number.value)) return undefined
  const year = before ?? yearAt(tokens, place + 1)
  return year && { is: { count: number.value ?? 0, period: year.is }, to: before ? place + 1 : year.to }
}
