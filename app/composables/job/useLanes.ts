import { typedFigure } from '#core/quantity/entered'
import { watchDebounced } from '@vueuse/core'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { SiteLayout } from '#core/ground/siteLayout'
import { lanesAsked, lawnLayout } from '#core/job/lanes/lanesAsked'
import { askedBuffers, type AskedBuffers } from '#core/job/lanes/askedBuffers'
import type { WorkedApplication } from '#core/job/workOutJob'
import type { LanesQuestion } from '#core/lanes/lawns/lanesQuestion'
import type { JobLanes } from '#core/lanes/lawns/workOutLanes'
import { amountFactor } from '#core/quantity/quantity'
import type { Working } from '#core/working/working'

/** Lanes of an application as they were last worked out, and what they were worked out from. */
export interface SheetLanes {
  readonly layout: SiteLayout
  readonly question: LanesQuestion
  readonly buffers: AskedBuffers
  readonly lanes: JobLanes
  readonly pages: readonly Working[]
}

/** Typing goes on so long without lanes being asked. */
const PAUSE_MS = 250

/** The lanes of a sheet, worked out away from the page whenever what they hang on has changed and rested. */
export function useLanes(document: Ref<ApplicationDraft>, sheet: Ref<WorkedApplication>) {
  const crew = useCrewStore()
  const library = useLibraryStore()
  const worked = shallowRef<SheetLanes>()
  const failed = ref(false)
  let work: ReturnType<typeof openLaneWork> | undefined
  let [asked, busy] = ['', false]
  let next: Omit<SheetLanes, 'lanes' | 'pages'> | undefined

  function ask() {
    const layout = lawnLayout(document.value, sheet.value)
    const { local = [] } = crew.organization?.settings ?? {}
    const buffers = askedBuffers(document.value, { products: library.products, local })
    const question = lanesAsked(document.value, sheet.value, layout, {
      buffers,
      hopper: hopperHolds(),
      bearing: library.anchor?.bearing ?? 0,
    })
    if (!question) {
      worked.value = undefined
      asked = ''
      return
    }
    const key = JSON.stringify(question)
    if (key === asked) return
    asked = key
    next = { layout, question, buffers }
    if (!busy) void workThrough()
  }

  async function workThrough() {
    busy = true
    failed.value = false
    try {
      work ??= openLaneWork()
      for (let now = next; now; now = next) {
        next = undefined
        worked.value = { ...now, ...(await work.remote.lanes(now.question)) }
      }
    } catch {
      failed.value = true
      asked = ''
    }
    busy = false
  }

  function hopperHolds(): number | undefined {
    const { method, spread } = document.value
    const machine = library.equipment.find(({ id }) => id === spread.source?.id)?.document
    if (method !== 'spread' || machine?.kind !== 'spreader') return undefined
    const read = typedFigure(machine.hopper, 'mass')
    return read && read.value * amountFactor(read.unit)
  }

  if (import.meta.client)
    watchDebounced([document, sheet, () => library.loaded, () => library.anchor], ask, {
      debounce: PAUSE_MS,
      immediate: true,
    })
  onScopeDispose(() => work?.end())
  return { worked, failed }
}
