/** Reads something at once, says while it does and what went wrong; again when the crew changes. */
export function useReading(read: () => Promise<unknown>) {
  const crew = useCrewStore()
  const problem = ref<string>()
  const loading = ref(true)
  async function again() {
    loading.value = true
    try {
      await read()
      problem.value = undefined
    } catch (error) {
      problem.value = errorText(error)
    } finally {
      loading.value = false
    }
  }
  watch(() => crew.organization?.id, again, { immediate: true })
  return { problem, loading, read: again }
}
