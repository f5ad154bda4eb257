import { useLocalStorage } from '@vueuse/core'

interface Given {
  readonly givenTo: string
}

/** Whose jobs are looked at: everybody's, or those of one person; kept on this device. */
export function useWhose(all: () => readonly Given[]) {
  const crew = useCrewStore()
  const self = useSelfStore()
  const whose = useLocalStorage(`hectarum-whose-${crew.organization?.id ?? ''}`, '')
  const names = computed(() => {
    const given = all().flatMap(({ givenTo }) => (givenTo === '' ? [] : [givenTo]))
    return [...new Set([...given, ...(whose.value === '' ? [] : [whose.value])])].toSorted()
  })
  const choices = computed(() => [
    { value: '', text: 'all jobs' },
    ...names.value.map((name) => ({
      value: name,
      text: name === self.person?.name ? `mine (${name})` : name,
    })),
  ])
  const own = <Of extends Given>(jobs: readonly Of[]): readonly Of[] =>
    whose.value === '' ? jobs : jobs.filter(({ givenTo }) => givenTo === whose.value)
  return { whose, choices, own }
}
