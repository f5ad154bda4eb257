import { isSameFigure, isUnder } from '../quantity/tolerance'
import type { LoadPlan } from './plan'

/** Loads that are measured alike, told as one. */
export interface LoadGroup {
  readonly title: string
  readonly load: LoadPlan
  readonly count: number
}

/**
 * Groups a plan's loads for the eye: the full ones together, the part load by itself.
 * Loads are alike when they hold the same and everything in them is measured the same.
 * @param tank what the tank holds, in the loads' unit
 */
export function loadGroups(
  loads: readonly LoadPlan[],
  tank: number,
  vessel: 'load' | 'bottle' = 'load',
): readonly LoadGroup[] {
  const groups: { load: LoadPlan; count: number }[] = []
  for (const load of loads) {
    const last = groups.at(-1)
    if (last && alike(last.load, load)) last.count++
    else groups.push({ load, count: 1 })
  }
  return groups.map(({ load, count }) => ({ load, count, title: titleOf(load, count, tank, vessel) }))
}

function titleOf(load: LoadPlan, count: number, tank: number, vessel: 'load' | 'bottle'): string {
  const name = !isUnder(load.carrier.value, tank) ? `Full ${vessel}` : `Part ${vessel}`
  return count === 1 ? name : `${count} x ${name.toLowerCase()}`
}

function alike(a: LoadPlan, b: LoadPlan): boolean {
  return (
    isSameFigure(a.carrier.value, b.carrier.value) &&
    isSameFigure(a.size.value, b.size.value) &&
    (a.areas ?? []).join() === (b.areas ?? []).join() &&
    a.products.every((product, i) => product.measured.value === b.products[i]?.measured.value)
  )
}
