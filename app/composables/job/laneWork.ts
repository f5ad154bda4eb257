import * as Comlink from 'comlink'
import type { LanesWork } from '../../workers/lanes.worker'

/** A worker for lanes of its own, to be ended when it is not wanted any more. */
export function openLaneWork(): {
  readonly remote: Comlink.Remote<LanesWork>
  readonly end: () => void
} {
  const worker = new Worker(new URL('../../workers/lanes.worker.ts', import.meta.url), { type: 'module' })
  return { remote: Comlink.wrap<LanesWork>(worker), end: () => worker.terminate() }
}
