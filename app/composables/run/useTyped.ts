import { useLocalStorage } from '@vueuse/core'

/** What is typed in a step and not yet written down lies here, by run, step and field. */
const PREFIX = 'hectarum-typed:'
const placeOf = (applicationId: string, step: string) => `${PREFIX}${applicationId}:${step}:`

/** A field of the step in hand: a page torn away, or a battery that dies, leaves it as it was typed. */
export function useTyped<T>(name: string, initial: T): Ref<T> {
  const { applicationId, step } = useRunScreen()
  return useLocalStorage<T>(`${placeOf(applicationId, step.value.id)}${name}`, initial, {
    serializer: {
      read: (text) => JSON.parse(text) as T,
      write: (value) => JSON.stringify(value),
    },
    // Nothing lies there before something was typed.
    writeDefaults: false,
  })
}

/** The step is written down: what was typed in it is there now. */
export function forgetTyped(applicationId: string, step: string): void {
  const place = placeOf(applicationId, step)
  for (const key of Object.keys(localStorage)) if (key.startsWith(place)) localStorage.removeItem(key)
}
