/**
 * A lawn's soil as heat goes through it: a thatch that lets heat in slowly, a root layer that is read at
 * 2 in, and colder, slower layers below. It is not made by the model that is fitted to it.
 */
export interface LayeredSoil {
  /** What the root layer is above the air in the long run, K. */
  readonly offset: number
  /** Days in which thatch and root layer alone would make good 63 %. */
  readonly days: number
  /** How strongly each layer below holds on to the one above it, per day. */
  readonly below: readonly number[]
}
const STEPS = 8

/** Soil at 2 in at the end of each day. @param air daily means, °C */
export function soilUnder(air: readonly number[], { offset, days, below }: LayeredSoil): readonly number[] {
  const mean = air.reduce((sum, one) => sum + one, 0) / air.length
  // Below, the soil begins at the year's mean, as it does in nature.
  const layers = [air[0] ?? 0, ...below.map(() => mean)]
  return air.map((outside) => {
    for (let step = 0; step < STEPS; step++) {
      const before = [...layers]
      layers[0]! += (outside - before[0]!) / days / STEPS
      for (const [i, hold] of below.entries()) {
        const flow = (hold * (before[i + 1]! - before[i]!)) / STEPS
        layers[i]! += flow
        // Each layer below is twice as thick.
        layers[i + 1]! -= flow / 2 ** (i + 1)
      }
    }
    return layers[0]! + offset
  })
}

/** Days in which soil under a step of air makes good 63 %, by looking. */
export function responseDays(soil: LayeredSoil): number {
  const shares = soilUnder([0, ...Array.from({ length: 120 }, () => 1)], { ...soil, offset: 0 })
  const reached = shares.findIndex((share) => share >= 1 - 1 / Math.E)
  const [a = 0, b = 1] = [shares[reached - 1], shares[reached]]
  return reached - 1 + (1 - 1 / Math.E - a) / (b - a)
}
