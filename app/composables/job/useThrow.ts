import { throwPattern } from '#core/job/lanes/throwPattern'

/** The pattern the machine of the sheet throws, by its newest test; until that has come, a typical one. */
export function useThrow(width: () => number) {
  const { document } = useSheet()
  const library = useLibraryStore()
  const source = computed(() => document.value[document.value.method].source?.id)
  const { answer: tests } = useAnswers(() =>
    source.value ? questions.benchTestsOf(source.value) : undefined,
  )
  const machine = computed(() => library.equipment.find(({ id }) => id === source.value)?.document)
  const pattern = computed(() =>
    throwPattern(
      document.value.method,
      machine.value,
      tests.value.map((test) => test.document),
      width(),
    ),
  )
  return { machine, pattern }
}
