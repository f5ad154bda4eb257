import type { JobState } from '#core/job/chain'
import { heldBy } from '#core/job/heldBy'
import type { JobApplication } from '#shared/schemas/job'
import type { SheetContext } from './useSheet'

interface SheetActionOptions {
  readonly sheet: Pick<SheetContext, 'visit'>
  readonly jobId: string
  readonly applicationId: () => string
  readonly index: () => number
  /** State of the whole job, and of each of its applications. */
  readonly state: () => JobState
  readonly states: () => readonly JobApplication['state'][]
  readonly plan: () => void
  readonly run: () => void
}

/** The one thing to do next on a sheet, and what is in its way; said where it was pressed until put right. */
export function useSheetAction({
  sheet,
  jobId,
  applicationId,
  index,
  state,
  states,
  plan,
  run,
}: SheetActionOptions) {
  const own = computed(() => states()[index()] ?? 'planned')
  const pressed = ref<'Not planned yet' | 'Not started yet'>()
  const holds = computed(() => {
    const all = heldBy(sheet.visit.value)
    return pressed.value === 'Not planned yet' ? all : all.filter((hold) => hold.index === index())
  })
  function actUnlessHeld(what: 'Not planned yet' | 'Not started yet', act: () => void) {
    pressed.value = what
    if (holds.value.length > 0) return
    pressed.value = undefined
    act()
  }
  const logPlace = computed(() =>
    own.value === 'done' ? `/records/${applicationId()}` : `/jobs/${jobId}/log?a=${index() + 1}`,
  )
  const mainAction = computed(() => {
    if (own.value === 'running')
      return { label: 'Carry on with it', act: () => navigateTo(`/jobs/${jobId}/run?a=${index() + 1}`) }
    if (own.value === 'done') return { label: 'See the record', act: () => navigateTo(logPlace.value) }
    if (state() === 'draft' || state() === 'cancelled')
      return { label: 'Plan this job', act: () => actUnlessHeld('Not planned yet', plan) }
    return {
      label: states().length > 1 ? `Start application ${index() + 1}` : 'Start run',
      act: () => actUnlessHeld('Not started yet', run),
    }
  })
  return { own, pressed, holds, logPlace, mainAction }
}
