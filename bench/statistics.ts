/** The share-th of sorted times, nearest rank. @param share from 0 to 1 */
export function percentile(times: readonly number[], share: number): number {
  const sorted = times.toSorted((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? Number.NaN
}

export const round = (value: number, digits = 3): number => Number(value.toPrecision(digits))
