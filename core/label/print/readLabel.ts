import type { Quantity } from '../../quantity/quantity'
import { rateUnitParts } from '../../quantity/rateUnit'
import type { AmountUnit, AreaUnit, RateUnit } from '../../quantity/units'
import type { PrintedAsk, PrintedLine, PrintedRest, Places, ReadLabel } from './labelLine'
import { rateAt, type PrintedRate, type Tokens } from './phrases'
import { carrierIn, rateIn } from './printedUnits'
import {
  bagAt,
  capAt,
  carrierAt,
  grassAt,
  headingAt,
  oneGoAt,
  rainfastAt,
  reentryAt,
  repeatAt,
  targetAt,
  timesAt,
  waterInAt,
  yearAt,
  type Carrier,
} from './statements'
import { tokensOf, type Token } from './tokens'

/** Whether the label is of something dry or of something poured. */
export type PrintedForm = 'dry' | 'liquid'

type Fields = Partial<Omit<PrintedLine, 'from' | 'basis'>> & { readonly basis?: PrintedLine['basis'] }

/** A line while it is being read: what it says, and which tokens say it. */
interface OpenLine {
  fields: Fields
  readonly tokens: Set<number>
}

/** Something that means nothing until what follows it is read. */
interface Waiting<Of> {
  readonly is: Of
  readonly tokens: readonly number[]
}

/** What is carried from one part of a text to the next. */
interface Reading {
  readonly form: PrintedForm
  readonly lines: OpenLine[]
  readonly asks: { readonly question: string; readonly tokens: readonly number[] }[]
  /** What was said of a rate before it came. */
  ahead: OpenLine
  /** The line that the sentence in hand has begun. */
  own: OpenLine | undefined
  /** What was just said to be a most. */
  cap: Waiting<'one' | 'year'> | undefined
  /** A number of applications whose year is still to come. */
  times: Waiting<number> | undefined
}

/** Words that say nothing of their own beside what was understood. */
const FILLER = new Set(
  (
    'apply applied application applications use used using at a an the rate rates of ' +
    'this product and as or is are be in with per make made mix allow spread broadcast ' +
    'to turf treat turfgrass should may by spray on total if ( ) : , - / . ; * •'
  ).split(' '),
)

/**
 * Reads directions as a label prints them: rates with what limits them, each with the places of its words.
 * What could be read two ways is asked, and what was not understood is shown; nothing is dropped.
 * Source: trade.md 5, rate lines.
 */
export function readLabel(text: string, form: PrintedForm): ReadLabel {
  const reading: Reading = {
    form,
    lines: [],
    asks: [],
    ahead: emptyLine(),
    own: undefined,
    cap: undefined,
    times: undefined,
  }
  const all = tokensOf(text)
  const rest: (readonly number[])[] = []
  for (const [from, to] of sentencesOf(text, all)) rest.push(...readSentence(reading, all.slice(0, to), from))
  if (reading.ahead.tokens.size > 0) begin(reading, {})
  return {
    lines: reading.lines.map(({ fields, tokens }) => ({
      basis: 'product',
      ...fields,
      from: placesOf([...tokens], all),
    })),
    asks: reading.asks.map(({ question, tokens }): PrintedAsk => ({
      text: sliceOf(text, tokens, all),
      question,
      from: placesOf(tokens, all),
    })),
    notUnderstood: rest.map((tokens): PrintedRest => ({
      text: sliceOf(text, tokens, all),
      from: placesOf(tokens, all),
    })),
  }
}

const emptyLine = (): OpenLine => ({ fields: {}, tokens: new Set() })

