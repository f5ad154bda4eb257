import type { Figure } from '#core/working/figures'
import { defineStore } from 'pinia'
import type { Working } from '#core/working/working'

/** The one drawer of working: which pages the screen in hand can show, and which figure is asked for. */
export const useWorkingStore = defineStore('working', () => {
  const open = ref(false)
  const figure = ref<Figure>()
  /** Set by the screen in hand; called only while the drawer is open. */
  const source = shallowRef<() => readonly Working[]>(() => [])
  const names = shallowRef<(figure: Figure) => string>((name) => name)

  function show(wanted?: Figure) {
    figure.value = wanted
    open.value = true
  }
  const toggle = () => (open.value ? (open.value = false) : show())

  return { open, figure, source, names, show, toggle }
})
