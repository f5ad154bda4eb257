import type { WeighingResult } from '#core/run/corrections/weighing'
import type { AmountUnit } from '#core/quantity/units'

/** What a display's figure means, in one sentence. */
export function overshootWords(
  { answer, over, deviation, takeOut, moreLawn }: WeighingResult,
  unit: AmountUnit,
  shown: Pick<ReturnType<typeof useShown>, 'amount' | 'size'>,
): { readonly level: 'good' | 'note' | 'warn' | 'stop'; readonly text: string } {
  const told = (value: number) => {
    const { figure, unit: as } = shown.amount({ value, unit })
    return `${figure} ${as}`
  }
  const { figure, unit: ground } = shown.size(moreLawn)
  const lawn = `${figure} ${ground}`
  const percent = `${Math.abs(deviation * 100).toFixed(1)} %`
  switch (answer) {
    case 'right':
      return { level: 'good', text: 'That is it.' }
    case 'short':
      return { level: 'note', text: `${told(-over)} more.` }
    case 'inside':
      return {
        level: 'warn',
        text: `${told(over)} over: ${percent}, still inside the label. Take it out, or do ${lawn} more.`,
      }
    case 'unlimited':
      return { level: 'warn', text: `${told(over)} over: ${percent}. Take it out, or do ${lawn} more.` }
    case 'over label':
      return {
        level: 'stop',
        text:
          `${told(over)} over. Take at least ${told(takeOut)} out for the label’s most, or do ${lawn} ` +
          'more.',
      }
    default:
      return answer satisfies never
  }
}