/** Sentences as pairs of token places; a stop ends one unless it belongs to a number or an abbreviation. */
function sentencesOf(text: string, tokens: Tokens): readonly (readonly [number, number])[] {
  const ends: number[] = []
  tokens.forEach((token, i) => {
    const next = tokens[i + 1]
    // A pasted text breaks its lines anywhere: only what begins anew is a sentence of its own.
    const broken =
      (next?.capital ?? next?.text === '•') &&
      text.slice(token.end, next?.start).includes('\n') &&
      !FILLER.has(token.text)
    const stop = token.text === '.' && (!next || next.capital || next.kind === 'number' || next.text === '•')
    const abbreviated =
      stop && next?.kind === 'number' && /^(?:no|max|min|approx)$/.test(tokens[i - 1]?.text ?? '')
    if (token.text === ';' || broken || (stop && !abbreviated)) ends.push(i + 1)
  })
  if (ends.at(-1) !== tokens.length) ends.push(tokens.length)
  return ends.map((end, i) => [ends[i - 1] ?? 0, end] as const)
}

/** Reads one sentence; what it says is added to the reading. @returns runs of tokens not understood */
function readSentence(reading: Reading, tokens: Tokens, begun: number): readonly (readonly number[])[] {
  const used = new Set<number>()
  const asksBefore = reading.asks.length
  reading.own = undefined
  reading.cap = undefined
  reading.times = undefined
  for (let at = begun; at < tokens.length;) {
    const to = statement(reading, tokens, at, begun)
    for (let i = at; i < (to ?? at); i++) used.add(i)
    at = to ?? at + 1
  }
  // What still waits for its other half was not understood.
  for (const i of stillWaiting(reading)) used.delete(i)
  const asked = new Set(reading.asks.slice(asksBefore).flatMap((ask) => ask.tokens))
  const silent = used.size === 0
  const line = reading.own ?? reading.lines.at(-1) ?? reading.ahead
  const open = range(begun, tokens.length).filter((i) => !used.has(i) && !asked.has(i))
  const known = (i: number) => !silent && FILLER.has(tokens[i]!.text)
  const rest: number[] = []
  // Small words go with what follows them: "in spring" is one thing that was not understood.
  for (const i of open.toReversed()) {
    const joins = tokens[i]!.kind === 'word' && rest.at(-1) === i + 1 && tokens[i + 1]!.kind !== 'mark'
    if (known(i) && !joins) line.tokens.add(i)
    else rest.push(i)
  }
  return runsOf(rest.toReversed(), tokens)
}

const stillWaiting = ({ cap: most, times: count }: Reading): readonly number[] => [
  ...taken(most),
  ...taken(count),
]

const range = (from: number, to: number): readonly number[] =>
  Array.from({ length: to - from }, (_, i) => from + i)

/** Tokens that follow each other, without marks at their ends; small words between them go with them. */
function runsOf(places: readonly number[], tokens: Tokens): readonly (readonly number[])[] {
  const runs: number[][] = []
  for (const place of places) {
    const last = runs.at(-1)
    if (last && place - last.at(-1)! === 1) last.push(place)
    else runs.push([place])
  }
  return runs
    .map((run) => trimmed(run, tokens))
    .filter((run) => run.some((place) => tokens[place]!.kind !== 'mark'))
}

function trimmed(run: readonly number[], tokens: Tokens): readonly number[] {
  const first = run.findIndex((place) => tokens[place]!.kind !== 'mark')
  const last = run.findLastIndex((place) => tokens[place]!.kind !== 'mark')
  return first < 0 ? [] : run.slice(first, last + 1)
}

/** Puts fields on the line they belong to: the one before, or the first that comes. */
function put(reading: Reading, fields: Fields, places: readonly number[]): void {
  const fresh = reading.lines.length === 0 || (!reading.own && reading.ahead.tokens.size > 0)
  const line = fresh ? begin(reading, {}) : reading.lines.at(-1)!
  line.fields = { ...line.fields, ...fields }
  for (const i of places) line.tokens.add(i)
}

function begin(reading: Reading, fields: Fields): OpenLine {
  const line = { fields: { ...reading.ahead.fields, ...fields }, tokens: new Set(reading.ahead.tokens) }
  reading.lines.push(line)
  reading.own = line
  reading.ahead = emptyLine()
  return line
}

