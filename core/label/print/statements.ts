import type { AmountUnit, AreaUnit } from '../../quantity/units'
import { ask, isEitherOunce } from './asks'
import { bagAt } from './carriers'
import { carrier } from './carrierStatement'
import { cap, period, times } from './limitStatements'
import { past, rateAt, type Tokens } from './phrases'
import { rate } from './rateStatement'
import { said, type OpenLine, type Reading } from './reading'
import { repeatAt } from './repeats'
import { range } from './sentences'
import { grassAt, headingAt, targetAt } from './uses'
import { countedAt } from './limits'
import { rainfastAt, reentryAt, waterInAt } from './waits'

/** "Not for bentgrass" is no use of the product. */
const EXCLUDES = new Set('not never avoid except injure injury harm damage'.split(' '))

/** The first statement that stands at a place. @returns the place after it; undefined where none does */
export function statement(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  return (
    simple(reading, tokens, at) ??
    topic(reading, tokens, at, begun) ??
    carrier(reading, tokens, at) ??
    (countedAt(tokens, at) ? times(reading, tokens, at) : undefined) ??
    cap(reading, tokens, at) ??
    times(reading, tokens, at) ??
    rate(reading, tokens, at, begun) ??
    period(reading, tokens, at)
  )
}

/** What a rate is for: pests at the head of a sentence or after "for", grasses wherever they stand. */
function topic(reading: Reading, tokens: Tokens, at: number, begun: number): number | undefined {
  if (tokens.slice(begun, at).some(({ text }) => EXCLUDES.has(text))) return undefined
  const grass = grassAt(tokens, tokens[at]?.text === 'on' ? at + 1 : at)
  if (grass) {
    // "Tall fescue 22 fl oz/A, bluegrass 18 fl oz/A": a grass before a rate is that rate's.
    const isNext = hasRate(reading.own) && rateAt(tokens, past(tokens, grass.to, [':', 'at']))?.is.per
    if (isNext) reading.own = undefined
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

const hasRate = (line: OpenLine | undefined): boolean =>
  (line?.fields.rate ?? line?.fields.low ?? line?.fields.high) !== undefined

/** Before its rate a pest or a grass waits for it; after it, it belongs to it. */
const topicLine = (reading: Reading): OpenLine => reading.own ?? reading.ahead

/** What stands by itself: waits, water, packages, repeats. */
function simple(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const entry = reentryAt(tokens, at)
  if (entry) return said(reading, { reentry: entry.is }, at, entry.to)
  const rain = rainfastAt(tokens, at)
  if (rain) return said(reading, { rainfast: rain.is }, at, rain.to)
  const bag = bagAt(tokens, at)
  if (bag && isEitherOunce(reading, bag.is.unit)) return ask(reading, range(at, bag.to), bag.to, 'ounce')
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
  // A second interval holds for something of its own, as "above the high rate": people must read it.
  if (!repeat || isOther(reading, repeat.is)) return undefined
  const { from, to } = repeat.is
  return said(reading, { repeatFrom: from, ...(to !== undefined && { repeatTo: to }) }, at, repeat.to)
}

function isOther(reading: Reading, { from, to }: { readonly from: number; readonly to?: number }): boolean {
  const known = reading.ahead.tokens.size > 0 && !reading.own ? undefined : reading.lines.at(-1)?.fields
  return known?.repeatFrom !== undefined && (known.repeatFrom !== from || known.repeatTo !== to)
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
