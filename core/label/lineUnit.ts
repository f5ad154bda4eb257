import type { Entered } from '../quantity/entered'
import type { RateUnit } from '../quantity/units'
import type { RateLine } from './productShape'

/** The rates of a line that stand in one unit, unless one of them was typed with another. */
export const LINE_RATES = ['rate', 'low', 'high', 'most', 'year'] as const

/** The line in another unit: what stands in its old one, or is blank, follows; figures stay as typed. */
export const inLineUnit = (line: RateLine, unit: RateUnit): RateLine =>
  withUnit(line, unit, (entered) => entered.unit === line.rate.unit || entered.text.trim() === '')

/** The line with its usual rate as typed; blank rates follow its unit. */
export const withUsualRate = (line: RateLine, rate: Entered<RateUnit>): RateLine => ({
  ...withUnit(line, rate.unit, (entered) => entered.text.trim() === ''),
  rate,
})

/** The line with its blank rates asked in a unit. */
export const withBlanksIn = (line: RateLine, unit: RateUnit): RateLine =>
  withUnit(line, unit, (entered) => entered.text.trim() === '')

function withUnit(
  line: RateLine,
  unit: RateUnit,
  follows: (entered: Entered<RateUnit>) => boolean,
): RateLine {
  const changed = LINE_RATES.filter((name) => follows(line[name])).map(
    (name) => [name, { ...line[name], unit }] as const,
  )
  return { ...line, ...Object.fromEntries(changed) }
}
