import * as v from 'valibot'
import { UNIT_SYSTEMS } from '#core/quantity/systems'

const WORDS_LENGTH = 200

/** What is typed to find something; more of it than anything is called is cut off. */
export const Words = v.optional(
  v.pipe(
    v.string(),
    v.transform((words) => words.slice(0, WORDS_LENGTH)),
  ),
  '',
)

/** The `next` of the page before. */
export const After = v.optional(v.string())

/** One of a few words, which must be said: where nothing is, the refusal names them too. */
export const choiceOf = <const Choice extends readonly string[]>(choices: Choice) =>
  v.optional(
    v.picklist(choices, `must be ${choices.slice(0, -1).join(', ')} or ${choices.at(-1)}`),
    '' as never,
  )

/** The units an answer is to be read in; the crew's, where no system of units is named. */
export const Units = v.fallback(v.optional(v.picklist(UNIT_SYSTEMS)), undefined)

/**
 * A whole number between bounds, the usual one where none is said.
 * @param must what it must be, in words for a refusal
 */
export const wholeNumber = (usual: number, least: number, most: number, must: string) =>
  v.optional(
    v.pipe(v.string(), v.transform(Number), v.integer(must), v.minValue(least, must), v.maxValue(most, must)),
    String(usual),
  )
