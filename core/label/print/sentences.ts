import type { Places } from './labelLine'
import type { Tokens } from './phrases'
import type { Token } from './tokens'

/** Words that say nothing of their own beside what was understood. */
export const FILLER = new Set(
  (
    'apply applied application applications use used using at a an the rate rates of ' +
    'this product and as or is are be in with per make made mix allow spread broadcast ' +
    'to turf treat turfgrass should may by spray on total if ( ) : , - / . ; * •'
  ).split(' '),
)

/** Sentences as pairs of token places; a stop ends one unless it belongs to a number or an abbreviation. */
export function sentencesOf(text: string, tokens: Tokens): readonly (readonly [number, number])[] {
  const ends: number[] = []
  tokens.forEach((token, i) => {
    const next = tokens[i + 1]
    // A pasted text breaks its lines anywhere: only what begins anew is a sentence of its own.
    const broken =
      (next?.capital ?? next?.text === '•') &&
      text.slice(token.end, next?.start).includes('\n') &&
      !FILLER.has(token.text)
    const stop = token.text === '.' && (!next || next.capital || next.kind === 'number' || next.text === '•')
    const abbreviated =
      stop && next?.kind === 'number' && /^(?:no|max|min|approx)$/.test(tokens[i - 1]?.text ?? '')
    const saint = stop && tokens[i - 1]?.text === 'st' && next?.text.startsWith('augustine')
    if (token.text === ';' || broken || (stop && !abbreviated && !saint)) ends.push(i + 1)
  })
  if (ends.at(-1) !== tokens.length) ends.push(tokens.length)
  return ends.map((end, i) => [ends[i - 1] ?? 0, end] as const)
}

export const range = (from: number, to: number): readonly number[] =>
  Array.from({ length: to - from }, (_, i) => from + i)

/** Tokens that follow each other, without marks at their ends; small words between them go with them. */
export function runsOf(places: readonly number[], tokens: Tokens): readonly (readonly number[])[] {
  const runs: number[][] = []
  for (const place of places) {
    const last = runs.at(-1)
    if (last && place - last.at(-1)! === 1) last.push(place)
    else runs.push([place])
  }
  return runs
    .map((run) => trimmed(run, tokens))
    .filter((run) => run.some((place) => tokens[place]!.kind !== 'mark'))
}

function trimmed(run: readonly number[], tokens: Tokens): readonly number[] {
  const first = run.findIndex((place) => tokens[place]!.kind !== 'mark')
  const last = run.findLastIndex((place) => tokens[place]!.kind !== 'mark')
  return first < 0 ? [] : run.slice(first, last + 1)
}

/** Places of tokens in the text, neighbours together. */
export function placesOf(tokens: readonly number[], all: readonly Token[]): Places {
  const places: [number, number][] = []
  let before = -2
  for (const i of [...new Set(tokens)].toSorted((a, b) => a - b)) {
    const { start, end } = all[i]!
    const last = places.at(-1)
    if (last && i === before + 1) last[1] = end
    else places.push([start, end])
    before = i
  }
  return places
}

export function sliceOf(text: string, tokens: readonly number[], all: readonly Token[]): string {
  const sorted = tokens.toSorted((a, b) => a - b)
  const [first, last] = [all[sorted[0] ?? 0], all[sorted.at(-1) ?? 0]]
  return first && last ? text.slice(first.start, last.end) : ''
}
