<script setup lang="ts">
import type { CommonMix } from '#core/job/route/commonMix'
import { showMeasured, showQuantity } from '#core/quantity/systems'

/** One mix that serves several sites: its loads, as they are made along the way. */
const props = defineProps<{ mix: CommonMix }>()
const siteOf = (number: number) =>
  props.mix.stops.find(({ makes }) => makes.some((load) => load.number === number))?.site ?? ''
const ordered = computed(() =>
  props.mix.order.flatMap((id) => props.mix.request.products.filter((product) => product.id === id)),
)
const columns = computed(() => [
  { key: 'load', head: 'Load' },
  { key: 'site', head: 'made at' },
  ...ordered.value.map(({ id, name }) => ({ key: id, head: name ?? '', numeric: true })),
  { key: 'fill', head: 'fill to', numeric: true },
])
</script>

<template>
  <section :aria-label="`One mix for ${mix.stops.map(({ site }) => site).join(', ')}`">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2>One mix for {{ mix.stops.length }} sites</h2>
      <slot name="action" />
    </div>
    <RowTable
      caption="Loads of the mix"
      stacked
      :rows="mix.plan.loads"
      :columns="columns"
      :key-of="({ number }) => String(number)"
    >
      <template #load="{ row }">Load {{ row.number }}</template>
      <template #site="{ row }">{{ siteOf(row.number) }}</template>
      <template v-for="product in ordered" :key="product.id" #[product.id]="{ row }"
        ><strong
          ><FigureText
            :shown="
              showMeasured(row.products.find(({ id }) => id === product.id)!.measured, product.measureStep)
            "
            :page="`products.${product.id}.measured`"
            :label="product.name" /></strong
      ></template>
      <template #fill="{ row }"
        ><FigureText :shown="showQuantity(row.carrier)" page="loads.count" label="Loads"
      /></template>
    </RowTable>
  </section>
</template>
