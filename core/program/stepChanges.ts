import type { Intention } from './intentions'
import type { StepChange } from './programShape'

/** A change of a step that leaves everything as it is. */
export const noChange = ({
  stepId,
  occurrence,
  nitrogen,
}: Pick<Intention, 'stepId' | 'occurrence' | 'nitrogen'>): StepChange => ({
  stepId,
  occurrence,
  leaveOut: false,
  doneOn: '',
  productId: '',
  nitrogen: { text: '', unit: nitrogen.unit },
})

/** A change that leaves a step out on this lawn. */
export const leavingOut = (
  step: Pick<Intention, 'stepId' | 'occurrence'> & Partial<Pick<Intention, 'nitrogen'>>,
): StepChange => ({
  ...noChange({ nitrogen: { text: '', unit: 'lb/1000 ft2' }, ...step }),
  leaveOut: true,
})

/**
 * Changes of a lawn's program with more of them: a later one keeps what was changed of its step before, but
 * for what it is about.
 */
export function withChanges(
  before: readonly StepChange[],
  changes: readonly StepChange[],
): readonly StepChange[] {
  return changes.reduce((all, change) => {
    const isSame = ({ stepId, occurrence }: StepChange) =>
      stepId === change.stepId && occurrence === change.occurrence
    const known = all.find(isSame)
    const both: StepChange = {
      ...known,
      ...change,
      productId: change.productId || (known?.productId ?? ''),
      nitrogen: change.nitrogen.text ? change.nitrogen : (known?.nitrogen ?? change.nitrogen),
    }
    return [...all.filter((one) => !isSame(one)), both]
  }, before)
}
