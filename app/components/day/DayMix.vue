<script setup lang="ts">
import type { SharedMix } from '#core/job/route/sharedMix'
import { showMeasured, showQuantity } from '#core/quantity/systems'

/** One mix that serves several sites: its loads, as they are made along the way. */
const props = defineProps<{ mix: SharedMix }>()
const siteOf = (number: number) =>
  props.mix.stops.find(({ makes }) => makes.some((load) => load.number === number))?.site ?? ''
const ordered = computed(() =>
  props.mix.order.flatMap((id) => props.mix.request.products.filter((product) => product.id === id)),
)
</script>

<template>
  <section :aria-label="`One mix for ${mix.stops.map(({ site }) => site).join(', ')}`">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2>One mix for {{ mix.stops.length }} sites</h2>
      <slot name="action" />
    </div>
    <table class="list">
      <thead>
        <tr>
          <th scope="col">Load</th>
          <th scope="col">made at</th>
          <th v-for="product in ordered" :key="product.id" scope="col" class="num">{{ product.name }}</th>
          <th scope="col" class="num">fill to</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="load in mix.plan.loads" :key="load.number">
          <th scope="row"><span class="load">Load </span>{{ load.number }}</th>
          <td data-label="made at">{{ siteOf(load.number) }}</td>
          <td v-for="product in ordered" :key="product.id" class="num" :data-label="product.name">
            <strong
              ><FigureText
                :shown="
                  showMeasured(
                    load.products.find(({ id }) => id === product.id)!.measured,
                    product.measureStep,
                  )
                "
                :page="`products.${product.id}.measured`"
                :label="product.name"
            /></strong>
          </td>
          <td class="num" data-label="fill to">
            <FigureText :shown="showQuantity(load.carrier)" page="loads.count" label="Loads" />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
@media (min-width: 761px) {
  .load {
    display: none;
  }
}
</style>
