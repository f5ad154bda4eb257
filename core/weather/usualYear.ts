import { dayNumber, dayOfNumber } from '../calendar/dayNumber'

/** The year as it usually is: one wave about its mean. */
export interface UsualYear {
  readonly mean: number
  readonly cosine: number
  readonly sine: number
  /** One standard deviation of a day about it. */
  readonly spread: number
}

const YEAR_DAYS = 365.2425
/** With less than a whole year there is nothing usual. */
const LEAST_DAYS = 360

const angleOf = (day: number): number => {
  const newYear = dayNumber(`${dayOfNumber(day).slice(0, 4)}-01-01`)
  return (2 * Math.PI * (day - newYear)) / YEAR_DAYS
}

/**
 * Fits one wave through the days of a series by least squares.
 * @param values by day; those that are not known say nothing
 * @returns undefined for less than a year of days
 */
export function usualYear(first: number, values: Float64Array): UsualYear | undefined {
  const rows = [...values].flatMap((value, i) => {
    if (Number.isNaN(value)) return []
    const angle = angleOf(first + i)
    return [{ value, terms: [1, Math.cos(angle), Math.sin(angle)] as const }]
  })
  if (rows.length < LEAST_DAYS) return undefined
  const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((total, row) => total + of(row), 0)
  const moments = [0, 1, 2].map((i) => [0, 1, 2].map((j) => sum(({ terms }) => terms[i]! * terms[j]!)))
  const right = [0, 1, 2].map((i) => sum(({ value, terms }) => value * terms[i]!))
  const [mean, cosine, sine] = solved(moments, right)
  const usual = { mean: mean ?? 0, cosine: cosine ?? 0, sine: sine ?? 0 }
  const squares = sum(
    ({ value, terms: [, cos, sin] }) => (value - usual.mean - usual.cosine * cos - usual.sine * sin) ** 2,
  )
  return { ...usual, spread: Math.sqrt(squares / (rows.length - 3)) }
}

/** What a day usually is. @param day its number */
export function usualOn({ mean, cosine, sine }: UsualYear, day: number): number {
  const angle = angleOf(day)
  return mean + cosine * Math.cos(angle) + sine * Math.sin(angle)
}

/** Three equations by elimination; the days of a year keep them well apart. */
function solved(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] {
  const rows = matrix.map((row, i) => [...row, right[i]!])
  for (const [i, pivot] of rows.entries())
    for (const [j, row] of rows.entries()) {
      if (i === j) continue
      const share = row[i]! / pivot[i]!
      for (const k of row.keys()) row[k]! -= share * pivot[k]!
    }
  return rows.map((row, i) => row[3]! / row[i]!)
}
