import { useQuery } from '@pinia/colada'
import type { Question } from './questions'

/**
 * What the server answers to a question, asked for as long as somebody looks and again when the question or
 * the crew changes. The answer to a question that is not asked any more never shows.
 * @param question undefined while there is nothing to ask
 * @param before what is waited for first
 */
export function useAnswer<T>(question: () => Question<T> | undefined, before?: () => Promise<void>) {
  const { data, error, refetch } = useQuery<T | undefined>(() => {
    const asked = question()
    return {
      key: asked ? [asked.url, { ...asked.query }] : ['nothing'],
      enabled: asked !== undefined,
      query: async () => {
        await before?.()
        return asked && ask(asked)
      },
    }
  })
  return {
    answer: computed(() => data.value),
    problem: computed(() => (error.value === null ? undefined : errorText(error.value))),
    /** Whether there is an answer, of now or of before. */
    known: computed(() => data.value !== undefined),
    loading: computed(() => data.value === undefined && error.value === null && question() !== undefined),
    /** Asks again; what was shown stays until the answer is there. */
    again: async (): Promise<void> => {
      if (question()) await refetch()
    },
    /** Asks again for somebody who can't go on without: rejects where there is no answer. */
    need: async (): Promise<void> => {
      if (question()) await refetch(true)
    },
  }
}

/** The rows the server answers with: none until they are there. */
export function useAnswers<T>(
  question: () => Question<readonly T[]> | undefined,
  before?: () => Promise<void>,
) {
  const { answer, ...rest } = useAnswer(question, before)
  return { ...rest, answer: computed((): readonly T[] => answer.value ?? []) }
}
