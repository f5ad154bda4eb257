interface BoundProps<V> {
  readonly path?: string | undefined
  readonly locked?: boolean | undefined
  /** What is in it, where that is not the form's. */
  readonly own: V | undefined
}

/**
 * A field's value, and where its changes go: the form's at its path, unless it is handed a value of its own.
 * @param blank what stands there as long as nothing does
 */
export function useBound<V>(props: () => BoundProps<V>, blank: () => V, emit: (value: V) => void) {
  const form = useFormIfAny()
  const path = computed(() => (props().own === undefined ? props().path : undefined))
  const value = computed(
    (): V =>
      props().own ??
      ((path.value === undefined ? undefined : form?.valueAt(path.value)) as V | undefined) ??
      blank(),
  )
  const locked = computed(() => props().locked || (path.value !== undefined && form?.locked.value === true))
  const change = (to: V) => (path.value === undefined || !form ? emit(to) : form.set(path.value, to))
  return { value, locked, change }
}
