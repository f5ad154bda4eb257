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
  return (amount: number) => shown.amountOf(amount, document.value.method === 'spread' ? 'mass' : 'volume')
}
