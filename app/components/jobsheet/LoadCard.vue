<script setup lang="ts">
import type { LoadPlan } from '#core/plan/plan'
import { formatFigure } from '#core/quantity/format'
import type { Quantity } from '#core/quantity/quantity'
import { showMeasured, showQuantity } from '#core/quantity/systems'
import type { LoadGroup } from '#core/plan/loadGroups'

/** One tank load: the column, and beside it what to measure in mixing order, in large figures. */
const props = defineProps<{ group: LoadGroup, tank: { readonly value: number, readonly unit: string }, products: readonly { readonly id: string, readonly name: string, readonly step: Quantity | undefined }[] }>()
const shown = useShown()
const load = computed<LoadPlan>(() => props.group.load)
const measuredOf = (id: string) => load.value.products.find((product) => product.id === id)?.measured
const half = computed(() => ({ figure: formatFigure(load.value.carrier.value / 2), unit: load.value.carrier.unit }))
</script>

<template>
  <article class="flex gap-3" :aria-label="group.title">
    <VesselColumn :full="tank.value" :filled="load.carrier.value" :unit="load.carrier.unit" kind="wet" />
    <div class="min-w-0">
      <p><strong>{{ group.title }}</strong> <span class="soft small"><FigureText :shown="shown.size(load.size.value)" /></span></p>
      <dl>
        <dt>Water to start</dt>
        <dd class="figure wet"><FigureText :shown="half" page="loads.count" label="Water to start" /></dd>
        <template v-for="product in products" :key="product.id">
          <dt>{{ product.name }}</dt>
          <dd class="figure"><FigureText v-if="measuredOf(product.id)" :shown="showMeasured(measuredOf(product.id)!, product.step)" :page="`products.${product.id}.measured`" :label="product.name" /></dd>
        </template>
        <dt>Fill to</dt>
        <dd class="figure wet"><FigureText :shown="showQuantity(load.carrier)" page="mix" label="Fill to" /></dd>
      </dl>
    </div>
  </article>
</template>

<style scoped>
dt { font-size: 13.5px; line-height: 1.2; margin-top: 5px; }
dd { line-height: 1.12; }
</style>
