import { parseQuantity } from '../quantity/parseQuantity'
import type { Entered } from '../quantity/entered'
import { rateUnitParts } from '../quantity/rateUnit'
import type { RateBasis } from './label'
import { sixDigits } from '../working/figureText'
import {
  SQUARE_METRES_PER,
  type AreaUnit,
  type CarrierUnit,
  type RateUnit,
  type TimeUnit,
} from '../quantity/units'

/** What a sentence of a label says, in the fields of a rate line; only what was understood is there. */
export interface PrintedRate {
  readonly rate?: Entered<RateUnit>
  /** What the rate counts, where the words say so: "0.6 lb N per 1,000 sq ft". */
  readonly basis?: RateBasis
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
export interface ReadPrinted {
  readonly found: PrintedRate
  readonly left: readonly string[]
}

const NUMBER = String.raw`(\d+(?:\.\d+)?(?:\s+\d+/\d+)?|\d+/\d+)`
const RANGE = new RegExp(
  String.raw`^(?:(?:use|apply|rate|at|of)\b:?\s*)*${NUMBER}\s*(?:(?:-|–|to)\s*${NUMBER})?\s*(.+)$`,
  'i',
)
const WORDS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  eight: '8',
  ten: '10',
  twelve: '12',
}
const YEARLY = /\b(?:(?:per|a|each|in a|in one)\s+(?:year|season|12 months)|annually|yearly)\b/i
const CAP_WORDS = [
  'do not (?:exceed|apply more than|make more than)',
  '(?:no|not|never) more than',
  'maximum(?: of)?|max\\.?|at most|up to',
].join('|')
const CAP = new RegExp(`^(?:${CAP_WORDS})\\s+`, 'i')

/** Where one thing that a sentence says ends and the next begins. */
const BETWEEN_PIECES = new RegExp(
  [
    String.raw`[;\n]|,\s+|\.\s+|\.$`,
    String.raw`\s+and\s+(?=repeat|do not|no more|max)`,
    String.raw`\s+(?=in\s+(?:at least\s+)?\d[^;,]*\bwater\b)`,
  ].join('|'),
  'i',
)

/**
 * Reads a rate as a label prints it.
 * @param text such as "1.5-2.2 fl oz per 1,000 sq ft, repeat in 21-35 days; do not exceed 12 fl oz per
 *   1,000 sq ft per year"
 * @returns what was understood, in the printed units; the rest as it stands
 */
export function readPrintedRate(text: string): ReadPrinted {
  const plain = spelledOut(text)
  const pieces = plain
    .split(BETWEEN_PIECES)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '')
  return pieces.reduce<ReadPrinted>(
    (read, piece) => {
      const understood =
        repeatIn(piece) ??
        countIn(piece) ??
        coverageIn(piece) ??
        nutrientIn(piece) ??
        capIn(piece) ??
        carrierIn(piece) ??
        rateIn(piece)
      return understood
        ? { ...read, found: { ...read.found, ...understood } }
        : { ...read, left: [...read.left, piece] }
    },
    { found: {}, left: [] },
  )
}

/** Thousands without their comma, words for small numbers as figures. */
const spelledOut = (text: string) =>
  text
    .replaceAll(/(\d),(\d{3})\b/g, '$1$2')
    .replaceAll(
      /\b(one|two|three|four|five|six|eight|ten|twelve)\b/gi,
      (word) => WORDS[word.toLowerCase()] ?? word,
    )

const REPEAT_WORDS = String.raw`(?:repeat\w*|again|every|intervals?(?: of)?|re-?appl\w*|wait)`
const SPAN = String.raw`${NUMBER}(?:\s*(?:-|–|to)\s*${NUMBER})?`
const REPEAT = new RegExp(String.raw`${REPEAT_WORDS}\D*?${SPAN}\s*-?\s*(days?|weeks?|d|wks?|months?)\b`, 'i')

function repeatIn(piece: string): PrintedRate | undefined {
  const match = REPEAT.exec(piece)
  const [, from, to, unit = ''] = match ?? []
  if (!match || from === undefined) return undefined
  const inUnit = (figure: string): Entered<TimeUnit> =>
    /^m/i.test(unit)
      ? { text: String(30 * Number(figure)), unit: 'd' }
      : { text: figure, unit: /^w/i.test(unit) ? 'wk' : 'd' }
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
  const bare = piece
    .replace(CAP, '')
    .replace(/\b(?:total|of product)\b/gi, '')
    .trim()
  const read = rateText(
    bare
      .replace(YEARLY, '')
      .replace(/\bper application\b/i, '')
      .trim(),
  )
  if (!read) return undefined
  return YEARLY.test(bare) ? { year: read } : { most: read }
}

const COVERAGE = new RegExp(
  [
    String.raw`^(?:(?:this|the|a|each|1(?=\s+\d))\s+)?(.*?)\s*`,
    String.raw`(?:\b(?:bag|bottle|jug|box|package|container|pail|can)\b\s*)?`,
    String.raw`(?:covers|treats|does|feeds|is enough for|for up to)\s+(?:up to\s+|about\s+)?(.+)$`,
  ].join(''),
  'i',
)

