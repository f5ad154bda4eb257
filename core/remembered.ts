/**
 * A pure function of one object that is worked out once for each: a sheet asks the same lists again at every
 * key.
 */
export function remembered<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, { readonly value: V }>()
  return (key) => {
    const found = known.get(key) ?? { value: make(key) }
    known.set(key, found)
    return found.value
  }
}
