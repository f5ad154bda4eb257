import type { StretchLane } from '#core/lanes/lawns/lanesOfStretch'
import { walkingOrder } from '#core/lanes/lawns/walkingOrder'
import { stepLanes, type WalkedStep } from '#core/run/steps/stepLanes'

/** The lanes of one step of the run; empty until they are known, and where nobody knows them. */
export function useStretch(step: () => WalkedStep) {
  const { frozen } = useRunScreen()
  const { lanes } = useSheet()
  return computed((): readonly StretchLane[] =>
    stepLanes(walkingOrder(lanes.worked.value?.lanes.lawns ?? []), step(), frozen.value),
  )
}
