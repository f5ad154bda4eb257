<script setup lang="ts">
import { inMeasures } from '#core/plan/inMeasures'
import type { Quantity } from '#core/quantity/quantity'
import { showMeasured } from '#core/quantity/systems'
import type { AmountUnit } from '#core/quantity/units'
import type { MixedProduct } from './mixedProduct'

/** One product of a load: on the scale, and in the crew's own cup where that was weighed for it. */
const props = defineProps<{
  product: MixedProduct
  measured: Quantity<AmountUnit> | undefined
  load: number
}>()
const cups = computed(() =>
  props.measured && props.measured.value > 0
    ? inMeasures(props.measured, props.product.measures, props.product.density)
    : undefined,
)
</script>

<template>
  <dt>{{ product.name }}</dt>
  <dd>
    <span class="figure"
      ><FigureText
        v-if="measured"
        :shown="showMeasured(measured, product.step)"
        :page="`products.${product.id}.measured`"
        :label="product.name"
    /></span>
    <span v-if="cups" class="block small"
      ><FigureText
        :shown="{ figure: cups.words, unit: '' }"
        :page="`measures.${product.id}.${load}`"
        :label="`${product.name} in the cup`"
    /></span>
  </dd>
</template>
