import type { Entered } from './entered'
import { unitText } from './systems'

const withUnit = (figure: string, unit: string): string => `${figure} ${unitText(unit)}`.trim()

/** One figure or two of a kind with their unit; blank where nothing was typed. */
export function enteredWords(first: Entered | undefined, last?: Entered): string {
  const from = first?.text.trim() ?? ''
  const to = last?.text.trim() ?? ''
  if (from === '' && to === '') return ''
  const [one, other] = [first?.unit ?? '', last?.unit ?? '']
  if (from === '') return `up to ${withUnit(to, other)}`
  if (to === '') return withUnit(from, one)
  return one === other
    ? `${from} to ${withUnit(to, one)}`
    : `${withUnit(from, one)} to ${withUnit(to, other)}`
}
