/** When what is shown was last seen at the server; undefined while the server itself answers. */
const lastSeen = ref<string>()

export function useLastSeen() {
  /** @param seen the answer's own date, where the device gave it from what it keeps; null: the server did */
  function note(seen: string | null) {
    lastSeen.value = seen === null ? undefined : seen
  }
  return { lastSeen: readonly(lastSeen), note }
}
