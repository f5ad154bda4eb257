import { rateUnitParts } from '../../quantity/rateUnit'
import type { AreaUnit } from '../../quantity/units'
import { carrierAt, type Carrier } from './carriers'
import type { Tokens } from './phrases'
import { carrierIn } from './printedUnits'
import { put, type Reading } from './reading'
import { range } from './sentences'

/** Spray that carries the product, on ground of its own or that of the rate beside it. */
export function carrier(reading: Reading, tokens: Tokens, at: number): number | undefined {
  const read = carrierAt(tokens, at)
  return read && carrierSaid(reading, read.is, range(at, read.to), read.to)
}

/** The ground of the rate beside it, where the carrier names none of its own. */
function groundOf(reading: Reading): { readonly unit: AreaUnit; readonly count: number } | undefined {
  const { rate, low } = reading.lines.at(-1)?.fields ?? {}
  const unit = (rate ?? low)?.unit
  if (!unit || rateUnitParts(unit).per !== 'area') return undefined
  const area = unit.slice(unit.indexOf('/') + 1)
  return /^\d/.test(area)
    ? { unit: area.replace(/^\d+ /, '') as AreaUnit, count: Number(area.split(' ')[0]) }
    : { unit: area as AreaUnit, count: 1 }
}

export function carrierSaid(
  reading: Reading,
  { span, unit, ground = groundOf(reading) }: Carrier,
  places: readonly number[],
  to: number,
): number | undefined {
  if (!ground || unit.unit === '%') return undefined
  const amount = unit.unit
  const told = (value: number) => carrierIn(value, amount, { of: 'area', ...ground })
  put(
    reading,
    { carrierFrom: told(span.from), ...(span.to !== undefined && { carrierTo: told(span.to) }) },
    places,
  )
  return to
}
