<script setup lang="ts">
import { comparedRate, equivalents } from '#core/label/equivalents'
import type { LibraryProduct } from '#core/draft/fromLibrary'
import { showQuantity } from '#core/quantity/systems'

/** Other products of the library that bring the same, with the first line's rate converted. */
const props = defineProps<{ product: LibraryProduct }>()
const library = useLibraryStore()
const rate = computed(() => comparedRate(props.product.document))
const found = computed(() => (rate.value ? equivalents(props.product, rate.value, library.products) : []))
onMounted(() => {
  library.want()
})
</script>

<template>
  <section v-if="found.length > 0 && rate" aria-labelledby="equivalents-title" class="space-y-1">
    <h2 id="equivalents-title">Instead of it</h2>
    <p class="soft small">
      For {{ showQuantity(rate).figure }} {{ showQuantity(rate).unit }}, by the same amount of
      {{ found[0]?.what }}:
    </p>
    <ul>
      <li v-for="other in found" :key="other.id" class="rule-b flex justify-between gap-3 py-1">
        <NuxtLink :to="`/products/${other.id}`" class="way-out">{{ other.name }}</NuxtLink><strong
          ><FigureText :shown="showQuantity(other.rate)" :page="`equivalent.${other.id}`" :label="other.name"
        /></strong>
      </li>
    </ul>
    <p class="soft small">Its own label still rules: range, use and year.</p>
  </section>
</template>
