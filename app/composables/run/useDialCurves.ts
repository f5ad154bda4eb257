import { likeGrain } from '#core/calibration/likeGrain'
import type { SettingCurve } from '#core/calibration/settingCurve'
import { spreaderCurve } from '#core/calibration/spreaderCurve'
import type { CheckedEntry } from '#core/run/carriedShape'
import { correctedDial } from '#core/run/corrections/correctedDial'
import type { CheckpointQuestion, CheckpointResult } from '#core/run/corrections/checkpoint'
import { curveOfRun, settingAt } from '#core/run/corrections/dialPoints'

/** What is known of this spreader's dial: its calibrations first, then this run's own weighings. */
export function useDialCurves() {
  const { frozen, progress, document } = useRunScreen()
  const crew = useCrewStore()
  const library = useLibraryStore()
  const began = computed(() => ({
    dial: frozen.value.worked?.dial?.setting ?? '',
    pace: frozen.value.worked?.calibration?.speedToday,
  }))
  const tested = computed((): readonly SettingCurve[] => {
    const product = document.value.products[0]
    const machine = document.value.spread.source?.id
    if (!product || machine === undefined) return []
    const own = library.calibrations.filter(({ equipmentId }) => equipmentId === machine)
    const names = [product.name, ...likeGrain(library.products, product.name)]
    const { curve } = spreaderCurve(own, names, crew.today())
    return curve ? [curve] : []
  })
  /** Dial and pace now, and as they were at a moment. */
  const at = (moment: string) => settingAt(progress.value.settings, moment, began.value)

  /**
   * The dial for another rate than the one found.
   * @param found the entries that the question was made of, the last the one in hand
   */
  function dialFor(
    question: CheckpointQuestion,
    { laidPerPass }: CheckpointResult,
    found: readonly (CheckedEntry & { readonly at: string })[],
    perPass: number,
  ) {
    const own = curveOfRun(question, found, progress.value.settings, began.value)
    const { dial } = at(found.at(-1)?.at ?? '')
    return correctedDial([...tested.value, ...(own ? [own] : [])], dial, perPass / laidPerPass)
  }
  return { at, dialFor }
}
