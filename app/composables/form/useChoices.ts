export interface Choice<V> {
  readonly value: V
  readonly text: string
}

/**
 * Choices by their places: the library's lists take no empty word as a value, and "not noted" is one of ours.
 */
export function useChoices<V>(
  choices: () => readonly Choice<V>[],
  value: () => V,
  choose: (value: V) => void,
) {
  const items = computed(() => choices().map(({ text }, index) => ({ label: text, value: index })))
  const chosen = computed(() => {
    const at = choices().findIndex((choice) => choice.value === value())
    return at === -1 ? undefined : at
  })
  function take(index: unknown) {
    const choice = choices()[Number(index)]
    if (choice) choose(choice.value)
  }
  return { items, chosen, take }
}
