import type { Quantity } from '../../quantity/quantity'
import type { LengthUnit } from '../../quantity/units'
import { afterAny, past, spanAt, type Read, type Tokens } from './phrases'
import { HOURS_IN } from './units'

/** Hours after some words: "for 12 hours", "in 30 minutes". */
function hoursAfter(tokens: Tokens, at: number, links: readonly string[]): Read<number> | undefined {
  const span = spanAt(tokens, past(tokens, at, links))
  const hours = span && HOURS_IN[tokens[span.to]?.text ?? '']
  return span && hours !== undefined ? { is: span.is.from * hours, to: span.to + 1 } : undefined
}

const ENTRY: readonly string[] = [
  'do not enter or allow entry|others into treated areas|area',
  'do not re - enter treated areas|area',
  'do not re - enter',
  'do not reenter|enter treated areas|area',
  'do not reenter|enter',
  'restricted - entry interval',
  'restricted entry interval',
  're - entry interval|period|time|after',
  're - entry',
  'rei|reentry interval|period|time|after',
  'rei|reentry',
  'entry restricted|prohibited',
  'keep people|persons|everyone out of the|all treated area|areas',
  'keep people|persons|everyone out of treated area|areas',
  'keep people|persons|children|everyone and pets off|from the|all treated area|areas|turf|lawn',
  'keep people|persons|children|everyone and pets off|from treated area|areas|turf|lawns',
  'keep people|persons|children|everyone and pets off',
  'keep off the|all treated area|areas|turf|lawn',
  'keep off treated area|areas|turf|lawns',
  'keep off',
]

/** Nobody goes back before so many hours. */
export function reentryAt(tokens: Tokens, at: number): Read<number> | undefined {
  const to = afterAny(tokens, at, ENTRY)
  return to === undefined
    ? undefined
    : hoursAfter(tokens, past(tokens, to, ['( rei )']), [':', '=', 'of|is|for|until|within'])
}

export function rainfastAt(tokens: Tokens, at: number): Read<number> | undefined {
  const to = afterAny(tokens, at, ['rainfast'])
  if (to !== undefined) return hoursAfter(tokens, to, ['in|within|after', ':'])
  const wait = afterAny(tokens, at, ['wait|allow'])
  const hours = wait === undefined ? undefined : hoursAfter(tokens, wait, ['at least'])
  const rain = hours && afterAny(tokens, hours.to, BEFORE_RAIN)
  return hours && rain !== undefined ? { is: hours.is, to: rain } : undefined
}
const BEFORE_RAIN: readonly string[] = [
  'before rain|rainfall or irrigation',
  'before irrigation|irrigating or rain|rainfall',
  'before rain|rainfall',
]

const LENGTHS: Readonly<Record<string, LengthUnit | 'mm'>> = {
  inch: 'in',
  inches: 'in',
  in: 'in',
  '"': 'in',
  '”': 'in',
  '″': 'in',
  mm: 'mm',
  millimetres: 'mm',
  millimeters: 'mm',
  cm: 'cm',
}
const WATER_IN: readonly string[] = [
  'water in with',
  'irrigate|water with',
  'water in',
  'watered in with',
  'apply irrigation|water of',
  'irrigate',
  'apply|with',
]

export interface WaterIn {
  readonly depth?: Quantity<LengthUnit>
  /** Hours. */
  readonly within?: number
}

/** "Water in with 1/2 inch of irrigation within 24 hours"; the least of two depths is what must come. */
export function waterInAt(tokens: Tokens, at: number): Read<WaterIn> | undefined {
  const begun = afterAny(tokens, at, WATER_IN)
  // "Do not irrigate within 24 hours" asks for the opposite.
  if (begun === undefined || tokens[at - 1]?.text === 'not') return undefined
  const isNamed = begun > at + 1
  const span = spanAt(tokens, past(tokens, begun, ['at least', 'about']))
  const unit = span && LENGTHS[tokens[span.to]?.text ?? '']
  const measured =
    span && unit
      ? (afterAny(tokens, span.to + 1, ['of water|irrigation|rain|rainfall']) ?? span.to + 1)
      : undefined
  const deep = measured !== undefined && span && unit
  // "Apply 2 inches ..." says nothing of water unless water is named.
  if (deep && tokens[at]?.text === 'apply' && !isNamed && measured === span.to + 1) return undefined
  const place = deep ? measured : begun
  const within = hoursAfter(tokens, afterAny(tokens, place, ['within']) ?? tokens.length, [])
  if (!deep && (!within || tokens[at]?.text === 'apply' || tokens[at]?.text === 'with')) return undefined
  const end = within ? past(tokens, within.to, ['of|after application|treatment']) : place
  return {
    is: {
      ...(deep && {
        depth:
          unit === 'mm' ? { value: span.is.from / 10, unit: 'cm' as const } : { value: span.is.from, unit },
      }),
      ...(within && { within: within.is }),
    },
    to: end,
  }
}
