<script setup lang="ts">
import type { LoadGroup } from '#core/plan/loadGroups'
import { phText, waterToStart, type MixingSteps } from '#core/plan/mixingOrder'
import type { LoadPlan } from '#core/plan/plan'
import { showQuantity } from '#core/quantity/systems'
import type { MixedProduct } from './mixedProduct'

/** One tank load: the column, and beside it what to measure in mixing order, in large figures. */
const props = defineProps<{
  group: LoadGroup
  tank: { readonly value: number; readonly unit: string }
  products: readonly MixedProduct[]
  /** What goes in after the pH was set, and the pH itself. */
  last: readonly MixedProduct[]
  mixPh: MixingSteps<unknown>['ph']
  bottle: boolean
  lawns?: string
}>()
const shown = useShown()
const load = computed<LoadPlan>(() => props.group.load)
const measuredOf = (id: string) => load.value.products.find((product) => product.id === id)?.measured
const ph = computed(() => phText(props.mixPh))
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
          <dd class="figure wet">
            <FigureText
              :shown="showQuantity(waterToStart(load.carrier))"
              page="loads.count"
              label="Water to start"
            /></dd
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
        <template v-if="ph"
          ><dt>pH of the mix</dt>
          <dd>{{ ph }}</dd></template
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
