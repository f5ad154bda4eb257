import type { Quantity } from '../../quantity/quantity'
import { rateUnitParts } from '../../quantity/rateUnit'
import type { RateUnit } from '../../quantity/units'
import type { YearPeriod } from '../productDocument'
import { ask, isEitherOunce } from './asks'
import { carrierAt } from './carriers'
import { carrierSaid } from './carrierStatement'
import { isOtherPeriod, oneGoAt, yearAt } from './limits'
import { partnerOf } from './partners'
import { afterAny, bracketAt, groundAt, rateAt, type PrintedRate, type Read, type Tokens } from './phrases'
import { carrierIn, rateIn } from './printedUnits'
import { begin, put, said, taken, type Reading } from './reading'
import { range } from './sentences'
import { isShareOf } from './shares'
import type { Ground } from './units'

/** A rate after these is no rate to apply. */
const FORBIDS = new Set('not never exceed exceeding exceeds above below than under avoid unless'.split(' '))
/** What comes after these says the same rate in another measure. */
const TELLS_AGAIN = new Set(
  'supplies supply supplying provides provide delivers equals equivalent i.e'.split(' '),
)
const WATERY = new Set('water spray solution coverage volume carrier irrigation'.split(' '))

/** A rate as it stands in its sentence. */
interface RateRead {
  readonly rate: PrintedRate
  /** "Up to": it is a highest rate. */
  readonly upTo: boolean
  /** Where it begins, and where its own words end. */
  readonly at: number
  readonly end: number
  readonly year: Read<YearPeriod> | undefined
  /** The place after it and its year or application. */
  readonly to: number
  /** Brackets between it and its year say another rate. */
  readonly isTwo: boolean
  /** Tokens of it and of the cap before it. */
  readonly places: readonly number[]
}

function rateRead(reading: Reading, tokens: Tokens, at: number): RateRead | undefined {
  const upTo = tokens[at]?.text === 'up' && tokens[at + 1]?.text === 'to'
  const read = rateAt(tokens, upTo ? at + 2 : at)
  if (!read) return undefined
  // "6 fl oz/1,000 sq ft (2 gal/A) per calendar year": said again, the year still belongs to it.
  const bracket = bracketAt(tokens, read.to)
  const said = bracket?.to ?? read.to
  const year = reading.times ? undefined : (yearAt(tokens, read.to) ?? yearAt(tokens, said))
  const to = year?.to ?? oneGoAt(tokens, read.to) ?? oneGoAt(tokens, said) ?? read.to
  return {
    rate: read.is,
    upTo,
    at,
    end: read.to,
    year,
    to,
    isTwo: bracket !== undefined && to > said && contradict(read.is, bracket.is),
    places: [...taken(reading.cap), ...range(at, to)],
  }
}

/** A rate, or a most where one was announced. */
export function rate(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  const read = rateRead(reading, tokens, at)
  if (!read) return undefined
  const { span, unit, per } = read.rate
  if (!per) return withoutGround(reading, tokens, read)
  // "0.69 % prodiamine: ..." at the head of something dry is what it holds.
  if (per.of === 'percent' && reading.form === 'dry' && at === begun) return undefined
  if (
    read.rate.basis === 'product' &&
    isShareOf(tokens, read.end, per.of === 'percent' ? 'percent' : 'amount')
  )
    return undefined
  const partner = partnerOf(tokens, read, begun)
  if (partner)
    return ask(
      reading,
      [...partner, ...range(at, read.to)],
      Math.max(read.to, partner.at(-1)! + 1),
      'partner',
    )
  if (span.doubtful) return ask(reading, read.places, read.to, 'comma')
  if (isEitherOunce(reading, unit)) return ask(reading, read.places, read.to, 'ounce')
  if (read.isTwo) return ask(reading, read.places, read.to, 'two')
  if (reading.cap?.is === 'one' && isOtherPeriod(tokens, read.to)) return undefined
  if (reading.cap || read.year) return limit(reading, read, per)
  const before = tokens.slice(begun, at).map(({ text }) => text)
  if (before.some((word) => FORBIDS.has(word))) return undefined
  if (before.some((word) => TELLS_AGAIN.has(word)))
    return reading.lines.length > 0 ? said(reading, {}, at, read.to) : undefined
  if (per.of === 'area' && isSprayOf(reading, read.rate, per))
    return carrierSaid(reading, { span, unit, ground: per }, range(at, read.end), read.end)
  // So much water is never a product: "enough for coverage, 2 to 4 gallons per 1,000 sq ft".
  if (/^(?:gal|L)$/.test(unit.unit) && before.some((word) => WATERY.has(word))) return undefined
  return again(reading, read, before.at(-1)) ?? (rateSaid(reading, read) ? read.to : undefined)
}

