import { useEventListener } from '@vueuse/core'
import type { Kind } from '#core/quantity/parseQuantity'

/** A field of the form in hand that a reading can go into. */
export interface Target {
  readonly path: string
  readonly label: string
}

/** What stands on the instrument itself: no reading of it is that. */
const NEVER_READ = /\.step$/

/**
 * Where the next reading of a kind goes: the field somebody stands in or last stood in, if it is of that
 * kind, else the first empty one.
 */
export function useEmptyField(kinds: () => readonly Kind[], changed: () => unknown) {
  const target = shallowRef<Target>()
  let last: HTMLInputElement | undefined

  const fits = (field: HTMLInputElement) =>
    field.isConnected &&
    !field.disabled &&
    !NEVER_READ.test(field.dataset.path ?? '') &&
    (kinds() as readonly string[]).includes(field.dataset.kind ?? '')
  const labelOf = (field: HTMLInputElement) =>
    field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent?.trim() ?? 'this field'

  function look() {
    const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-kind]')].filter(fits)
    const found =
      (last && fields.includes(last) && (last.value === '' || last === document.activeElement)
        ? last
        : undefined) ?? fields.find(({ value }) => value === '')
    target.value = found && { path: found.dataset.path ?? '', label: labelOf(found) }
  }

  if (import.meta.client) {
    useEventListener(document, 'focusin', ({ target: field }) => {
      if (field instanceof HTMLInputElement && field.dataset.kind) last = field
      look()
    })
  }
  watch(
    [kinds, changed],
    async () => {
      await nextTick()
      look()
    },
    { immediate: true, flush: 'post' },
  )
  return target
}
