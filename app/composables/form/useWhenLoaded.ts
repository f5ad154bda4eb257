/**
 * Does again what was typed before the rooms were there, once they are: a name typed on a slow connection
 * still finds its label.
 */
export function useWhenLoaded(): (field: string, act: () => void) => void {
  const rooms = useLibraryStore()
  const waiting = new Map<string, () => void>()
  watch(
    () => rooms.loaded,
    async () => {
      const acts = [...waiting.values()]
      waiting.clear()
      // Each changes the document as the one before has left it.
      for (const act of acts) {
        act()
        await nextTick()
      }
    },
  )
  return (field, act) => {
    if (!rooms.loaded) waiting.set(field, act)
  }
}
