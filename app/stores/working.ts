import { defineStore } from 'pinia'
import type { Figure } from '#core/working/figures'
import type { Working } from '#core/working/working'

/** What a screen, or a part of it in hand, can show the arithmetic of. */
export interface WorkingSource {
  /** Called only while the drawer is open. */
  readonly pages: () => readonly Working[]
  readonly nameOf: (figure: Figure) => string
}

/** The one drawer of working: which pages the screen in hand can show, and which figure is asked for. */
export const useWorkingStore = defineStore('working', () => {
  const open = ref(false)
  const figure = ref<Figure>()
  const sources = shallowRef<readonly WorkingSource[]>([])
  /** The one that came last: a step of a run stands before the sheet it belongs to. */
  const inHand = computed(() => sources.value.at(-1))

  function show(wanted?: Figure) {
    figure.value = wanted
    open.value = true
  }
  const toggle = () => (open.value ? (open.value = false) : show())
  const add = (source: WorkingSource) => {
    sources.value = [...sources.value, source]
  }
  function remove(source: WorkingSource) {
    if (inHand.value === source) open.value = false
    sources.value = sources.value.filter((one) => one !== source)
  }

  return { open, figure, sources, inHand, show, toggle, add, remove }
})
