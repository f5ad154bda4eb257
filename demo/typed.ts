import type { Entered } from '#core/quantity/entered'

/** A fixed id of the sample, counted. */
export const sampleId = (count: number): string =>
  `019df000-0000-7000-8000-${String(count).padStart(12, '0')}`

/**
 * A fixed id of the sample by what it names, so that links and pictures stay the same whatever is added
 * before it.
 */
export function named(name: string): string {
  const hash = (seed: number) =>
    [...name].reduce((sum, letter) => Math.imul(sum ^ (letter.codePointAt(0) ?? 0), 16_777_619) >>> 0, seed)
  return (
    `019df000-0000-7000-8001-${(hash(0x811c9dc5) & 0xffffff).toString(16).padStart(6, '0')}` +
    (hash(0x1000193) & 0xffffff).toString(16).padStart(6, '0')
  )
}

/** A field as somebody of the crew typed it. */
export const typed = <U extends string>(text: string, unit: U): Entered<U> => ({ text, unit })

/** A field of the form `3.4 lb/1000 ft2`: figure, blank, unit. */
export function field<U extends string>(words: string): Entered<U> {
  const space = words.indexOf(' ')
  return typed(words.slice(0, space), words.slice(space + 1) as U)
}
