import { insertNodeAt, removeNode, useSortable } from '@vueuse/integrations/useSortable'

/**
 * Lets the children of a list be dragged into another order by their grip. The list itself is only told:
 * what is dragged goes back to its place, and stands where it was dropped once its data says so.
 */
export function useDragOrder(
  list: MaybeRefOrGetter<HTMLElement | null | undefined>,
  move: (from: number, to: number) => void,
) {
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
  })
}

/** A list with one of its members put elsewhere. */
export function moved<Of>(list: readonly Of[], from: number, to: number): readonly Of[] {
  const next = [...list]
  next.splice(to, 0, ...next.splice(from, 1))
  return next
}