/** The first statement that stands at a place. @returns the place after it; undefined where none does */
function statement(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  return (
    simple(reading, tokens, at) ??
    topic(reading, tokens, at, begun) ??
    carrier(reading, tokens, at) ??
    cap(reading, tokens, at) ??
    times(reading, tokens, at) ??
    rate(reading, tokens, at, begun) ??
    period(reading, tokens, at)
  )
}

/** What a rate is for: pests at the head of a sentence or after "for", grasses wherever they stand. */
function topic(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  // "Not for bentgrass" is no use of the product.
  if (tokens.slice(begun, at).some(({ text }) => EXCLUDES.has(text))) return undefined
  const grass = grassAt(tokens, tokens[at]?.text === 'on' ? at + 1 : at)
  if (grass) {
    const line = topicLine(reading)
    line.fields = { ...line.fields, grasses: [...(line.fields.grasses ?? []), grass.is] }
    for (let i = at; i < grass.to; i++) line.tokens.add(i)
    return grass.to
  }
  const named = (at === begun ? headingAt(tokens, at) : undefined) ?? targetAt(tokens, at)
  if (!named) return undefined
  const line = topicLine(reading)
  if (line.fields.target !== undefined) return undefined
  line.fields = { ...line.fields, target: named.is }
  for (let i = at; i < named.to; i++) line.tokens.add(i)
  return named.to
}

/** Before its rate a pest or a grass waits for it; after it, it belongs to it. */
const topicLine = (reading: Reading): OpenLine => reading.own ?? reading.ahead

function simple(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const entry = reentryAt(tokens, at)
  if (entry) return said(reading, { reentry: entry.is }, at, entry.to)
  const rain = rainfastAt(tokens, at)
  if (rain) return said(reading, { rainfast: rain.is }, at, rain.to)
  const bag = bagAt(tokens, at)
  if (bag && bag.is.unit.unit !== '%') return bagSaid(reading, bag.is, bag.is.unit.unit, at, bag.to)
  const water = waterInAt(tokens, at)
  if (water) {
    const { depth, within } = water.is
    const fields = {
      ...(depth && { waterDepth: depth }),
      ...(within !== undefined && { waterWithin: within }),
    }
    return said(reading, fields, at, water.to)
  }
  const repeat = repeatAt(tokens, at)
  if (!repeat) return undefined
  const { from, to } = repeat.is
  return said(reading, { repeatFrom: from, ...(to !== undefined && { repeatTo: to }) }, at, repeat.to)
}

function said(reading: Reading, fields: Fields, at: number, to: number): number {
  put(reading, fields, range(at, to))
  return to
}

function bagSaid(
  reading: Reading,
  {
    amount,
    ground,
  }: { readonly amount: number; readonly ground: { readonly unit: AreaUnit; readonly count: number } },
  unit: AmountUnit,
  at: number,
  to: number,
): number {
  const area = { value: ground.count, unit: ground.unit }
  return said(reading, { bagCovers: { amount: { value: amount, unit }, area } }, at, to)
}

function carrier(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const read = carrierAt(tokens, at)
  return read && carrierSaid(reading, read.is, range(at, read.to), read.to)
}

/** The ground of the rate beside it, where the carrier names none of its own. */
function groundOf(reading: Reading): { readonly unit: AreaUnit; readonly count: number } | undefined {
  const { rate, low } = reading.lines.at(-1)?.fields ?? {}
  const unit = (rate ?? low)?.unit
  if (!unit || rateUnitParts(unit).per !== 'area') return undefined
  const area = unit.slice(unit.indexOf('/') + 1)
  return /^\d/.test(area)
    ? { unit: area.replace(/^\d+ /, '') as AreaUnit, count: Number(area.split(' ')[0]) }
    : { unit: area as AreaUnit, count: 1 }
}

function carrierSaid(
  reading: Reading,
  { span, unit, ground = groundOf(reading) }: Carrier,
  places: readonly number[],
  to: number,
): number | undefined {
  if (!ground || unit.unit === '%') return undefined
  const amount = unit.unit
  const told = (value: number) => carrierIn(value, amount, { of: 'area', ...ground })
  put(
    reading,
    { carrierFrom: told(span.from), ...(span.to !== undefined && { carrierTo: told(span.to) }) },
    places,
  )
  return to
}

