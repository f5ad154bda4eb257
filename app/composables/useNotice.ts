interface Notice { readonly words: string, readonly more?: string }

const LASTS_MS = 6000
const shown = shallowRef<Notice>()
let timer: ReturnType<typeof setTimeout> | undefined

/** One short sentence about what just happened, said aloud and gone after a while. */
export function useNotice() {
  function say(words: string, more?: string) {
    clearTimeout(timer)
    shown.value = { words, more }
    timer = setTimeout(() => { shown.value = undefined }, LASTS_MS)
  }
  return { shown, say }
}
