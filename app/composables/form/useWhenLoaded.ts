/**
 * Does again what was typed before the library were there, once they are: a name typed on a slow connection
 * still finds its label.
 */
export function useWhenLoaded(): (field: string, act: () => void) => void {
  const library = useLibraryStore()
  const waiting = new Map<string, () => void>()
  watch(
    () => library.loaded,
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
    if (!library.loaded) waiting.set(field, act)
  }
}
