import { useEventListener } from '@vueuse/core'

/**
 * Lets the children of a list be dragged into another order by their grip. The list itself is only told:
 * what is dragged goes back to its place, and stands where it was dropped once its data says so. What drags
 * is fetched when a hand first moves on the page; the list says when it can be ordered.
 */
export function useDragOrder(
  list: MaybeRefOrGetter<HTMLElement | null | undefined>,
  move: (from: number, to: number) => void,
) {
  const scope = getCurrentScope()
  let asked = false
  async function fetchDragging() {
    if (asked) return
    asked = true
    const { insertNodeAt, removeNode, useSortable } = await import('@vueuse/integrations/useSortable')
    scope?.run(() =>
      useSortable(list, [], {
        handle: '.grip',
        animation: 120,
        ghostClass: 'dragged',
        watchElement: true,
        onUpdate: ({ item, from, oldIndex = 0, newIndex = 0 }) => {
          removeNode(item)
          insertNodeAt(from, item, oldIndex)
          move(oldIndex, newIndex)
        },
      }),
    )
    toValue(list)?.setAttribute('data-ordered-by', 'hand')
  }
  useEventListener('pointermove', fetchDragging, { passive: true, once: true })
  useEventListener('touchstart', fetchDragging, { passive: true, once: true })
}

/** A list with one of its members put elsewhere. */
export function moved<Of>(list: readonly Of[], from: number, to: number): readonly Of[] {
  const next = [...list]
  next.splice(to, 0, ...next.splice(from, 1))
  return next
}