/** Ground a package is said to do: "a 40 lb bag covers 12,000 sq ft" is 3.33 lb on 1,000. */
function coverageIn(piece: string): PrintedRate | undefined {
  const match = COVERAGE.exec(piece)
  const [, amount = '', ground = ''] = match ?? []
  if (!match) return undefined
  const [package_, area] = [
    parseQuantity(unitWords(amount), 'amount', 'lb'),
    parseQuantity(unitWords(ground), 'area', 'ft2'),
  ]
  // Both must carry their unit: a bare figure says nothing.
  if (
    !package_.ok ||
    !area.ok ||
    !/[a-z]/i.test(amount) ||
    !/[a-z]/i.test(ground) ||
    package_.value.value <= 0 ||
    area.value.value <= 0
  )
    return undefined
  const per: AreaUnit = /^(m2|100 m2|ha)$/.test(area.value.unit) ? '100 m2' : '1000 ft2'
  const rate =
    (package_.value.value / (area.value.value * SQUARE_METRES_PER[area.value.unit])) * SQUARE_METRES_PER[per]
  return { rate: { text: sixDigits(rate), unit: `${package_.value.unit}/${per}` } }
}

const NUTRIENT_WORDS: Readonly<Record<string, RateBasis>> = {
  n: 'n',
  nitrogen: 'n',
  p2o5: 'p2o5',
  phosphate: 'p2o5',
  k2o: 'k2o',
  potash: 'k2o',
  fe: 'fe',
  iron: 'fe',
}

/** A target of nutrient: "enough N for 0.6 lb per 1,000 sq ft", "0.6 lb of nitrogen per 1,000 sq ft". */
function nutrientIn(piece: string): PrintedRate | undefined {
  const words = Object.keys(NUTRIENT_WORDS).join('|')
  const match = new RegExp(String.raw`\b(${words})\b`, 'i').exec(piece)
  const basis = match?.[1] && NUTRIENT_WORDS[match[1].toLowerCase()]
  if (!basis || !/\d/.test(piece)) return undefined
  const bare = piece
    .replace(new RegExp(String.raw`^enough\s+|\b(?:of\s+)?(?:${words})\b|\bfor\b`, 'gi'), ' ')
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/\s+\//g, '/')
    .trim()
  const read = rateIn(bare)
  const mass = [read?.rate, read?.low, read?.high].every(
    (entered) => !entered || rateUnitParts(entered.unit).dimension === 'mass',
  )
  return read && mass ? { ...read, basis } : undefined
}

/** Volume of water: "in 1 to 2 gallons of water per 1000 sq ft". */
function carrierIn(piece: string): PrintedRate | undefined {
  if (!/\b(?:water|spray)\b/i.test(piece)) return undefined
  const match = RANGE.exec(
    piece
      .replace(/^.*?\bin\s+(?:at least\s+)?(?=\d)/i, '')
      .replace(/\bof (?:water|spray(?: solution)?)\b|\b(?:water|spray(?: solution)?)\b/gi, ' ')
      .replaceAll(/\s+/g, ' ')
      .trim(),
  )
  const [, from, to, unit] = match ?? []
  const least = from !== undefined && unit !== undefined ? carrierText(from, unit) : undefined
  const most = to !== undefined && unit !== undefined ? carrierText(to, unit) : undefined
  return least && { carrierFrom: least, ...(most && { carrierTo: most }) }
}

function rateIn(piece: string): PrintedRate | undefined {
  const match = RANGE.exec(piece)
  const [, low, high, unit] = match ?? []
  if (low === undefined || unit === undefined) return undefined
  const [from, to] = [
    rateText(`${low} ${unit}`),
    high === undefined ? undefined : rateText(`${high} ${unit}`),
  ]
  if (!from) return undefined
  return to ? { low: from, high: to } : { rate: from }
}

/** Squared and written-out ground, and percent by volume, as the field knows them. */
const unitWords = (text: string) =>
  text
    .replaceAll(/\bsquare (feet|foot|ft)\b/gi, 'sq ft')
    .replaceAll(/\b(?:v\/v|by volume)\b/gi, '')
    .replaceAll(/\bgallons?\b/gi, 'gal')
    .replaceAll(/\blit(?:re|er)s?\b/gi, 'L')
    .replaceAll(/\bsquare met(?:re|er)s?\b/gi, 'm2')
    .trim()

function rateText(text: string): Entered<RateUnit> | undefined {
  const read = parseQuantity(unitWords(text), 'rate', 'lb/1000 ft2')
  // A bare figure is no rate: the unit has to be printed.
  return read.ok && /[a-z%]/i.test(text) && read.value.value > 0
    ? { text: sixDigits(read.value.value), unit: read.value.unit }
    : undefined
}

function carrierText(figure: string, unit: string): Entered<CarrierUnit> | undefined {
  const read = parseQuantity(unitWords(`${figure} ${unit}`), 'carrier', 'gal/1000 ft2')
  return read.ok ? { text: sixDigits(read.value.value), unit: read.value.unit } : undefined
}
