/** A size an area had, and when it was written down: ISO instant. */
interface WrittenSize {
  readonly at: string
}

/** A size that another followed sooner than this was on its way to it: a key, not a measurement. */
const REST_MS = 10 * 60_000

/**
 * The sizes an area has had, as they came to rest: what somebody typed through on the way is left out.
 * @param sizes newest first
 * @returns the newest always, an older one where it stood for ten minutes
 */
export const restedSizes = <S extends WrittenSize>(sizes: readonly S[]): readonly S[] =>
  sizes.filter(({ at }, i) => {
    const next = sizes[i - 1]
    return next === undefined || Date.parse(next.at) - Date.parse(at) >= REST_MS
  })
