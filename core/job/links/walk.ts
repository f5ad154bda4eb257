import type { CalibrationToday } from '../../calibration/calibrationToday'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { dialFor, type DialAnswer, type DialLibrary } from '../../draft/dial'
import { walkOf, type Walk } from '../../lanes/walk'
import type { WorkingBook } from '../../working/working'
import type { LoadLink } from './load'
import type { MeasureLink } from './measure'

/** How it is carried over the ground: the dial, the way and the time. Both wait for a calibration. */
export interface WalkLink {
  readonly dial: DialAnswer | undefined
  readonly walk: Walk | undefined
}

export function walkLink(
  draft: ApplicationDraft,
  { size }: MeasureLink,
  calibration: CalibrationToday | undefined,
  { plan, passes, wantedPerPass, light }: LoadLink,
  library: DialLibrary,
  day: string,
  book: WorkingBook,
): WalkLink {
  const speed = calibration?.speedToday
  return {
    // Light passes go on at the tested setting until the weighed amount is out.
    dial: dialFor(draft, calibration, light ? undefined : wantedPerPass, passes, library, day, book),
    walk: plan && calibration && speed ? walkOf(size, calibration.width, passes, speed, book) : undefined,
  }
}
