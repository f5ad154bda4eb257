import { composeSheet } from '../core/jobsheet/applicationSheet'
import { withRate } from './withRate'
import { largeDocument } from './workload'

const WARM_UP = 300
const RUNS = 3000

/** Replans of a 40 x 6 sheet, each with another rate, timed one by one; runs in the page. */
export function timeReplans(): readonly number[] {
  const document = largeDocument(40, 6)
  const times: number[] = []
  for (let i = 0; i < WARM_UP + RUNS; i++) {
    const changed = withRate(document, String(2 + (i % 300) / 100))
    const begun = performance.now()
    const sheet = composeSheet(changed, '2026-05-06')
    const took = performance.now() - begun
    if (!sheet.plan) throw new Error('the bench sheet does not plan')
    if (i >= WARM_UP) times.push(took)
  }
  return times
}
