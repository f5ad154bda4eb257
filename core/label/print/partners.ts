import type { Tokens } from './phrases'
import { range } from './sentences'

/** What is added to a spray beside the product, by names that are no product's own directions. */
const PARTNERS = new Set(
  'surfactant surfactants adjuvant adjuvants nis mso coc ams penetrant sticker'.split(' '),
)
/** "Crop oil" is added; an oil by itself may be the product. */
const OILS = new Set('crop seed vegetable'.split(' '))
/** Words that say what kind of partner it is. */
const DESCRIBES = new Set(
  (
    'of a an non - nonionic ionic anionic organosilicone silicone methylated crop seed vegetable oil ' +
    'high quality good approved suitable'
  ).split(' '),
)
/** Words between a partner and the rate that follows it. */
const LEADS_ON = new Set(
  'at the rate of a use used apply applied concentrate nis mso coc ( ) : - by oil'.split(' '),
)
const WITHOUT = new Set('without no not'.split(' '))

const isPartner = (tokens: Tokens, at: number): boolean => {
  const { text = '' } = tokens[at] ?? {}
  return PARTNERS.has(text) || (text === 'oil' && OILS.has(tokens[at - 1]?.text ?? ''))
}

/**
 * The tokens of a partner that a rate belongs to: "0.25 % of a nonionic surfactant", "crop oil concentrate at
 * 1 qt/A". Its rate is not the product's.
 * Source: trade.md 5: a rate line is of one product.
 * @param at where the rate begins
 * @param to the place after it
 * @param begun where its sentence begins
 */
export function partnerOf(
  tokens: Tokens,
  { at, to }: { readonly at: number; readonly to: number },
  begun: number,
): readonly number[] | undefined {
  let behind = to
  while (DESCRIBES.has(tokens[behind]?.text ?? '') && !isPartner(tokens, behind)) behind++
  if (isPartner(tokens, behind)) return range(to, behind + 1)
  let before = at - 1
  while (before >= begun && LEADS_ON.has(tokens[before]!.text) && !isPartner(tokens, before)) before--
  if (before < begun || !isPartner(tokens, before)) return undefined
  let first = before
  while (first > begun && DESCRIBES.has(tokens[first - 1]!.text)) first--
  return WITHOUT.has(tokens[first - 1]?.text ?? '') ? undefined : range(first, at)
}
