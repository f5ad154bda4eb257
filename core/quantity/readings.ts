/** A blank at the end of a list of readings is where the next one would go, not a missing one. */
export function withoutTrailingBlanks<E extends { readonly text: string }>(
  list: readonly E[],
  least = 0,
): readonly E[] {
  const filled = list.findLastIndex(({ text }) => text.trim() !== '') + 1
  return list.slice(0, Math.max(filled, Math.min(least, list.length)))
}
