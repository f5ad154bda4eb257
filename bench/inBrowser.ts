import { workOutApplication, workOutJob } from '../core/job/workOutJob'
import { openWorkingBook } from '../core/working/working'
import { BENCH_HOUSE, sheetWithHistory } from './history'
import { withRate } from './withRate'
import { largeDocument } from './workload'

export { timeUnion } from './union'

const WARM_UP = 300
const RUNS = 3000

/** Replans, each with another rate, timed one by one; runs in the page. */
function timed(runs: number, replan: (rate: string) => unknown): readonly number[] {
  const times: number[] = []
  for (let i = 0; i < WARM_UP + runs; i++) {
    const begun = performance.now()
    replan(String(2 + (i % 300) / 100))
    if (i >= WARM_UP) times.push(performance.now() - begun)
  }
  return times
}

/** A 40 x 6 sheet by itself. */
export function timeReplans(): readonly number[] {
  const document = largeDocument(40, 6)
  return timed(RUNS, (rate) => {
    if (!workOutApplication(withRate(document, rate), '2026-05-06').plan)
      throw new Error('the bench sheet does not plan')
  })
}

/** The same with every rule asked of labels and 5,000 applications of history. */
export function timeRules(working: 'with working' | 'without'): readonly number[] {
  const { document, known } = sheetWithHistory()
  return timed(1000, (rate) => {
    const applications = [{ id: 'a', document: withRate(document, rate) }]
    const book = working === 'with working' ? openWorkingBook() : undefined
    const [sheet] = workOutJob({ applications, day: '2026-05-06', house: BENCH_HOUSE, ...known }, book)
    if (!sheet?.plan) throw new Error('the bench sheet does not plan')
    return sheet.checks
  })
}