/** Behind a dilution so much on the ground is the spray: "6 mL per litre; apply 10 litres per 100 m2". */
function isSprayOf(reading: Reading, { span, unit }: PrintedRate, per: Ground): boolean {
  const { rate: known, low } = reading.lines.at(-1)?.fields ?? {}
  const diluted = (known ?? low)?.unit
  if (!diluted || rateUnitParts(diluted).per === 'area' || (unit.unit !== 'gal' && unit.unit !== 'L'))
    return false
  const { value, unit: told } = carrierIn(span.from, unit.unit, { of: 'area', ...per })
  return value * rateUnitParts(told).factor >= LEAST_SPRAY
}
/** m3 on each m2: 100 L/ha. */
const LEAST_SPRAY = 1e-5

/** An amount alone: its ground may follow with its water; a most of a year must have one. */
function withoutGround(reading: Reading, tokens: Tokens, read: RateRead): number | undefined {
  if (reading.cap) {
    const per = read.year && afterAny(tokens, read.year.to, ['per', '/', 'on'])
    const ground = per === undefined ? undefined : groundAt(tokens, per)
    if (ground && !read.rate.span.doubtful && !isEitherOunce(reading, read.rate.unit))
      return limit(
        reading,
        { ...read, to: ground.to, places: [...taken(reading.cap), ...range(read.at, ground.to)] },
        { of: 'area', ...ground.is },
      )
    return read.year || reading.cap.is === 'year' ? ask(reading, read.places, read.to, 'ground') : undefined
  }
  const water = carrierAt(tokens, read.end)
  if (!water?.is.ground || read.rate.span.doubtful || isEitherOunce(reading, read.rate.unit)) return undefined
  rateSaid(reading, {
    ...read,
    rate: { ...read.rate, per: { of: 'area', ...water.is.ground } },
    places: range(read.at, read.end),
  })
  return carrierSaid(reading, water.is, range(read.end, water.to), water.to)
}

/** A most, in one application or in a year. */
function limit(reading: Reading, read: RateRead, per: NonNullable<PrintedRate['per']>): number | undefined {
  const { span, unit, basis } = read.rate
  const figure = rateIn(span.to ?? span.from, unit.unit, per)
  if (!figure) return undefined
  const most = { rate: figure, basis }
  put(
    reading,
    reading.cap?.is === 'year' || read.year
      ? { mostPerYear: most, ...(read.year?.is && { period: read.year.is }) }
      : { mostPerApplication: most },
    read.places,
  )
  reading.cap = undefined
  return read.to
}

/** "(174 lb/acre)" behind a rate: the same said again, or a contradiction; undefined where it is neither. */
function again(reading: Reading, read: RateRead, word: string | undefined): number | undefined {
  if (word !== '(' && word !== 'or' && word !== '=') return undefined
  const counted = reading.lines.at(-1)?.fields.basis ?? 'product'
  // A nutrient beside the product's own rate can't be held against it here.
  const same = read.rate.basis === counted ? isSame(reading, read.rate) : 'same'
  if (same === 'same') return said(reading, {}, read.at, read.to)
  return same === 'other' && word === '(' ? ask(reading, read.places, read.to, 'two') : undefined
}

/** How near two ways of printing one rate must be, as labels round them. */
const ROUNDED = 0.03

function isNear(a: Quantity<RateUnit>, b: Quantity<RateUnit>): boolean {
  const [one, other] = [rateUnitParts(a.unit), rateUnitParts(b.unit)]
  return (
    one.per === other.per &&
    one.dimension === other.dimension &&
    Math.abs((a.value * one.factor) / (b.value * other.factor) - 1) <= ROUNDED
  )
}

/** Two ways of printing one rate that are not the same; of a nutrient and of product nobody can tell here. */
function contradict(one: PrintedRate, other: PrintedRate): boolean {
  const [a, b] = [one, other].map(({ span, unit, per }) => per && rateIn(span.from, unit.unit, per))
  return one.basis === other.basis && a !== undefined && b !== undefined && !isNear(a, b)
}

/** Whether a rate says again, in another unit, what the line in hand already says. */
function isSame(reading: Reading, { span, unit, per }: PrintedRate): 'same' | 'other' | 'none' {
  const { rate: known, low, high } = reading.lines.at(-1)?.fields ?? {}
  const first = known ?? low
  const again = per && rateIn(span.from, unit.unit, per)
  if (!first || !again) return 'none'
  const upper = span.to === undefined || !per ? undefined : rateIn(span.to, unit.unit, per)
  return isNear(again, first) && (!upper || !high || isNear(upper, high)) ? 'same' : 'other'
}

/** A rate begins a line of its own, unless the line in hand has none yet. */
function rateSaid(
  reading: Reading,
  { rate: { span, unit, basis, per }, upTo, places }: Pick<RateRead, 'rate' | 'upTo' | 'places'>,
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
