import type { Entered } from './entered'
import { parseQuantity, type Kind, type KindUnits } from './parseQuantity'

/** A figure with its unit; one typed with its own (34'6") as it stands. */
export function figureCell(entered: Entered | undefined): string {
  const text = entered?.text.trim() ?? ''
  return entered === undefined || text === '' || !/^[\d\s.,/]+$/.test(text) ? text : `${text} ${entered.unit}`
}

/**
 * "48 ft" as a figure and its unit; without a unit it stands in the given one. A figure that can't be read is
 * a problem of its line.
 */
export function figureIn<K extends Kind>(
  text: string,
  kind: K,
  unit: KindUnits[K],
  problem: (message: string) => void,
): Entered<KindUnits[K]> {
  if (text === '') return { text, unit }
  const read = parseQuantity(text, kind, unit)
  if (!read.ok) {
    problem(read.error.message)
    return { text, unit }
  }
  const suffix = ` ${read.value.unit}`
  return text.endsWith(suffix)
    ? { text: text.slice(0, -suffix.length), unit: read.value.unit }
    : { text, unit: read.value.unit }
}
