<script setup lang="ts">
import type { ProductDraft } from '#core/draft/applicationShape'
import { FORMS, RATE_BASES, RATE_BASIS_NAMES } from '#core/label/label'
import { ANALYSIS_PARTS } from '#core/label/productDocument'
import { rateUnitsFor } from './rateUnits'

/** What the label says of one product, typed in place; its limits stay in the units they were printed in. */
const props = defineProps<{ product: ProductDraft; index: number }>()
const { document, locked } = useSheet()
const splits = [
  { value: '', text: 'one date' },
  { value: 'share', text: 'first of two dates that share this total' },
  { value: 'repeat', text: 'first of two dates, this rate each time' },
  { value: 'share-second', text: 'second of two dates that share this total' },
  { value: 'repeat-second', text: 'second of two dates at this rate' },
] as const
const path = computed(() => `products.${props.index}`)
const units = computed(() => rateUnitsFor(document.value.method))
const bases = RATE_BASES.map((basis) => ({ value: basis, text: RATE_BASIS_NAMES[basis] }))
const forms = FORMS.map((form) => ({ value: form, text: form }))
</script>

<template>
  <div class="space-y-2 pb-2">
    <LazySpokenRate v-if="!locked" :index="index" />
    <div class="fields">
      <ChoiceField :path="`${path}.basis`" label="The rate counts" :choices="bases" />
      <ChoiceField :path="`${path}.form`" label="Form" :choices="forms" />
      <ChoiceField :path="`${path}.split`" label="Split" :choices="splits" class="wide" />
      <QuantityField :path="`${path}.low`" :units="units" />
      <QuantityField :path="`${path}.high`" :units="units" />
      <QuantityField :path="`${path}.most`" :units="units" />
      <QuantityField :path="`${path}.step`" />
      <QuantityField :path="`${path}.density`" />
      <TextField :path="`${path}.registration`" label="Registration no." placeholder="as on the label" />
    </div>
    <div class="fields">
      <QuantityField
        v-for="[name, label] in ANALYSIS_PARTS"
        :key="name"
        :path="`${path}.analysis.${name}`"
        :label="label"
      />
    </div>
    <div class="fields">
      <TextField :path="`${path}.active.name`" label="Active ingredient" />
      <QuantityField :path="`${path}.active.content`" />
    </div>
  </div>
</template>
