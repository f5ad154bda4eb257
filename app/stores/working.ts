import { defineStore } from 'pinia'
import type { Working } from '#core/working/working'

/** The one drawer of working: which pages the screen in hand can show, and which figure is asked for. */
export const useWorkingStore = defineStore('working', () => {
  const open = ref(false)
  const figure = ref<string>()
  /** Set by the screen in hand; called only while the drawer is open. */
  const source = shallowRef<() => readonly Working[]>(() => [])
  const names = shallowRef<(figure: string) => string>((name) => name)

  function show(wanted?: string) {
    figure.value = wanted
    open.value = true
  }
  const toggle = () => (open.value ? (open.value = false) : show())

  return { open, figure, source, names, show, toggle }
})
