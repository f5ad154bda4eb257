import { GRASS_NAMES, type GrassName } from '../../ground/grasses'
import { afterAny, afterWord, rateAt, type Read, type Tokens } from './phrases'

const GRASS_WORDS: readonly (readonly [phrase: string, grass: GrassName])[] = [
  ...GRASS_NAMES.map((name) => [name.toLowerCase(), name] as const),
  ['bermudagrass', 'bermuda'],
  ['bermuda grass', 'bermuda'],
  ['zoysiagrass', 'zoysia'],
  ['centipedegrass', 'centipede'],
  ['st . augustinegrass', 'St Augustine'],
  ['st . augustine grass', 'St Augustine'],
  ['st . augustine', 'St Augustine'],
  ['st augustinegrass', 'St Augustine'],
  ['bentgrass', 'creeping bentgrass'],
  ['bahiagrass', 'bahia'],
  ['buffalo grass', 'buffalograss'],
]

export function grassAt(tokens: Tokens, at: number): Read<GrassName> | undefined {
  for (const [phrase, grass] of GRASS_WORDS) {
    const to = afterAny(tokens, at, [phrase])
    if (to !== undefined) return { is: grass, to }
  }
  return undefined
}

const TARGET_WORDS: readonly string[] = [
  'for preventive|curative|preventative control of',
  'for the control of',
  'for control of',
  'for suppression of',
  'to control|suppress|prevent',
  'for',
]
/** What follows "for" and is no pest. */
const NO_TARGETS = new Set(
  (
    'best each every use a the application applications all at up this turf lawns lawn broadcast spot note ' +
    'caution warning danger directions important maximum minimum interval rates timing method volume ' +
    'coverage uniform thorough optimum optimal better longer extended residual control results'
  ).split(' '),
)
const LONGEST_TARGET = 4

/** "For control of dollar spot"; as far as the sentence or the next thing to do. */
export function targetAt(tokens: Tokens, at: number): Read<string> | undefined {
  const begun = afterAny(tokens, at, TARGET_WORDS)
  return begun === undefined ? undefined : namedAt(tokens, begun, [',', '.', ';', ':', '('], 'ends at a rate')
}

/** Words of a heading that names a figure instead of a use. */
const NO_HEADINGS = new Set(
  (
    'maximum max minimum limit volume volumes interval intervals rate rates total number entry coverage ' +
    'directions note'
  ).split(' '),
)
/** More names than these are a sentence. */
const MOST_NAMES = 8

/** "Dollar spot:" at the head of a sentence, "Sod webworm, armyworm:", "Large patch - 0.4 oz". */
export function headingAt(tokens: Tokens, at: number): Read<string> | undefined {
  const names: string[] = []
  for (let place = at; names.length < MOST_NAMES;) {
    const named = namedAt(tokens, place, [':', ',', '-'], 'no rate')
    if (!named || named.is.split(' ').some((word) => NO_HEADINGS.has(word))) return undefined
    names.push(named.is)
    const mark = tokens[named.to]
    if (mark?.text === ':' || isDash(tokens, named.to)) return { is: names.join(', '), to: named.to + 1 }
    if (mark?.text !== ',') return undefined
    place = afterWord(tokens, named.to + 1, 'and', 'or') ?? named.to + 1
  }
  return undefined
}

/** A dash with room on both sides, before a figure. */
function isDash(tokens: Tokens, at: number): boolean {
  const [before, dash, after] = [tokens[at - 1], tokens[at], tokens[at + 1]]
  return (
    dash?.text === '-' &&
    after?.kind === 'number' &&
    dash.start > (before?.end ?? 0) &&
    after.start > dash.end
  )
}

const VERBS = new Set(['apply', 'use', 'spray', 'mix', 'make', 'do', 'repeat', 'rate', 'rates', 'spread'])

function namedAt(
  tokens: Tokens,
  at: number,
  ends: readonly string[],
  figures: 'ends at a rate' | 'no rate',
): Read<string> | undefined {
  const words: string[] = []
  let to = at
  for (; to < tokens.length && words.length <= LONGEST_TARGET; to++) {
    const token = tokens[to]!
    if (ends.includes(token.text) || VERBS.has(token.text)) break
    // "For crabgrass 1.5 pt/A".
    if (figures === 'ends at a rate' && rateAt(tokens, to)?.is.per) break
    if (
      token.kind !== 'word' ||
      afterWord(tokens, to, 'and', 'or', 'in', 'on', 'within', 'after') !== undefined
    ) {
      if (token.kind === 'word' && ends.length > 1) break
      return undefined
    }
    words.push(token.text)
  }
  if (words.length === 0 || words.length > LONGEST_TARGET || NO_TARGETS.has(words[0]!)) return undefined
  return { is: words.join(' '), to }
}
