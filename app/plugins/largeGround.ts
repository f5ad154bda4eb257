import { isWorkedOut, workOutElsewhere, type LargeGround, type WorkedGround } from '#core/ground/largeGround'
import type { LargeGroundWork } from '../workers/largeGround.worker'

/** Longer than this nobody waits for a figure. */
const MOST_MS = 20_000

/** An idle worker is kept this long. */
const RESTS_MS = 60_000

const GIVEN_UP: WorkedGround = { crossings: [], combined: { ok: false, error: { kind: 'tooComplex' } } }

/** Gives the core a worker for outlines that would hold the page up; what shows them is worked out again. */
export default defineNuxtPlugin(() => {
  const answers = shallowRef(0)
  const asked: LargeGround[] = []
  let busy = false
  let worker: Worker | undefined
  let resting: ReturnType<typeof setTimeout> | undefined

  // What the last answer compiled serves the next one, while somebody is still at it.
  function openWorker(): Worker {
    clearTimeout(resting)
    worker ??= new Worker(new URL('../workers/largeGround.worker.ts', import.meta.url), { type: 'module' })
    return worker
  }

  function closeWorker() {
    worker?.terminate()
    worker = undefined
  }

  async function workThrough() {
    busy = true
    // Engine and bridge come when they are wanted: the first page does without.
    const [{ rememberGround }, Comlink] = await Promise.all([
      import('#core/ground/workOutGround'),
      import('comlink'),
    ])
    const remote = Comlink.wrap<LargeGroundWork>(openWorker())
    // The newest first: while a corner is dragged the older ones are not on the screen any more.
    for (let next = asked.pop(); next; next = asked.pop()) {
      if (isWorkedOut(next)) continue
      const worked = await Promise.race([
        remote.workOutGround(next).catch(() => GIVEN_UP),
        new Promise<WorkedGround>((done) => setTimeout(done, MOST_MS, GIVEN_UP)),
      ])
      rememberGround(next, worked)
      answers.value += 1
      if (worked === GIVEN_UP) {
        closeWorker()
        break
      }
    }
    resting = setTimeout(closeWorker, RESTS_MS)
    busy = false
    if (asked.length > 0) void workThrough()
  }

  workOutElsewhere((ground) => {
    // Read while something is computed: it is computed again when an answer has come.
    void answers.value
    if (!asked.includes(ground)) asked.push(ground)
    if (asked.length > MOST_ASKED) asked.shift()
    if (!busy) void workThrough()
  })
})

/** Of what was asked for while the worker was busy, more than this has long been changed again. */
const MOST_ASKED = 60
