import { parseQuantity } from '../quantity/parseQuantity'
import type { Entered } from '../quantity/entered'
import { sixDigits } from '../working/figureText'
import type { CarrierUnit, RateUnit, TimeUnit } from '../quantity/units'

/** What a sentence of a label says, in the fields of a rate line; only what was understood is there. */
export interface PrintedRate {
  readonly rate?: Entered<RateUnit>
  readonly low?: Entered<RateUnit>
  readonly high?: Entered<RateUnit>
  readonly most?: Entered<RateUnit>
  readonly year?: Entered<RateUnit>
  readonly repeatFrom?: Entered<TimeUnit>
  readonly repeatTo?: Entered<TimeUnit>
  readonly perYear?: string
  readonly inRow?: string
  readonly carrierFrom?: Entered<CarrierUnit>
  readonly carrierTo?: Entered<CarrierUnit>
}

/** What was understood, and the pieces that were not: they are shown, never dropped in silence. */
export interface ReadPrinted { readonly found: PrintedRate; readonly left: readonly string[] }

const NUMBER = String.raw`(\d+(?:\.\d+)?(?:\s+\d+/\d+)?|\d+/\d+)`
const RANGE = new RegExp(String.raw`^(?:(?:use|apply|rate|at|of)\b:?\s*)*${NUMBER}\s*(?:(?:-|–|to)\s*${NUMBER})?\s*(.+)$`, 'i')
const WORDS: Readonly<Record<string, string>> = { one: '1', two: '2', three: '3', four: '4', five: '5', six: '6', eight: '8', ten: '10', twelve: '12' }
const YEARLY = /\b(?:(?:per|a|each|in a|in one)\s+(?:year|season|12 months)|annually|yearly)\b/i
const CAP = /^(?:do not (?:exceed|apply more than|make more than)|no more than|not more than|never more than|maximum(?: of)?|max\.?|at most|up to)\s+/i

/**
 * Reads a rate as a label prints it.
 * @param text such as "1.5-2.2 fl oz per 1,000 sq ft, repeat in 21-35 days; do not exceed 12 fl oz per 1,000 sq ft per year"
 * @returns what was understood, in the printed units; the rest as it stands
 */
export function readPrintedRate(text: string): ReadPrinted {
  const plain = spelledOut(text)
  const pieces = plain.split(/[;\n]|,\s+|\.\s+|\.$|\s+and\s+(?=repeat|do not|no more|max)|\s+(?=in\s+(?:at least\s+)?\d[^;,]*\bwater\b)/i).map((piece) => piece.trim()).filter((piece) => piece !== '')
  return pieces.reduce<ReadPrinted>((read, piece) => {
    const understood = repeatIn(piece) ?? countIn(piece) ?? capIn(piece) ?? carrierIn(piece) ?? rateIn(piece)
    return understood ? { ...read, found: { ...read.found, ...understood } } : { ...read, left: [...read.left, piece] }
  }, { found: {}, left: [] })
}

/** Thousands without their comma, words for small numbers as figures. */
const spelledOut = (text: string) => text.replaceAll(/(\d),(\d{3})\b/g, '$1$2').replaceAll(/\b(one|two|three|four|five|six|eight|ten|twelve)\b/gi, (word) => WORDS[word.toLowerCase()] ?? word)

function repeatIn(piece: string): PrintedRate | undefined {
  const match = new RegExp(String.raw`(?:repeat\w*|again|every|intervals?(?: of)?|re-?appl\w*|wait)\D*?${NUMBER}(?:\s*(?:-|–|to)\s*${NUMBER})?\s*-?\s*(days?|weeks?|d|wks?|months?)\b`, 'i').exec(piece)
  const [, from, to, unit = ''] = match ?? []
  if (!match || from === undefined) return undefined
  const inUnit = (figure: string): Entered<TimeUnit> => (/^m/i.test(unit) ? { text: String(30 * Number(figure)), unit: 'd' } : { text: figure, unit: /^w/i.test(unit) ? 'wk' : 'd' })
  return { repeatFrom: inUnit(from), ...(to !== undefined && { repeatTo: inUnit(to) }) }
}

function countIn(piece: string): PrintedRate | undefined {
  const match = /(\d+)\s+(consecutive\s+|sequential\s+)?(?:applications?|times)\b/i.exec(piece)
  const [, count, row] = match ?? []
  if (!match || count === undefined) return undefined
  if (row !== undefined || /\bin a row\b/i.test(piece)) return { inRow: count }
  return YEARLY.test(piece) ? { perYear: count } : undefined
}

function capIn(piece: string): PrintedRate | undefined {
  if (!CAP.test(piece)) return undefined
  const bare = piece.replace(CAP, '').replace(/\b(?:total|of product)\b/gi, '').trim()
  const read = rateText(bare.replace(YEARLY, '').replace(/\bper application\b/i, '').trim())
  if (!read) return undefined
  return YEARLY.test(bare) ? { year: read } : { most: read }
}

/** Volume of water: "in 1 to 2 gallons of water per 1000 sq ft". */
function carrierIn(piece: string): PrintedRate | undefined {
  if (!/\b(?:water|spray)\b/i.test(piece)) return undefined
  const match = RANGE.exec(piece.replace(/^.*?\bin\s+(?:at least\s+)?(?=\d)/i, '').replace(/\bof (?:water|spray(?: solution)?)\b|\b(?:water|spray(?: solution)?)\b/gi, ' ').replaceAll(/\s+/g, ' ').trim())
  const [, from, to, unit] = match ?? []
  const least = from !== undefined && unit !== undefined ? carrierText(from, unit) : undefined
  const most = to !== undefined && unit !== undefined ? carrierText(to, unit) : undefined
  return least && { carrierFrom: least, ...(most && { carrierTo: most }) }
}

function rateIn(piece: string): PrintedRate | undefined {
  const match = RANGE.exec(piece)
  const [, low, high, unit] = match ?? []
  if (low === undefined || unit === undefined) return undefined
  const [from, to] = [rateText(`${low} ${unit}`), high === undefined ? undefined : rateText(`${high} ${unit}`)]
  if (!from) return undefined
  return to ? { low: from, high: to } : { rate: from }
}

/** Squared and written-out ground, and percent by volume, as the field knows them. */
const unitWords = (text: string) => text.replaceAll(/\bsquare (feet|foot|ft)\b/gi, 'sq ft').replaceAll(/\b(?:v\/v|by volume)\b/gi, '').replaceAll(/\bgallons?\b/gi, 'gal').replaceAll(/\blit(?:re|er)s?\b/gi, 'L').replaceAll(/\bsquare met(?:re|er)s?\b/gi, 'm2').trim()

function rateText(text: string): Entered<RateUnit> | undefined {
  const read = parseQuantity(unitWords(text), 'rate', 'lb/1000 ft2')
  // A bare figure is no rate: the unit has to be printed.
  return read.ok && /[a-z%]/i.test(text) && read.value.value > 0 ? { text: sixDigits(read.value.value), unit: read.value.unit } : undefined
}

function carrierText(figure: string, unit: string): Entered<CarrierUnit> | undefined {
  const read = parseQuantity(unitWords(`${figure} ${unit}`), 'carrier', 'gal/1000 ft2')
  return read.ok ? { text: sixDigits(read.value.value), unit: read.value.unit } : undefined
}
