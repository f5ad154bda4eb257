import type { Tokens } from './phrases'

const NUTRIENTS = new Set('nitrogen n phosphate phosphorus potash potassium'.split(' '))
/** What a share of is no strength of a spray. */
const WHOLES = new Set('rate rates dose amount area areas ground turf lawn surface site total'.split(' '))
const BETWEEN = new Set(
  (
    'of the a an its this full label labeled labelled maximum recommended treated water - soluble ' +
    'quick slow fast controlled release released coated available'
  ).split(' '),
)

/**
 * Whether a figure is a part of something, and no rate: "0.6 lb/1000 sq ft of soluble N", "50 % of the rate",
 * "30 % slow release nitrogen".
 * @param to the place after the figure
 * Source: trade.md 5: what a rate counts must be known.
 */
export function isShareOf(tokens: Tokens, to: number, figure: 'percent' | 'amount'): boolean {
  let at = to
  while (BETWEEN.has(tokens[at]?.text ?? '')) at++
  const { text = '' } = tokens[at] ?? {}
  if (NUTRIENTS.has(text)) return at > to || figure === 'percent'
  return figure === 'percent' && tokens[to]?.text === 'of' && WHOLES.has(text)
}
