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
  function say(words: string, more?: string, action?: NoticeAction) {
    clearTimeout(timer)
    shown.value = { words, more, action }
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
  return { shown, say, act }
}
