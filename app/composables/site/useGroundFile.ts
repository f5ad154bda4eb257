import * as Comlink from 'comlink'
import type { Anchor } from '#core/ground/geodesy'
import { MOST_BYTES } from '#core/ground/files/foundGround'
import { MOST_CORNERS } from '#core/ground/areaShape'
import type { GroundFileWork, OpenedFile, PreparedOutline } from '../../workers/groundFile.worker'

type Opened = Extract<OpenedFile, { ok: true }>

/** Tolerances offered for leaving out noise, m. */
export const TOLERANCES = [0, 0.1, 0.25, 0.5, 1, 2] as const

/**
 * A file of places being looked at: read in a worker that ends with its screen.
 * @param anchor of the site, if it has one
 */
export function useGroundFile(anchor: () => Anchor | undefined) {
  const file = shallowRef<{ readonly name: string } & Opened>()
  const problem = ref('')
  const busy = ref(false)
  const chosen = ref<readonly number[]>([])
  const tolerance = ref<number>(0.25)
  const prepared = shallowRef<ReadonlyMap<number, PreparedOutline>>(new Map())
  let worker: Worker | undefined
  let remote: Comlink.Remote<GroundFileWork> | undefined

  function begin() {
    worker?.terminate()
    worker = new Worker(new URL('../../workers/groundFile.worker.ts', import.meta.url), { type: 'module' })
    remote = Comlink.wrap<GroundFileWork>(worker)
    return remote
  }

  async function open(source: File) {
    problem.value = ''
    file.value = undefined
    prepared.value = new Map()
    chosen.value = []
    if (source.size > MOST_BYTES) {
      problem.value =
        `This file has ${(source.size / 1024 / 1024).toFixed(1)} MB; at most 10 MB are read. Export only ` +
        'the perimeter, or record at longer steps.'
      return
    }
    busy.value = true
    try {
      const at = anchor()
      const opened = await begin().open(source, at && [at.lon, at.lat], at)
      if (!opened.ok) {
        problem.value = opened.message
        return
      }
      file.value = { name: source.name, ...opened }
      chosen.value = [0]
    } catch {
      problem.value = 'This file could not be read: it may be damaged. Export it again.'
    } finally {
      busy.value = false
    }
  }

  /** Stops reading; what was chosen before stays away. */
  function cancel() {
    worker?.terminate()
    busy.value = false
    file.value = undefined
  }

  watch([file, chosen, tolerance], async ([opened, wanted, within]) => {
    if (!opened || !remote) return
    const results = await Promise.all(
      wanted.map(async (index) => [index, await remote!.prepare(index, within, opened.anchor)] as const),
    )
    prepared.value = new Map(results.flatMap(([index, one]) => (one ? [[index, one] as const] : [])))
  })
  onScopeDispose(() => worker?.terminate())
  const tooMany = computed(() =>
    [...prepared.value.values()].some(
      ({ corners, holes }) => Math.max(corners, ...holes.map(({ length }) => length)) > MOST_CORNERS,
    ),
  )
  return { file, problem, busy, chosen, tolerance, prepared, tooMany, open, cancel }
}
