import type { PrintedAsk, PrintedRest, ReadLabel } from './labelLine'
import type { Tokens } from './phrases'
import { begin, freshReading, stillWaiting, type OpenLine, type PrintedForm, type Reading } from './reading'
import { FILLER, placesOf, range, runsOf, sentencesOf, sliceOf } from './sentences'
import { statement } from './statements'
import { tokensOf } from './tokens'

/**
 * Reads directions as a label prints them: rates with what limits them, each with the places of its words.
 * What could be read two ways is asked, and what was not understood is shown; nothing is dropped.
 * Source: trade.md 5, rate lines.
 */
export function readLabel(text: string, form: PrintedForm): ReadLabel {
  const reading = freshReading(form)
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

/** Reads one sentence; what it says is added to the reading. @returns runs of tokens not understood */
function readSentence(reading: Reading, tokens: Tokens, begun: number): readonly (readonly number[])[] {
  const used = new Set<number>()
  const asksBefore = reading.asks.length
  const aheadBefore = reading.ahead
  reading.ahead = { fields: aheadBefore.fields, tokens: new Set(aheadBefore.tokens) }
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
  // "Use the low rate on bentgrass greens" has no rate of its own: what it says of a use is no one's.
  if (!reading.own && isPartOnly(reading.ahead, aheadBefore, tokens, begun, used)) {
    for (const i of reading.ahead.tokens) if (!aheadBefore.tokens.has(i)) used.delete(i)
    reading.ahead = aheadBefore
  }
  const asked = new Set(reading.asks.slice(asksBefore).flatMap((ask) => ask.tokens))
  // Small words belong to what was understood, if that is a line or will be one.
  const silent = used.size === 0 || (reading.lines.length === 0 && reading.ahead.tokens.size === 0)
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

/** Whether a sentence said something of a use, and besides it words that were not understood. */
const isPartOnly = (
  ahead: OpenLine,
  before: OpenLine,
  tokens: Tokens,
  begun: number,
  used: ReadonlySet<number>,
): boolean =>
  ahead.tokens.size > before.tokens.size &&
  range(begun, tokens.length).some(
    (i) => !used.has(i) && tokens[i]!.kind === 'word' && !FILLER.has(tokens[i]!.text),
  )
