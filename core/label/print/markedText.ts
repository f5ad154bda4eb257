import type { ReadLabel } from './labelLine'

/** A piece of a printed text and what was made of it. */
export interface MarkedPiece {
  readonly words: string
  readonly is: 'read' | 'asked' | 'left'
}

/** The text in pieces that together are the text: what was understood, what is asked, what is left over. */
export function markedText(text: string, { asks, notUnderstood }: ReadLabel): readonly MarkedPiece[] {
  const marks = [
    ...asks.flatMap(({ from }) => from.map(([start, end]) => ({ start, end, is: 'asked' as const }))),
    ...notUnderstood.flatMap(({ from }) => from.map(([start, end]) => ({ start, end, is: 'left' as const }))),
  ].toSorted((a, b) => a.start - b.start)
  const pieces: MarkedPiece[] = []
  let place = 0
  for (const { start, end, is } of marks) {
    pieces.push({ words: text.slice(place, start), is: 'read' }, { words: text.slice(start, end), is })
    place = end
  }
  return [...pieces, { words: text.slice(place), is: 'read' as const }].filter(({ words }) => words !== '')
}
