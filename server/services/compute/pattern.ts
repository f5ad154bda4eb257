import {
  depositProfile,
  effectiveSwath,
  halfRateWidth,
  skew,
  throwOf,
  trayEdges,
  variation,
} from '#core/calibration/trayPattern'
import type { ComputeIssue } from '#core/computeIssue'
import { lengthSi } from '#core/quantity/quantity'
import { err, ok, type Result } from '#core/result'
import { openWorkingBook } from '#core/working/working'
import type { PatternAnswer, PatternRequest } from '#shared/schemas/compute/bench'
import { answeredWorking } from './answeredWorking'

/** Lanes nearer than this share of a tray spacing are no lanes. */
const NEAREST_LANE = 0.05

/** A tray test from figures, for other programs. */
export function answerPattern(request: PatternRequest): Result<PatternAnswer, readonly ComputeIssue[]> {
  const { catches, centre, travel, limit, at } = request
  const spacing = lengthSi(request.spacing)
  const profile = depositProfile({ catches, spacing, ...(centre !== undefined && { centre }) })
  if (!profile.ok) {
    const message = 'No tray caught anything: there is no pattern to look at.'
    return err([{ code: 'not-enough', path: 'catches', message }])
  }
  const lanes = at && at.length > 0 ? at.map(lengthSi) : steps(spacing, throwOf(profile.value))
  const near = lanes.findIndex((lane) => lane < spacing * NEAREST_LANE)
  if (near >= 0) {
    const message = 'Lanes this near to each other are no lanes: give spacings near those of the trays.'
    return err([{ code: 'impossible', path: `at.${near}`, message }])
  }
  const book = openWorkingBook()
  const { swath } = effectiveSwath(profile.value, travel, limit / 100, 'swath', book)
  const half = halfRateWidth(profile.value)
  const metres = (value: number) => ({ value, unit: 'm' as const })
  return ok({
    swath: swath === undefined ? null : metres(swath),
    cv: lanes.map((lane) => ({
      spacing: metres(lane),
      oneWay: 100 * variation(profile.value, lane, 'one-way'),
      backAndForth: 100 * variation(profile.value, lane, 'back-and-forth'),
    })),
    halfRateWidth: half === undefined ? null : metres(half),
    skew: 100 * skew(profile.value).share,
    ended: trayEdges(profile.value) === 'ended',
    working: answeredWorking(book),
  })
}

/** From two trays to the whole throw, a tray at a time. */
const steps = (spacing: number, widest: number): readonly number[] =>
  Array.from({ length: Math.max(0, Math.round(widest / spacing) - 1) }, (_, i) => (i + 2) * spacing)
