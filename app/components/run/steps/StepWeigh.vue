<script setup lang="ts">
import { readPositive, type Entered } from '#core/quantity/entered'
import { showMeasured } from '#core/quantity/systems'
import { MASS_UNITS, type AmountUnit } from '#core/quantity/units'
import { askWeighing } from '#core/run/corrections/askWeighing'
import { weighingResult } from '#core/run/corrections/weighing'
import { openWorkingBook } from '#core/working/working'
import type { RunStep } from '#core/run/steps/runSteps'

/** Weigh a charge: what the display should say, and at once what to do where it says more. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'weigh' }> }>()
const { frozen, progress, done } = useRunScreen()
const shown = useShown()
const before = progress.value.measured.find(
  ({ load, productId }) => load === step.load && productId === step.productId,
)?.amount
const entered = useTyped<Entered<AmountUnit>>(
  'shown',
  before ? { text: String(before.value), unit: before.unit } : { text: '', unit: step.wanted.unit },
)
const product = computed(() => frozen.value.request.products.find(({ id }) => id === step.productId))
const name = computed(
  () => frozen.value.labels.find(({ productId }) => productId === step.productId)?.name || 'the product',
)
const read = computed(() =>
  entered.value.text.trim() === '' ? undefined : readPositive(entered.value, 'amount', 'What the scale says'),
)
const question = computed(() => read.value?.ok && askWeighing(frozen.value, step, read.value.value))
const book = computed(() => {
  const pages = openWorkingBook()
  const result = question.value ? weighingResult(question.value, pages) : undefined
  return { result, lines: pages.pages().flatMap(({ lines }) => lines) }
})
const result = computed(() => book.value.result)
const words = computed(() => result.value && overshootWords(result.value, step.wanted.unit, shown))
const lawns = computed(() =>
  step.areas
    .map((id) => frozen.value.request.areas.find((area) => area.id === id)?.name || 'a lawn')
    .join(', '),
)
const reserve = computed(() => step.wanted.value - step.forGround.value)
const wanted = computed(() => showMeasured(step.wanted, product.value?.measureStep))

/** Left blank it was weighed as the display should say. */
const weighed = () => {
  const amount = read.value?.ok ? read.value.value : step.wanted
  return done([{ kind: 'measured', payload: { load: step.load, productId: step.productId, amount } }])
}
</script>

<template>
  <RunFrame
    title="Weigh it in"
    action="It is in the hopper"
    :waits="read?.ok === false || words?.level === 'stop'"
    @act="weighed"
  >
    <p class="product">{{ name }}</p>
    <p class="target"><FigureText :shown="wanted" /></p>
    <RunRow word="for" :text="lawns" />
    <RunRow
      v-if="reserve > 0"
      word="of it reserve, comes back"
      :shown="shown.amount({ value: reserve, unit: step.wanted.unit })"
    />
    <RunFigure
      path="shown"
      label="What the scale says, if it is another figure"
      kind="amount"
      :entered="entered"
      :units="MASS_UNITS"
      :problem="read && !read.ok ? read.error.message : undefined"
      @change="entered = $event"
    />
    <RunAnswer v-if="words" :level="words.level" :words="words.text" :lines="book.lines" />
    <p class="soft">Tare the tub first. Gloves on, dust away from your face.</p>
  </RunFrame>
</template>

<style scoped>
.product {
  font-size: 19px;
}
.target {
  font-size: 56px;
  line-height: 1.1;
  font-weight: 700;
  padding: 4px 0 12px;
}
</style>
