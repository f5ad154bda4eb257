import type { ApplicationDraft } from '#core/draft/applicationShape'
import { isSpotWork } from '#core/run/aftercare/spotGround'
import type { RunRecord } from '#core/run/foldRun'
import { learnedFromJob } from '#core/run/learnedFromJob'
import type { Used } from '#core/run/outcome'

/**
 * What a machine learns of a job: offered with the record, ticked where dial and pace stayed and it came out
 * right. Spots teach nothing: their ground comes from the calibration itself.
 */
export function useLearned(
  job: () => Pick<RunRecord, 'frozen' | 'progress'>,
  used: () => Used | undefined,
  outcomes: () => RunRecord['outcomes'],
  document: () => ApplicationDraft | undefined,
) {
  const crew = useCrewStore()
  const learned = computed(() => {
    const [draft, entries] = [document(), used()]
    const { frozen, progress } = job()
    return draft && entries && !isSpotWork(frozen, entries)
      ? learnedFromJob({ frozen, progress, used: entries, outcomes: outcomes() }, draft, {
          day: crew.today(),
          by: '',
          runId: String,
        })
      : undefined
  })
  const chosen = ref<boolean>()
  const takes = computed({
    get: () => learned.value !== undefined && (chosen.value ?? learned.value.offered === 'ticked'),
    set: (ticked: boolean) => {
      chosen.value = ticked
    },
  })
  const words = computed(() => {
    const draft = document()
    const machine = draft?.[draft.method].equipment || 'the machine'
    const { parts = [], why = '' } = learned.value ?? {}
    const what = parts.length > 1 ? `its ${parts.length} parts as calibrations` : 'it as a calibration'
    return `Keep ${what} of ${machine}${why ? `. ${why}` : ''}`
  })
  return { learned, takes, words }
}
