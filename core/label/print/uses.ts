import { GRASS_NAMES, type GrassName } from '../../ground/grasses'
import { afterAny, afterWord, type Read, type Tokens } from './phrases'

const GRASS_WORDS: readonly (readonly [phrase: string, grass: GrassName])[] = [
  ...GRASS_NAMES.map((name) => [name.toLowerCase(), name] as const),
  ['bermudagrass', 'bermuda'],
  ['bermuda grass', 'bermuda'],
  ['zoysiagrass', 'zoysia'],
  ['centipedegrass', 'centipede'],
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
  return begun === undefined ? undefined : namedAt(tokens, begun, [',', '.', ';', ':', '('])
}

/** "Dollar spot:" at the head of a sentence. */
export function headingAt(tokens: Tokens, at: number): Read<string> | undefined {
  const named = namedAt(tokens, at, [':'])
  return named && tokens[named.to]?.text === ':' ? { is: named.is, to: named.to + 1 } : undefined
}

const VERBS = new Set(['apply', 'use', 'spray', 'mix', 'make', 'do', 'repeat', 'rate', 'rates', 'spread'])

function namedAt(tokens: Tokens, at: number, ends: readonly string[]): Read<string> | undefined {
  const words: string[] = []
  let to = at
  for (; to < tokens.length && words.length <= LONGEST_TARGET; to++) {
    const token = tokens[to]!
    if (ends.includes(token.text) || VERBS.has(token.text)) break
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
