import { ask } from './asks'
import { capAt, countedAt, timesAt, yearAt } from './limits'
import { bracketAt, past, type PrintedRate, type Read, type Tokens } from './phrases'
import { rateIn } from './printedUnits'
import { put, taken, type Reading } from './reading'
import { range } from './sentences'

/** "Do not exceed": what follows is a most. */
export function cap(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const read = capAt(tokens, at)
  if (!read) return undefined
  reading.cap = { is: read.is, tokens: [...(reading.cap?.tokens ?? []), ...range(at, read.to)] }
  return read.to
}

/** How often: in a row, in a year, or of a rate whose year is still to come. */
export function times(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const counted = countedAt(tokens, at)
  if (counted) {
    const { count, period: of } = counted.is
    put(reading, { timesPerYear: count, ...(of && { period: of }) }, range(at, counted.to))
    return counted.to
  }
  const read = timesAt(tokens, at)
  if (!read) return undefined
  const places = [...taken(reading.cap), ...range(at, read.to)]
  if (read.is.row) {
    put(reading, { inARow: read.is.count }, places)
    reading.cap = undefined
    return read.to
  }
  // "3 applications (4.5 fl oz/1,000 sq ft) per year": what is in brackets is of the whole year.
  const whole = bracketAt(tokens, read.to)
  if (whole && reading.cap) return wholeYear(reading, tokens, at, read.is.count, whole)
  const year = yearAt(tokens, past(tokens, read.to, ['may|can|should|must be made|applied']))
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

/** How often and how much in a year; without a year nobody can tell what the brackets mean. */
function wholeYear(
  reading: Reading,
  tokens: Tokens,
  at: number,
  count: number,
  { is: { span, unit, basis, per }, to: end }: Read<PrintedRate>,
): number {
  const { cap: announced } = reading
  reading.cap = undefined
  const year = yearAt(tokens, end)
  const most = per && !unit.bare && !span.doubtful ? rateIn(span.to ?? span.from, unit.unit, per) : undefined
  if (!most || (!year && announced?.is !== 'year'))
    return ask(reading, [...taken(announced), ...range(at, end)], end, 'whole')
  const to = year?.to ?? end
  const fields = { timesPerYear: count, mostPerYear: { rate: most, basis } }
  put(reading, { ...fields, ...(year?.is && { period: year.is }) }, [...taken(announced), ...range(at, to)])
  return to
}

/** A year by itself is that of the applications counted before it. */
export function period(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const year = reading.times && yearAt(tokens, at)
  if (!reading.times || !year) return undefined
  const fields = { timesPerYear: reading.times.is, ...(year.is && { period: year.is }) }
  put(reading, fields, [...reading.times.tokens, ...range(at, year.to)])
  reading.times = undefined
  return year.to
}
