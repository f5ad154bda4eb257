import type { InjectionKey } from 'vue'
import type { PlanPicture } from '#shared/schemas/ground'

/** What is being done to an outline on the plan beside the notes. */
export type PlanTask = 'edit' | 'draw' | 'walk' | 'file'

export interface PlanEditor {
  /** Id of the part whose outline is in hand. */
  readonly selected: Ref<string | undefined>
  readonly task: Ref<PlanTask>
  readonly picture: ComputedRef<PlanPicture | undefined>
  readonly begin: (partId: string, task: PlanTask) => void
}

const key: InjectionKey<PlanEditor> = Symbol('plan editor')

/** Gives field notes below a plan to draw on. */
export function providePlanEditor(picture: () => PlanPicture | undefined): PlanEditor {
  const selected = ref<string>()
  const task = ref<PlanTask>('edit')
  const editor: PlanEditor = {
    selected,
    task,
    picture: computed(picture),
    begin: (partId, wanted) => {
      selected.value = partId
      task.value = wanted
    },
  }
  provide(key, editor)
  return editor
}

/** Undefined where notes stand without a plan, as on a job sheet. */
export const usePlanEditor = (): PlanEditor | undefined => inject(key, undefined)
