<script setup lang="ts">
import type { SpreaderDocument } from '#core/calibration/equipmentShape'
import { formatFigure } from '#core/quantity/format'
import { AREA_RATE_UNITS, isMassUnit, METRES_PER_SECOND_PER, SPEED_UNITS } from '#core/quantity/units'
import { closedWorkingBook } from '#core/working/working'
import type { Calibration } from '#shared/schemas/equipment'

/**
 * Asking the curve of a spreader for a setting, a rate or a pace, the others held. Nothing is saved; it is a
 * question.
 */
const props = defineProps<{ calibrations: readonly Calibration[]; spreader: SpreaderDocument }>()
const { ask, products, curve, alike, question, answer, replyWords } = useCurveAsk(
  () => props.calibrations,
  () => props.spreader,
)
const MASS_RATES = AREA_RATE_UNITS.filter((unit) => isMassUnit(unit.split('/')[0] ?? ''))
const FINDS = [
  { value: 'setting', text: 'the setting for a rate' },
  { value: 'rate', text: 'the rate at a setting' },
  { value: 'speed', text: 'the pace for both' },
] as const
const PASSES = [1, 2, 3, 4].map((count) => ({ value: count, text: String(count) }))
const answered = computed(() => answer(closedWorkingBook))
const reply = computed(() => (answered.value?.ok ? replyWords(ask.find, answered.value.value) : undefined))
const refusal = computed(
  () => question.value.problem ?? (answered.value?.ok === false ? curveErrorWords(answered.value.error) : ''),
)
// The page keeps the book of working; the question stands here.
defineExpose({ note: answer })
const at = computed(() => (answered.value?.ok ? answered.value.value.setting : undefined))
const speedHint = computed(() =>
  curve.value.speed === undefined
    ? undefined
    : `blank: ${formatFigure(curve.value.speed / METRES_PER_SECOND_PER[ask.speed.unit])} ` +
      `${ask.speed.unit}, as tested`,
)
</script>

<template>
  <section aria-labelledby="ask-title" class="mt-6 space-y-2">
    <h2 id="ask-title">Ask its curve</h2>
    <div class="fields">
      <ChoiceField
        label="What I want to know"
        :value="ask.find"
        :choices="FINDS"
        @change="ask.find = $event"
      />
      <ChoiceField
        label="Product"
        :value="ask.product"
        :choices="products.map((name) => ({ value: name, text: name }))"
        @change="ask.product = $event"
      />
      <QuantityField
        v-if="ask.find !== 'rate'"
        path="ask.rate"
        label="Rate, all passes"
        kind="massRate"
        :entered="ask.rate"
        :units="MASS_RATES"
        @change="ask.rate = $event"
      />
      <TextField
        v-if="ask.find !== 'setting'"
        label="Setting"
        :text="ask.setting"
        inputmode="decimal"
        @change="ask.setting = $event"
      />
      <ChoiceField label="Passes" :value="ask.passes" :choices="PASSES" @change="ask.passes = $event" />
      <QuantityField
        v-if="ask.find !== 'speed'"
        path="ask.speed"
        label="Pace"
        kind="speed"
        :entered="ask.speed"
        :units="SPEED_UNITS"
        :hint="speedHint"
        @change="ask.speed = $event"
      />
    </div>
    <p v-if="reply" role="status" class="sure">
      <FigureText :shown="reply.head" page="ask" />{{ reply.tail }}
    </p>
    <p v-else-if="refusal" role="status">{{ refusal }}</p>
    <p v-else class="soft small">The answer comes from all calibrations with this product.</p>
    <p v-if="alike.length > 0" class="soft small">
      With what was found with {{ alike.join(', ') }}: grain of like size.
    </p>
    <p v-if="curve.left > 0" class="soft small">
      {{ curve.left }} without a timed speed or a number for its setting left out.
    </p>
    <SettingPicture :curve="curve" :at="at" />
  </section>
</template>

<style scoped>
.sure {
  font-size: 18px;
  font-weight: 600;
}
</style>
