import type { InjectionKey } from 'vue'
import type { MapPicture } from '#shared/schemas/ground'

/** What is being done to an outline on the plan beside the notes. */
export type OutlineTask = 'edit' | 'draw' | 'walk' | 'file'

export interface OutlineEditorContext {
  /** Id of the part whose outline is in hand. */
  readonly selected: Ref<string | undefined>
  readonly task: Ref<OutlineTask>
  readonly picture: ComputedRef<MapPicture | undefined>
  readonly begin: (partId: string, task: OutlineTask) => void
}

const key: InjectionKey<OutlineEditorContext> = Symbol('plan editor')

/** Gives field notes below a plan to draw on. */
export function provideOutlineEditor(picture: () => MapPicture | undefined): OutlineEditorContext {
  const selected = ref<string>()
  const task = ref<OutlineTask>('edit')
  const editor: OutlineEditorContext = {
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
export const useOutlineEditor = (): OutlineEditorContext | undefined => inject(key, undefined)
