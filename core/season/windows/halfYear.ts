import { dayNumber } from '../../calendar/dayNumber'

/** The half of a year in which soil warms, and the one in which it cools. */
export type Half = 'warming' | 'cooling'

/** First and last day of a half, as day numbers. */
export interface HalfYear {
  readonly half: Half
  readonly from: number
  readonly to: number
}

/** Soil is warmest about the turn from July to August, or from January to February in the south. */
const WARMING = { north: '01-01', south: '07-01' } as const
const COOLING = { north: '08-01', south: '02-01' } as const

/**
 * The half of that kind a day lies in, else the next one for what comes in autumn, the last one for what came
 * in spring: after midsummer one looks back on spring and ahead to autumn.
 * @param latitude degrees, south below zero
 */
export function halfYearOf(half: Half, today: string, latitude: number): HalfYear {
  const side = latitude < 0 ? 'south' : 'north'
  const key = `${half} ${today} ${side}`
  const found = lastAsked.get(key) ?? findHalf(half, today, side)
  // A board asks the same of every lawn: a few are kept.
  if (lastAsked.size > KEPT) lastAsked.clear()
  lastAsked.set(key, found)
  return found
}

const lastAsked = new Map<string, HalfYear>()
const KEPT = 200

function findHalf(half: Half, today: string, side: keyof typeof WARMING): HalfYear {
  const year = Number(today.slice(0, 4))
  const starts = [year - 1, year, year + 1].map((one) => ({
    warming: dayNumber(`${one}-${WARMING[side]}`),
    cooling: dayNumber(`${one}-${COOLING[side]}`),
  }))
  const now = dayNumber(today)
  const warm = starts.map(({ warming }) => warming).findLast((start) => start <= now) ?? now
  const turn = starts.map(({ cooling }) => cooling).find((start) => start > warm) ?? now
  if (half === 'warming') return { half, from: warm, to: turn - 1 }
  const next = starts.map(({ warming }) => warming).find((start) => start > turn)
  return { half, from: turn, to: (next ?? dayNumber(`${year + 1}-${WARMING[side]}`)) - 1 }
}
