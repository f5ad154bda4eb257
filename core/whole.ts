/** All of a list, or nothing while one is missing or there is none. */
export function whole<T>(list: readonly (T | undefined)[]): readonly T[] | undefined {
  const found = list.filter((item) => item !== undefined)
  return found.length === list.length && found.length > 0 ? found : undefined
}
