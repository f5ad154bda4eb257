import type { LaneStop } from '#core/lanes/lawns/laneStops'

/** Why one stops at a lane. */
export const STOP_WORDS: Readonly<Record<LaneStop['why'], string>> = {
  laps: 'laps done',
  half: 'half way',
  pass: 'pass done',
  fill: 'fill up',
}

/** An amount on lanes, kg or m3, in the units of the screen. */
export function useLaneAmount() {
  const { document } = useSheet()
  const shown = useShown()
  const LITRES = 1000
  return (amount: number) =>
    document.value.method === 'spread'
      ? shown.amount({ value: amount, unit: 'kg' })
      : shown.amount({ value: amount * LITRES, unit: 'L' })
}
