<script setup lang="ts">
import type { LoadGroup } from '#core/plan/loadGroups'
import type { MixingSteps } from '#core/plan/mixingOrder'
import type { LoadPlan } from '#core/plan/plan'
import { formatFigure } from '#core/quantity/format'
import { showQuantity } from '#core/quantity/systems'
import type { MixedProduct } from './mixedProduct'

/** One tank load: the column, and beside it what to measure in mixing order, in large figures. */
const props = defineProps<{
  group: LoadGroup
  tank: { readonly value: number; readonly unit: string }
  products: readonly MixedProduct[]
  /** What goes in after the pH was set, and the pH itself. */
  last: readonly MixedProduct[]
  ph: MixingSteps<unknown>['ph']
  bottle: boolean
  lawns?: string
}>()
const shown = useShown()
const load = computed<LoadPlan>(() => props.group.load)
const measuredOf = (id: string) => load.value.products.find((product) => product.id === id)?.measured
const half = computed(() => ({
  figure: formatFigure(load.value.carrier.value / 2),
  unit: load.value.carrier.unit,
}))
const phWords = computed(() => {
  if (!props.ph) return undefined
  const { from, to, state } = props.ph
  if (state === 'none') return 'their labels ask for different pH: don’t mix them'
  if (from === undefined && to === undefined) return 'measure it before the last goes in'
  return from === undefined ? `at most ${to}` : to === undefined ? `at least ${from}` : `${from} to ${to}`
})
</script>

<template>
  <article class="flex gap-3" :aria-label="group.title">
    <VesselColumn :full="tank.value" :filled="load.carrier.value" :unit="load.carrier.unit" kind="wet" />
    <div class="min-w-0">
      <p>
        <strong>{{ group.title }}</strong>
        <span class="soft small"><FigureText :shown="shown.size(load.size.value)" /></span>
      </p>
      <p v-if="lawns" class="small">{{ lawns }}</p>
      <dl>
        <template v-if="!bottle"
          ><dt>Water to start</dt>
          <dd class="figure wet"><FigureText :shown="half" page="loads.count" label="Water to start" /></dd
        ></template>
        <MixLine
          v-for="product in products"
          :key="product.id"
          :product="product"
          :measured="measuredOf(product.id)"
          :load="load.number"
        />
        <dt>{{ bottle ? 'Water to the mark' : 'Fill to' }}</dt>
        <dd class="figure wet">
          <FigureText :shown="showQuantity(load.carrier)" page="mix" label="Fill to" />
        </dd>
        <template v-if="phWords"
          ><dt>pH of the mix</dt>
          <dd>{{ phWords }}</dd></template
        >
        <MixLine
          v-for="product in last"
          :key="product.id"
          :product="product"
          :measured="measuredOf(product.id)"
          :load="load.number"
        />
      </dl>
    </div>
  </article>
</template>

<style scoped>
dl :deep(dt) {
  font-size: 13.5px;
  line-height: 1.2;
  margin-top: 5px;
}
dl :deep(dd) {
  line-height: 1.12;
}
</style>
