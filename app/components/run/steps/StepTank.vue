<script setup lang="ts">
import { readNotNegative, type Entered } from '#core/quantity/entered'
import type { Quantity } from '#core/quantity/quantity'
import { showQuantity } from '#core/quantity/systems'
import { VOLUME_UNITS, type VolumeUnit } from '#core/quantity/units'
import { commonLoads } from '#core/run/common/commonLoads'
import type { RunStep } from '#core/run/steps/runSteps'
import { openWorkingBook } from '#core/working/working'

/** What the site before left in the tank: what is mixed here follows from it. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'tank' }> }>()
const { frozen, progress, done } = useRunScreen()
/** What the site before really left; undefined while it is not on record, or nobody knows. */
const left = shallowRef<Quantity<VolumeUnit>>()
/** Until then what was planned is no answer to a press. */
const looked = ref(false)
const before = progress.value.tank?.found
const entered = useTyped<Entered<VolumeUnit>>(
  'found',
  before ? { text: String(before.value), unit: before.unit } : { text: '', unit: step.common.whole.unit },
)
onMounted(async () => {
  left.value = await leftBefore(step.common)
  looked.value = true
})
const expected = computed(() => left.value ?? step.common.arrives)
const read = computed(() =>
  entered.value.text.trim() === '' ? undefined : readNotNegative(entered.value, 'volume', 'In the tank'),
)
/** Left blank the tank holds what it should. */
const found = computed(() =>
  read.value === undefined ? expected.value : read.value.ok ? read.value.value : undefined,
)
const loads = computed(() => found.value && commonLoads(frozen.value, found.value))
const mixed = computed(() => loads.value?.mixed.map(({ load }) => load) ?? [])
const words = computed(() => {
  if (loads.value?.answer === 'stretched')
    return 'A little less than its lawns take: lay it on all of them, nothing is mixed for it.'
  if (mixed.value.length === 0) return 'Enough for its lawns: nothing is mixed here.'
  return loads.value?.answer === 'as planned'
    ? 'As planned: spray it out, then mix.'
    : 'Spray it out, then mix the load below: it is put right for what is there.'
})
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (found.value) commonLoads(frozen.value, found.value, book)
    return book.pages()
  },
  computed(() => new Map([['run.tank', 'In the tank']])),
)
</script>

<template>
  <RunFrame
    title="What is in the tank?"
    action="Take it"
    :waits="!found || (!looked && read === undefined)"
    @act="found && done([{ kind: 'tank', payload: { found } }])"
  >
    <RunRow
      :word="left ? `${step.common.from?.site} left` : `planned from ${step.common.from?.site}`"
      :shown="showQuantity(expected)"
    />
    <RunFigure
      path="found"
      label="In the tank, if it is another figure"
      kind="volume"
      :entered="entered"
      :units="VOLUME_UNITS"
      :problem="read && !read.ok ? read.error.message : undefined"
      @change="entered = $event"
    />
    <template v-if="loads">
      <RunAnswer
        :level="loads.answer === 'as planned' ? 'good' : loads.answer === 'stretched' ? 'note' : 'warn'"
        :words="words"
      />
      <RunRow word="its lawns take"
        ><FigureText :shown="showQuantity(step.common.takes)" page="run.tank" label="Its lawns take"
      /></RunRow>
      <RunRow v-for="load in mixed" :key="load.number" :word="`load ${load.number}, mixed here`"
        ><FigureText :shown="showQuantity(load.carrier)" page="run.tank" :label="`Load ${load.number}`"
      /></RunRow>
      <RunRow :word="step.common.to ? `drives on to ${step.common.to.site}` : 'stays in hose and boom'"
        ><FigureText :shown="showQuantity(loads.leaves)" page="run.tank" label="What leaves again"
      /></RunRow>
    </template>
    <p class="soft">Agitate before you spray: what has stood on the road settles.</p>
  </RunFrame>
</template>
