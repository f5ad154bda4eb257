interface Page<Row> {
  readonly rows: readonly Row[]
  readonly next: string | null
}

/** A list read page by page, from its beginning again whenever what is asked for changes. */
export function usePaged<Row, P extends Page<Row>>(
  url: string,
  query: () => Readonly<Record<string, string>>,
) {
  const crew = useCrewStore()
  const rows = shallowRef<readonly Row[]>([])
  const next = ref<string | null>()
  const problem = ref<string>()
  let asked = 0

  async function more() {
    const mine = ++asked
    try {
      const page = await $fetch<P>(url, {
        query: { ...query(), ...(next.value ? { after: next.value } : {}) },
      })
      // An answer to what is no longer asked is dropped.
      if (mine !== asked) return
      rows.value = next.value ? [...rows.value, ...page.rows] : page.rows
      next.value = page.next
      problem.value = undefined
    } catch (error) {
      if (mine === asked) problem.value = errorText(error)
    }
  }
  watch(
    [() => crew.organization?.id, query],
    () => {
      next.value = undefined
      void more()
    },
    { immediate: true, deep: true },
  )
  return {
    rows,
    next,
    problem,
    more,
    loading: computed(
      () => next.value === undefined && problem.value === undefined && rows.value.length === 0,
    ),
  }
}
