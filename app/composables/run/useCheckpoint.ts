import type { SettingCurve } from '#core/calibration/settingCurve'
import { likeGrain } from '#core/calibration/likeGrain'
import { spreaderCurve } from '#core/calibration/spreaderCurve'
import { speedSi } from '#core/quantity/quantity'
import type { CheckedEntry } from '#core/run/carriedShape'
import { askCheckpoint } from '#core/run/corrections/askCheckpoint'
import { checkpointResult } from '#core/run/corrections/checkpoint'
import { checkpointWords, laidWords } from '#core/run/corrections/checkpointWords'
import { correctedDial } from '#core/run/corrections/correctedDial'

/** What one rest says, as soon as it can be read: the sentence back, and what it changes. */
export function useCheckpoint(entry: () => CheckedEntry | undefined) {
  const { frozen, progress, document } = useRunScreen()
  const crew = useCrewStore()
  const library = useLibraryStore()
  const question = computed(() => {
    const now = entry()
    return now && askCheckpoint(frozen.value, progress.value, now)
  })
  const result = computed(() => question.value && checkpointResult(question.value))
  const dial = computed(() => progress.value.setting.dial ?? frozen.value.worked?.dial?.setting ?? '')
  const pace = computed(() => {
    const { setting } = progress.value
    return setting.pace ? speedSi(setting.pace) : frozen.value.worked?.calibration?.speedToday
  })
  /** What all calibrations of this spreader say of its dial; without them it is the pace that changes. */
  const curve = computed((): SettingCurve | undefined => {
    const product = document.value.products[0]
    const machine = document.value.spread.source?.id
    if (!product || machine === undefined) return undefined
    const own = library.calibrations.filter(({ equipmentId }) => equipmentId === machine)
    const names = [product.name, ...likeGrain(library.products, product.name)]
    return spreaderCurve(own, names, crew.today()).curve
  })
  const words = computed(() => {
    const now = question.value?.rests.at(-1)
    if (!result.value || !now) return undefined
    const corrected = curve.value && correctedDial(curve.value, dial.value, result.value.factor)
    return checkpointWords(result.value, now, { dial: dial.value, corrected, pace: pace.value }, crew.units)
  })
  const laid = computed(
    () => result.value && question.value && laidWords(result.value, question.value, crew.units),
  )
  return { question, result, words, laid }
}
