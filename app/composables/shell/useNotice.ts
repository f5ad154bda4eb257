interface Notice {
  readonly words: string
  readonly more?: string
  readonly action?: NoticeAction
}
interface NoticeAction {
  readonly label: string
  readonly act: () => unknown
}

const LASTS_MS = 6000
/** What can still be undone stays longer. */
const ACTION_LASTS_MS = 20_000
const shown = shallowRef<Notice>()
let timer: ReturnType<typeof setTimeout> | undefined

/** One short sentence about what just happened, said aloud and gone after a while. */
export function useNotice() {
  /** @param lasts whether it goes by itself or stays until it is answered */
  function say(words: string, more?: string, action?: NoticeAction, lasts: 'a while' | 'stays' = 'a while') {
    clearTimeout(timer)
    shown.value = { words, more, action }
    if (lasts === 'stays') return
    timer = setTimeout(
      () => {
        shown.value = undefined
      },
      action ? ACTION_LASTS_MS : LASTS_MS,
    )
  }
  function act() {
    const action = shown.value?.action
    shown.value = undefined
    return action?.act()
  }
  function close() {
    clearTimeout(timer)
    shown.value = undefined
  }
  return { shown, say, act, close }
}