/** "Do not exceed": what follows is a most. */
function cap(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const read = capAt(tokens, at)
  if (!read) return undefined
  reading.cap = { is: read.is, tokens: [...(reading.cap?.tokens ?? []), ...range(at, read.to)] }
  return read.to
}

const taken = (waiting: Waiting<unknown> | undefined): readonly number[] => waiting?.tokens ?? []

/** How often: in a row, in a year, or of a rate whose year is still to come. */
function times(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const read = timesAt(tokens, at)
  if (!read) return undefined
  const places = [...taken(reading.cap), ...range(at, read.to)]
  if (read.is.row) {
    put(reading, { inARow: read.is.count }, places)
    reading.cap = undefined
    return read.to
  }
  const year = yearAt(tokens, read.to)
  if (year ?? reading.cap?.is === 'year') {
    const to = year?.to ?? read.to
    const period = year?.is ? { period: year.is } : {}
    put(reading, { timesPerYear: read.is.count, ...period }, [...places, ...range(read.to, to)])
    reading.cap = undefined
    return to
  }
  if (tokens[read.to]?.text !== 'of') return undefined
  reading.times = { is: read.is.count, tokens: [...places, read.to] }
  reading.cap = undefined
  return read.to + 1
}

/** A year by itself is that of the applications counted before it. */
function period(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const year = reading.times && yearAt(tokens, at)
  if (!reading.times || !year) return undefined
  const fields = { timesPerYear: reading.times.is, ...(year.is && { period: year.is }) }
  put(reading, fields, [...reading.times.tokens, ...range(at, year.to)])
  reading.times = undefined
  return year.to
}

const QUESTIONS = {
  comma: 'Is the comma a decimal point, or does it part thousands? Write it without a comma.',
  ounce: 'Ounces by weight, or fluid ounces?',
  ground: 'On what ground: per 1,000 sq ft, per acre, per 100 m2 or per hectare?',
  two: 'These two rates are not the same: which of them holds?',
} as const

/** A rate, or a most where one was announced. */
function rate(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  const upTo = tokens[at]?.text === 'up' && tokens[at + 1]?.text === 'to'
  const read = rateAt(tokens, upTo ? at + 2 : at)
  if (!read) return undefined
  const { span, unit, basis } = read.is
  const own = tokens[at - 1]?.text
  const year = reading.times ? undefined : yearAt(tokens, read.to)
  const go = year ? undefined : oneGoAt(tokens, read.to)
  const to = year?.to ?? go ?? read.to
  const places = [...taken(reading.cap), ...range(at, to)]
  const ask = (question: keyof typeof QUESTIONS, of = places): number => {
    reading.asks.push({ question: QUESTIONS[question], tokens: of })
    reading.cap = undefined
    return to
  }
  if (!read.is.per) {
    const water = reading.cap ? undefined : carrierAt(tokens, read.to)
    if (water?.is.ground && !span.doubtful && !(unit.bare && reading.form === 'liquid')) {
      rateSaid(reading, { ...read.is, per: { of: 'area', ...water.is.ground } }, range(at, read.to), upTo)
      return carrierSaid(reading, water.is, range(read.to, water.to), water.to)
    }
    return reading.cap && (year ?? reading.cap.is === 'year') ? ask('ground') : undefined
  }
  if (span.doubtful) return ask('comma')
  if (unit.bare && reading.form === 'liquid') return ask('ounce')
  const limit =
    reading.cap?.is === 'year' || year ? 'mostPerYear' : reading.cap ? 'mostPerApplication' : undefined
  if (limit) {
    const figure = rateIn(span.to ?? span.from, unit.unit, read.is.per)
    if (!figure) return undefined
    put(reading, { [limit]: { rate: figure, basis }, ...(year?.is && { period: year.is }) }, places)
    reading.cap = undefined
    return to
  }
  const before = tokens.slice(begun, at).map(({ text }) => text)
  if (before.some((word) => FORBIDS.has(word))) return undefined
  if (before.some((word) => TELLS_AGAIN.has(word)) && reading.own) return said(reading, {}, at, to)
  // So much water is never a product: "enough for coverage, 2 to 4 gallons per 1,000 sq ft".
  if (/^(?:gal|L)$/.test(unit.unit) && before.some((word) => WATERY.has(word))) return undefined
  if (own === '(' || own === 'or') {
    const same =
      basis === (reading.lines.at(-1)?.fields.basis ?? 'product') ? isSame(reading, read.is) : 'same'
    if (same === 'same') return said(reading, {}, at, to)
    if (same === 'other' && own === '(') return ask('two')
  }
  return rateSaid(reading, read.is, places, upTo) ? to : undefined
}

