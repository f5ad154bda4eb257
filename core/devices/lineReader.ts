import { LONGEST_LINE } from './deviceLine'

/** Cuts a stream that comes in pieces into lines; a piece may end anywhere. */
export interface LineReader {
  /** The lines that are whole now, without their line feeds; blank ones (a sign of life) are left out. */
  readonly push: (piece: string) => readonly string[]
}

/**
 * @returns a reader that never holds more than one line: an endless one is given out in parts, which then
 * read as noise
 */
export function lineReader(): LineReader {
  let rest = ''
  return {
    push(piece) {
      const parts = (rest + piece).split(/\r?\n/)
      rest = parts.pop() ?? ''
      if (rest.length > 2 * LONGEST_LINE) {
        parts.push(rest)
        rest = ''
      }
      return parts.filter((line) => line !== '')
    },
  }
}
