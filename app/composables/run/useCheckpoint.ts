import type { CheckedEntry } from '#core/run/carriedShape'
import { askCheckpoint } from '#core/run/corrections/askCheckpoint'
import { checkpointResult } from '#core/run/corrections/checkpoint'
import { checkpointWords, laidWords } from '#core/run/corrections/checkpointWords'
import { doneAt } from '#core/run/progress'

/** What one rest says, as soon as it can be read: the sentence back, and what it changes. */
export function useCheckpoint(entry: () => CheckedEntry | undefined) {
  const { frozen, progress } = useRunScreen()
  const crew = useCrewStore()
  const { at, dialFor } = useDialCurves()
  const question = computed(() => {
    const now = entry()
    return now && askCheckpoint(frozen.value, progress.value, now)
  })
  const result = computed(() => question.value && checkpointResult(question.value))
  const words = computed(() => {
    const now = question.value?.rests.at(-1)
    const inHand = entry()
    if (!question.value || !result.value || !now || !inHand) return undefined
    // It is written down when one carries on; till then it is of now.
    const moment = new Date().toISOString()
    const { dial, pace } = at(moment)
    const earlier = progress.value.checked.filter((one) => doneAt(one) < now.done - 1e-9)
    const corrected = dialFor(
      question.value,
      result.value,
      [...earlier, { ...inHand, at: moment }],
      result.value.needed,
    )
    return checkpointWords(result.value, now, { dial, corrected, pace }, crew.units)
  })
  const laid = computed(
    () => result.value && question.value && laidWords(result.value, question.value, crew.units),
  )
  return { question, result, words, laid }
}
