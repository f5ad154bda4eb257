<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { likeGrain } from '#core/calibration/likeGrain'
import { spreaderCurve } from '#core/calibration/spreaderCurve'
import type { Equipment } from '#shared/schemas/equipment'

/** What makes the calibration believable: a spreader's curve with the dial on it, a sprayer's nozzles. */
const props = defineProps<{ machine: Equipment }>()
const { document, sheet, day } = useSheet()
const library = useLibraryStore()
const spreads = computed(() => props.machine.document.kind === 'spreader')
const product = computed(() => document.value.products[0]?.name ?? '')
const curve = computed(() =>
  spreaderCurve(
    library.calibrations.filter(({ equipmentId }) => equipmentId === props.machine.id),
    [product.value, ...likeGrain(library.products, product.value)],
    day.value,
  ),
)
const at = computed(() => {
  const dial = Number(sheet.value.dial?.setting)
  return Number.isFinite(dial) && dial > 0 ? dial : undefined
})
const { answer: tests } = useAnswers(() =>
  spreads.value ? undefined : questions.benchTestsOf(props.machine.id),
)
const checks = computed(() => tests.value.filter((test) => test.document.kind === 'nozzles'))
const newest = computed(() =>
  checks.value
    .map((test) => test.document.on)
    .toSorted()
    .at(-1),
)
</script>

<template>
  <div v-if="spreads">
    <LazySettingPicture v-if="curve.curve.means.length > 1" :curve="curve" :at="at" />
    <p v-else class="soft small">
      {{ curve.curve.means.length === 1 ? 'One setting is' : 'No setting is' }} tested with this product: two
      make a curve.
    </p>
  </div>
  <p v-else-if="newest" class="flex flex-wrap items-center gap-3">
    <LazyNozzleMark :tests="checks" /><span class="soft small"
      >nozzles about their mean, checked {{ dayText(newest) }}</span
    >
  </p>
</template>
