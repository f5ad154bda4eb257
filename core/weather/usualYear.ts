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
  const { cosines, sines } = wavesFrom(first, values.length)
  const moments = [new Float64Array(3), new Float64Array(3), new Float64Array(3)] as const
  const right = new Float64Array(3)
  const terms = new Float64Array([1, 0, 0])
  let known = 0
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    if (Number.isNaN(value)) continue
    known += 1
    terms[1] = cosines[i]!
    terms[2] = sines[i]!
    for (let row = 0; row < 3; row++) {
      right[row]! += value * terms[row]!
      for (let column = 0; column < 3; column++) moments[row]![column]! += terms[row]! * terms[column]!
    }
  }
  if (known < LEAST_DAYS) return undefined
  const [mean, cosine, sine] = solved(
    moments.map((row) => [...row]),
    [...right],
  )
  const usual = { mean: mean ?? 0, cosine: cosine ?? 0, sine: sine ?? 0 }
  let squares = 0
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    if (!Number.isNaN(value))
      squares += (value - usual.mean - usual.cosine * cosines[i]! - usual.sine * sines[i]!) ** 2
  }
  return { ...usual, spread: Math.sqrt(squares / (known - 3)) }
}

/** The wave of the year day by day; the calendar is asked once a year, not once a day. */
interface Waves {
  readonly first: number
  readonly cosines: Float64Array
  readonly sines: Float64Array
}
/** All lawns of a station ask for the same days: the last ones stay. */
let lastWaves: Waves | undefined

function wavesFrom(first: number, length: number): Waves {
  if (lastWaves?.first === first && lastWaves.cosines.length === length) return lastWaves
  const [cosines, sines] = [new Float64Array(length), new Float64Array(length)]
  let year = Number(dayOfNumber(first).slice(0, 4))
  let start = dayNumber(`${year}-01-01`)
  let next = dayNumber(`${year + 1}-01-01`)
  for (let i = 0; i < length; i++) {
    if (first + i >= next) {
      year += 1
      start = next
      next = dayNumber(`${year + 1}-01-01`)
    }
    const angle = (2 * Math.PI * (first + i - start)) / YEAR_DAYS
    cosines[i] = Math.cos(angle)
    sines[i] = Math.sin(angle)
  }
  lastWaves = { first, cosines, sines }
  return lastWaves
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
