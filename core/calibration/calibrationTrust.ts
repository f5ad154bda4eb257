import { dayText } from '../calendar/dayText'
import { formatDeviation } from '../quantity/format'
import type { MetresPerSecond } from '../quantity/quantity'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook } from '../working/working'
import { paceOf } from './anotherSpeed'
import { calibrationAge } from './calibrationAge'
import { sprayMethodOf } from './courseNote'
import type { Course } from './readCourse'
import { readSpeed } from './readSpeed'

/** What a calibration is wanted for. */
export interface TrustQuestion {
  /** YYYY-MM-DD. */
  readonly day: string
  /** Age in days up to which it is trusted. */
  readonly days: number
  /** As named on the label; blank: not said. */
  readonly product: string
  /** Speed of the work, m/s, if it is known. */
  readonly speed?: MetresPerSecond
  /** The nozzle set that is on now and the day it was fitted. */
  readonly nozzles?: { readonly what: string; readonly fitted: string }
}

/** One thing that speaks for a calibration or against it. */
export interface TrustReason {
  readonly about: 'product' | 'nozzles' | 'day' | 'speed'
  readonly holds: boolean
  readonly words: string
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/**
 * What speaks for trusting a calibration and what against, in the order in which it weighs. What is not known
 * is passed over.
 * Source: trade.md 3 (product, speed within 15 %), 4 (nozzle set), 6 (age).
 */
export function calibrationTrust(course: Course, question: TrustQuestion): readonly TrustReason[] {
  return [
    ...productReason(course, question),
    ...nozzleReason(course, question),
    dayReason(course, question),
    ...speedReason(course, question),
  ]
}

function productReason({ kind, note }: Course, { product }: TrustQuestion): readonly TrustReason[] {
  const tried = note.product ?? ''
  if (
    tried.trim() === '' ||
    product.trim() === '' ||
    (kind === 'spray' && sprayMethodOf(note) !== 'hose-end')
  )
    return []
  return [
    same(tried, product)
      ? { about: 'product', holds: true, words: 'with this product' }
      : { about: 'product', holds: false, words: `with ${tried.trim()}, not ${product.trim()}` },
  ]
}

function nozzleReason({ kind, note }: Course, { nozzles }: TrustQuestion): readonly TrustReason[] {
  if (kind !== 'spray' || !nozzles) return []
  const were = note.nozzles ?? ''
  if (were.trim() !== '' && nozzles.what.trim() !== '' && !same(were, nozzles.what))
    return [{ about: 'nozzles', holds: false, words: `with other nozzles: ${were.trim()}` }]
  if (nozzles.fitted !== '' && note.on !== '' && note.on < nozzles.fitted)
    return [{ about: 'nozzles', holds: false, words: `nozzles changed since, on ${dayText(nozzles.fitted)}` }]
  return were.trim() === '' && nozzles.fitted === ''
    ? []
    : [{ about: 'nozzles', holds: true, words: 'with these nozzles' }]
}

function dayReason({ note }: Course, { day, days }: TrustQuestion): TrustReason {
  const age = calibrationAge(note.on, day, days)
  if (age.days === undefined) return { about: 'day', holds: false, words: 'no day noted' }
  const told = age.days <= 0 ? 'made today' : age.days === 1 ? 'made yesterday' : `${age.days} days old`
  return {
    about: 'day',
    holds: age.state === 'fresh',
    words: age.state === 'fresh' ? told : `${told}, over ${days}`,
  }
}

function speedReason({ note }: Course, { speed }: TrustQuestion): readonly TrustReason[] {
  const made = readSpeed(note, '', fieldReader(), closedWorkingBook)
  if (made === undefined) return [{ about: 'speed', holds: false, words: 'no speed timed' }]
  if (speed === undefined || Math.abs(speed / made - 1) < 0.005)
    return [{ about: 'speed', holds: true, words: 'at this speed' }]
  const off = speed / made - 1
  return [
    {
      about: 'speed',
      holds: paceOf(speed, made) === 'trusted',
      words: `work is ${formatDeviation(off)} off its speed`,
    },
  ]
}