/** A rate after these is no rate to apply. */
const FORBIDS = new Set('not never exceed exceeding exceeds above below than under avoid unless'.split(' '))
const EXCLUDES = new Set('not never avoid except injure injury harm damage'.split(' '))
/** What comes after these says the same rate in another measure. */
const TELLS_AGAIN = new Set(
  'supplies supply supplying provides provide delivers equals equivalent i.e'.split(' '),
)
const WATERY = new Set('water spray solution coverage volume carrier irrigation'.split(' '))

/** How near two ways of printing one rate must be, as labels round them. */
const ROUNDED = 0.03

/** Whether a rate says again, in another unit, what the line in hand already says. */
function isSame(reading: Reading, { span, unit, per }: PrintedRate): 'same' | 'other' | 'none' {
  const { rate: known, low, high } = reading.lines.at(-1)?.fields ?? {}
  const first = known ?? low
  const again = per && rateIn(span.from, unit.unit, per)
  if (!first || !again) return 'none'
  const near = (a: Quantity<RateUnit>, b: Quantity<RateUnit>): boolean => {
    const [one, other] = [rateUnitParts(a.unit), rateUnitParts(b.unit)]
    return (
      one.per === other.per &&
      one.dimension === other.dimension &&
      Math.abs((a.value * one.factor) / (b.value * other.factor) - 1) <= ROUNDED
    )
  }
  const upper = span.to === undefined || !per ? undefined : rateIn(span.to, unit.unit, per)
  return near(again, first) && (!upper || !high || near(upper, high)) ? 'same' : 'other'
}

/** A rate begins a line of its own, unless the line in hand has none yet. */
function rateSaid(
  reading: Reading,
  { span, unit, basis, per }: PrintedRate,
  places: readonly number[],
  upTo: boolean,
): boolean {
  const figure = (value: number) => (per ? rateIn(value, unit.unit, per) : undefined)
  const [from, to] = [figure(span.from), span.to === undefined ? undefined : figure(span.to)]
  if (!from) return false
  const rated = upTo ? { high: from } : to ? { low: from, high: to } : { rate: from }
  const last = reading.lines.at(-1)
  const has = last && (last.fields.rate ?? last.fields.low ?? last.fields.high)
  const line = !last || has || reading.ahead.tokens.size > 0 ? begin(reading, {}) : last
  line.fields = { ...line.fields, ...rated, ...(basis !== 'product' && { basis }) }
  for (const i of places) line.tokens.add(i)
  reading.own = line
  return true
}

/** Places of tokens in the text, neighbours together. */
function placesOf(tokens: readonly number[], all: readonly Token[]): Places {
  const places: [number, number][] = []
  let before = -2
  for (const i of [...new Set(tokens)].toSorted((a, b) => a - b)) {
    const { start, end } = all[i]!
    const last = places.at(-1)
    if (last && i === before + 1) last[1] = end
    else places.push([start, end])
    before = i
  }
  return places
}

function sliceOf(text: string, tokens: readonly number[], all: readonly Token[]): string {
  const sorted = tokens.toSorted((a, b) => a - b)
  const [first, last] = [all[sorted[0] ?? 0], all[sorted.at(-1) ?? 0]]
  return first && last ? text.slice(first.start, last.end) : ''
}
