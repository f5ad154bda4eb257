import { nextField } from '#core/job/nextField'
import type { SheetContext } from './useSheet'

/** The way through the fields of a sheet by Enter: to the next one that is missing, at last to the action. */
export function useEnterWay({ sheet, document: draft, go }: SheetContext) {
  const library = useLibraryStore()
  /** Whether a machine could be named that stands in the library. */
  const machines = computed(() => {
    const kind = draft.value.method === 'spread' ? 'spreader' : 'sprayer'
    return library.equipment.some(({ document }) => document.kind === kind) ? 'some' : 'none'
  })
  const goFirst = () => sheet.value.problems[0] && go(sheet.value.problems[0].path)

  /** Settles the field in hand and goes on. */
  async function nextMissing(event: KeyboardEvent) {
    if (
      !(event.target instanceof HTMLInputElement) ||
      event.target.type === 'checkbox' ||
      event.ctrlKey ||
      event.metaKey
    )
      return
    event.preventDefault()
    // The next field stands there before this one is left: no key falls between the two.
    await reachForAll().catch(() => undefined)
    event.target.blur()
    await nextTick()
    const path = nextField(sheet.value.problems, draft.value, machines.value, event.target.dataset.path)
    if (path !== undefined) return go(path)
    document.querySelector<HTMLElement>('[data-main-action]')?.focus()
  }
  return { goFirst, nextMissing }
}
