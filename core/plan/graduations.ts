const STEPS = [1, 2, 5]

/**
 * Marks for a vessel's side: round figures, four or five of them, none at nothing and none at the brim.
 * @param full what the vessel holds, in the unit of its marks
 * @example graduations(26) // [5, 10, 15, 20, 25]
 */
export function graduations(full: number): readonly number[] {
  if (!(full > 0) || !Number.isFinite(full)) return []
  const magnitude = 10 ** Math.floor(Math.log10(full / 4))
  const step = (STEPS.find((candidate) => candidate * magnitude >= full / 6) ?? 10) * magnitude
  const count = Math.floor((full / step) * 0.985)
  return Array.from({ length: count }, (_, i) => Number(((i + 1) * step).toPrecision(6)))
}
