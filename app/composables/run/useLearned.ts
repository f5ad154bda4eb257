import { calibrationFromJob, hasPace } from '#core/run/calibrationFromJob'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { isSpotWork } from '#core/run/aftercare/spotGround'
import type { Used } from '#core/run/outcome'
import type { FrozenPlan } from '#core/run/runEvent'

/**
 * What a machine learns of a job: offered with the record, taken by itself where the pace is known. Spots
 * teach nothing: their ground comes from the calibration itself.
 */
export function useLearned(
  frozen: () => FrozenPlan,
  used: () => Used | undefined,
  document: () => ApplicationDraft | undefined,
) {
  const crew = useCrewStore()
  const calibration = computed(() => {
    const [draft, entries] = [document(), used()]
    return draft && entries && !isSpotWork(frozen(), entries)
      ? calibrationFromJob(draft, entries, crew.today(), '', '')
      : undefined
  })
  const chosen = ref<boolean>()
  const takes = computed({
    get: () => calibration.value !== undefined && (chosen.value ?? hasPace(calibration.value)),
    set: (ticked: boolean) => {
      chosen.value = ticked
    },
  })
  const words = computed(() => {
    const draft = document()
    const machine = draft?.[draft.method].equipment ?? ''
    return (
      `Keep it as a calibration of ${machine || 'the machine'}` +
      (calibration.value && !hasPace(calibration.value) ? '; the pace is not known' : '')
    )
  })
  return { calibration, takes, words }
}
