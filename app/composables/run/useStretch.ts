import { lanesOfStretch, type StretchLane } from '#core/lanes/lawns/lanesOfStretch'
import { walkingOrder } from '#core/lanes/lawns/walkingOrder'
import { sumOf } from '#core/quantity/counting'
import type { RunStep } from '#core/run/steps/runSteps'

type Stretch = Extract<RunStep, { kind: 'pass' | 'check' | 'spray' }>

/** The lanes of one step of the run; empty until they are known, and where nobody knows them. */
export function useStretch(step: () => Stretch) {
  const { frozen } = useRunScreen()
  const { lanes } = useSheet()
  return computed((): readonly StretchLane[] => {
    const walked = walkingOrder(lanes.worked.value?.lanes.lawns ?? [])
    const now = step()
    if (now.kind === 'spray') {
      const { loads } = frozen.value.plan
      const whole = sumOf(loads, ({ size }) => size.value)
      const before = sumOf(
        loads.filter(({ number }) => number < now.load.number),
        ({ size }) => size.value,
      )
      return lanesOfStretch(walked, before / whole, (before + now.load.size.value) / whole)
    }
    const [from, to] = now.kind === 'check' ? [0, now.share] : [now.from, now.to]
    const group = now.kind === 'pass' && now.load > 0 ? frozen.value.plan.rates?.[now.load - 1] : undefined
    const own = walked.filter(
      ({ pass, lawnId }) => pass === now.pass && (group?.areas.includes(lawnId) ?? true),
    )
    return lanesOfStretch(own, from, to)
  })
}
