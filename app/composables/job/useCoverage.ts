import * as Comlink from 'comlink'
import { watchDebounced } from '@vueuse/core'
import type { CoverageAsk } from '#core/lanes/coverage/workOutCoverage'
import type { LanesWork } from '../../workers/lanes.worker'
import type { RatePaint } from '../../workers/paintedRates'

type Answer = Awaited<ReturnType<LanesWork['coverage']>>
export type ShownCoverage = Extract<Answer, { ok: true }>['value']

/** From nothing over what was meant to twice of it: blue, pale, rust; told apart by lightness too. */
export const RATE_STEPS: RatePaint['steps'] = [
  [18, 60, 105],
  [52, 104, 150],
  [112, 158, 192],
  [176, 206, 222],
  [232, 238, 232],
  [246, 240, 220],
  [240, 206, 150],
  [222, 152, 84],
  [188, 92, 44],
  [126, 44, 20],
]
const PAUSE_MS = 300

/** What the ground gets, worked out away from the page with its progress, and given up when asked to. */
export function useCoverage(ask: () => CoverageAsk | undefined, bearing: () => number) {
  const told = shallowRef<ShownCoverage>()
  const problem = ref<'failed' | 'given up' | Extract<Answer, { ok: false }>['error']['kind']>()
  const progress = ref<number>()
  let work: ReturnType<typeof openLaneWork> | undefined
  let round = 0
  function stop() {
    round += 1
    work?.end()
    work = undefined
    progress.value = undefined
  }
  async function start() {
    stop()
    const asked = ask()
    if (!asked) return
    const own = round
    work = openLaneWork()
    progress.value = 0
    problem.value = undefined
    try {
      const answer = await work.remote.coverage(
        asked,
        { steps: RATE_STEPS, bearing: bearing() },
        Comlink.proxy((share: number) => {
          if (own === round) progress.value = share
        }),
      )
      if (own !== round) return
      if (answer.ok) told.value = answer.value
      else problem.value = answer.error.kind
    } catch {
      if (own === round) problem.value = 'failed'
    }
    if (own === round) stop()
  }
  function giveUp() {
    stop()
    problem.value = 'given up'
  }
  watchDebounced(ask, start, { debounce: PAUSE_MS, immediate: true })
  onScopeDispose(stop)
  return { told, problem, progress, giveUp, start }
}
