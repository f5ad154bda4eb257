<script setup lang="ts">
import type { SpreaderDocument } from '#core/calibration/equipmentDocument'
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
    <div class="grid grid-cols-2 gap-2">
      <label class="block"
        ><span class="soft small block">What I want to know</span
        ><select v-model="ask.find" class="field">
          <option v-for="find in FINDS" :key="find.value" :value="find.value">{{ find.text }}</option>
        </select></label
      >
      <label class="block"
        ><span class="soft small block">Product</span
        ><select v-model="ask.product" class="field">
          <option v-for="name in products" :key="name" :value="name">{{ name }}</option>
        </select></label
      >
      <QuantityField
        v-if="ask.find !== 'rate'"
        path="ask.rate"
        label="Rate, all passes"
        kind="massRate"
        :entered="ask.rate"
        :units="MASS_RATES"
        @change="ask.rate = $event"
      />
      <label v-if="ask.find !== 'setting'" class="block"
        ><span class="soft small block">Setting</span
        ><input v-model="ask.setting" class="field" inputmode="decimal" autocomplete="off"
      /></label>
      <label class="block"
        ><span class="soft small block">Passes</span
        ><select v-model.number="ask.passes" class="field">
          <option v-for="count in 4" :key="count" :value="count">{{ count }}</option>
        </select></label
      >
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
