/** A word, a number or a mark of a printed text, with its place in it. */
export interface Token {
  readonly kind: 'number' | 'word' | 'mark'
  /** In small letters. */
  readonly text: string
  readonly start: number
  readonly end: number
  /** Of a number. */
  readonly value?: number
  /** A number that could be read two ways, such as 0,125. */
  readonly doubtful?: true
  /** A word printed with a capital, as sentences begin. */
  readonly capital?: true
}

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const SIGNS = Object.keys(VULGAR).join('')

const SPELLED: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  fourteen: 14,
}

/** Parts of one in words. */
const PARTS =
  /(?:one[- ])?half(?:\s+an?(?=\s))?|(?:one|a)[- ]quarter(?:\s+of\s+an?(?=\s))?|three[- ]quarters/iuy

/** Numbers as labels print them: 1-1/2, 2½, 1 1/2, 3/4, 1,000, 1 000 sq ft, .5, 0,125. */
const NUMBER = new RegExp(
  [
    String.raw`\d+(?:[ -]|\s+)\d+/\d+(?!\d|\.\d)`,
    String.raw`\d+\s?[${SIGNS}]`,
    String.raw`\d+/\d+(?!\d|\.\d)`,
    `[${SIGNS}]`,
    String.raw`\d{1,3}(?:,\d{3})+(?:\.\d+)?`,
    // A blank parts thousands only where ground is counted: "2 50 lb bags" are two of fifty.
    String.raw`\d{1,3}(?: \d{3})+(?=\s*(?:sq|ft|square|m2|m²))`,
    String.raw`\d+,\d+`,
    String.raw`\d*\.\d+`,
    String.raw`\d+`,
  ].join('|'),
  'y',
)
/** Units and names in which figures stand: ft2, m², P2O5. */
const NAMED = /(?:ft|yd|m)[2²]|p2o5|k2o|a\.i\.(?=\W|$)|[\p{L}]+(?:['’]\p{L}+)?/iuy

/** Takes a text apart; blanks fall between. */
export function tokensOf(text: string): readonly Token[] {
  const tokens: Token[] = []
  for (let at = 0; at < text.length;) {
    if (/\s/.test(text[at]!)) {
      at += 1
      continue
    }
    const token = numberAt(text, at) ?? partAt(text, at) ?? wordAt(text, at) ?? markAt(text, at)
    tokens.push(token)
    at = token.end
  }
  return tokens
}

function numberAt(text: string, at: number): Token | undefined {
  NUMBER.lastIndex = at
  const [found] = NUMBER.exec(text) ?? []
  if (found === undefined) return undefined
  return {
    kind: 'number',
    text: found,
    start: at,
    end: at + found.length,
    value: valueOf(found),
    ...(/^\d+,\d+$/.test(found) && !/^\d{1,3},\d{3}$/.test(found) && { doubtful: true }),
    ...(/^0,\d+$/.test(found) && { doubtful: true }),
  }
}

function partAt(text: string, at: number): Token | undefined {
  PARTS.lastIndex = at
  const [found] = PARTS.exec(text) ?? []
  if (found === undefined || /\p{L}/u.test(text[at + found.length] ?? '')) return undefined
  const small = found.toLowerCase()
  const value = small.startsWith('three') ? 3 / 4 : small.includes('quarter') ? 1 / 4 : 1 / 2
  return { kind: 'number', text: small, start: at, end: at + found.length, value }
}

/** The exact value of a printed number. */
function valueOf(printed: string): number {
  const text = printed.replaceAll(',', '').replace(/^(\d{1,3}) (\d{3})$/, '$1$2')
  const parts = text.match(new RegExp(String.raw`\d+/\d+|[${SIGNS}]|\d*\.\d+|\d+`, 'g')) ?? []
  return parts.reduce((sum, part) => {
    const [over, under] = part.split('/').map(Number)
    return sum + (VULGAR[part] ?? (under === undefined ? Number(part) : (over ?? 0) / under))
  }, 0)
}

function wordAt(text: string, at: number): Token | undefined {
  NAMED.lastIndex = at
  const [found] = NAMED.exec(text) ?? []
  if (found === undefined) return undefined
  const small = found.toLowerCase().replace('²', '2').replace('’', "'")
  const value = SPELLED[small]
  const place = { text: small, start: at, end: at + found.length }
  if (value !== undefined) return { kind: 'number', value, ...place }
  return { kind: 'word', ...place, ...(/^\p{Lu}/u.test(found) && { capital: true }) }
}

const markAt = (text: string, at: number): Token => {
  const mark = String.fromCodePoint(text.codePointAt(at)!)
  return {
    kind: 'mark',
    text: mark === '–' || mark === '—' || mark === '-' ? '-' : mark,
    start: at,
    end: at + mark.length,
  }
}
