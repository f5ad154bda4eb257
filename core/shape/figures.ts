import * as v from 'valibot'
import { LARGEST, type Entered } from '../quantity/entered'
import type { Quantity } from '../quantity/quantity'

export const Positive = v.pipe(
  v.number('must be a number'),
  v.gtValue(0, 'must be above zero'),
  v.maxValue(LARGEST, 'must be at most 1,000,000,000'),
)
export const NotNegative = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must not be below zero'),
  v.maxValue(LARGEST, 'must be at most 1,000,000,000'),
)
export const Percent = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must not be below zero'),
  v.maxValue(100, 'must be at most 100 %'),
)

/** A figure beside its unit, the unit one of a core table's. Per cents stay at or under 100. */
export function quantityOf<const U extends string>(
  units: readonly U[],
  value: typeof Positive | typeof NotNegative,
) {
  return v.pipe(
    v.strictObject({
      value,
      unit: v.picklist(
        units,
        `must be one of the known units${units.length <= 8 ? `: ${units.join(', ')}` : ''}`,
      ),
    }),
    v.check(
      ({ value: figure, unit }: Quantity<U>) => (unit as string) !== '%' || figure <= 100,
      'must be at most 100 %',
    ),
  )
}

/** The longest text a field keeps; far beyond any figure, so that nothing typed is lost. */
const LONGEST_ENTRY = 200

/** What was typed, to the letter, and the unit the field stood in. */
export const enteredOf = <const U extends string>(units: readonly U[]): v.GenericSchema<Entered<U>> =>
  v.strictObject({
    text: v.pipe(v.string(), v.maxLength(LONGEST_ENTRY, 'is too long for a figure')),
    unit: v.picklist(units),
  }) as v.GenericSchema<Entered<U>>

/** One entry for each of a core table's names. */
export const entriesOf = <const N extends string, S>(
  names: readonly N[],
  entry: (name: N) => S,
): { readonly [K in N]: S } =>
  Object.fromEntries(names.map((name) => [name, entry(name)])) as { readonly [K in N]: S }
