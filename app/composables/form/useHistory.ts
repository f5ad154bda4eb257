import { useEventListener } from '@vueuse/core'

const MOST_STEPS = 100
/** Keys typed within this time of each other are one step. */
const ONE_STEP_MS = 700

/**
 * Undo and redo of a document that is replaced at every change.
 * @param current the document
 * @param put sets it
 */
export function useHistory<T>(current: () => T | undefined, put: (document: T) => void) {
  const past = shallowRef<readonly T[]>([])
  const future = shallowRef<readonly T[]>([])
  let mine = false
  let lastAt = 0
  watch(
    current,
    (now, before) => {
      if (mine || before === undefined || now === undefined) {
        mine = false
        return
      }
      const at = performance.now()
      if (at - lastAt > ONE_STEP_MS) past.value = [...past.value, before].slice(-MOST_STEPS)
      lastAt = at
      future.value = []
    },
    { flush: 'sync' },
  )

  function step(from: Ref<readonly T[]>, to: Ref<readonly T[]>) {
    const now = current()
    const wanted = from.value.at(-1)
    if (now === undefined || wanted === undefined) return
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, now]
    lastAt = 0
    mine = true
    put(wanted)
  }
  const undo = () => step(past, future)
  const redo = () => step(future, past)
  // In a field the browser's own undo belongs to what is typed there.
  useEventListener('keydown', (event: KeyboardEvent) => {
    const field = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)
    if (field || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
    event.preventDefault()
    if (event.shiftKey) redo()
    else undo()
  })
  return {
    undo,
    redo,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}
