import * as Comlink from 'comlink'
import { workOutCoverage, type CoverageAsk } from '#core/lanes/coverage/workOutCoverage'
import type { LanesQuestion } from '#core/lanes/lawns/lanesQuestion'
import { workOutLanes } from '#core/lanes/lawns/workOutLanes'
import { openWorkingBook, type Working } from '#core/working/working'
import { paintedRates, type RatePaint } from './paintedRates'

/** Lanes and what the ground gets from them, away from the page. */
const work = {
  lanes(question: LanesQuestion) {
    const book = openWorkingBook()
    const lanes = workOutLanes(question, book)
    return { lanes, pages: written(book.pages()) }
  },
  async coverage(ask: CoverageAsk, paint: RatePaint, progress: (share: number) => void) {
    const book = openWorkingBook()
    let told = 0
    const worked = workOutCoverage(
      ask,
      (share) => {
        if (share - told < STEP && share < 1) return
        told = share
        progress(share)
      },
      book,
    )
    if (!worked.ok) return worked
    const { grid, ...rest } = worked.value
    return {
      ok: true as const,
      value: {
        ...rest,
        cell: grid.cell,
        picture: await paintedRates(grid, ask.target, paint),
        pages: written(book.pages()),
      },
    }
  },
}
/** Progress is told in steps of so much. */
const STEP = 0.02

/** Lines that are written when they are read can't be sent. */
const written = (pages: readonly Working[]): readonly Working[] =>
  pages.map(({ figure, lines }) => ({ figure, lines: [...lines] }))

export type LanesWork = typeof work
Comlink.expose(work)
