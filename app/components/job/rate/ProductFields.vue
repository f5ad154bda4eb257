<script setup lang="ts">
import type { ProductDraft } from '#core/draft/applicationShape'
import { FORMS, RATE_BASES, RATE_BASIS_NAMES } from '#core/label/label'
import { ANALYSIS_PARTS } from '#core/label/productDocument'
import { AMOUNT_UNITS, CONTENT_UNITS, DENSITY_UNITS } from '#core/quantity/units'
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
      <FormChoice :path="`${path}.basis`" label="The rate counts" :value="product.basis" :choices="bases" />
      <FormChoice :path="`${path}.form`" label="Form" :value="product.form" :choices="forms" />
      <FormChoice
        :path="`${path}.split`"
        label="Split"
        :value="product.split ?? ''"
        :choices="splits"
        class="wide"
      />
      <FormQuantity
        :path="`${path}.low`"
        label="Label, lowest"
        kind="rate"
        :entered="product.low"
        :units="units"
      />
      <FormQuantity
        :path="`${path}.high`"
        label="Label, highest"
        kind="rate"
        :entered="product.high"
        :units="units"
      />
      <FormQuantity
        :path="`${path}.most`"
        label="Most in one go"
        kind="rate"
        :entered="product.most"
        :units="units"
      />
      <FormQuantity
        :path="`${path}.step`"
        label="Measured in steps of"
        kind="amount"
        :entered="product.step"
        :units="AMOUNT_UNITS"
      />
      <FormQuantity
        :path="`${path}.density`"
        label="Density"
        kind="density"
        :entered="product.density"
        :units="DENSITY_UNITS"
      />
      <FormText
        :path="`${path}.registration`"
        label="Registration no."
        :text="product.registration"
        placeholder="as on the label"
      />
    </div>
    <div class="fields">
      <FormQuantity
        v-for="[name, label] in ANALYSIS_PARTS"
        :key="name"
        :path="`${path}.analysis.${name}`"
        :label="label"
        kind="percent"
        :entered="product.analysis[name]"
      />
    </div>
    <div class="fields">
      <FormText :path="`${path}.active.name`" label="Active ingredient" :text="product.active.name" />
      <FormQuantity
        :path="`${path}.active.content`"
        label="Its content"
        kind="content"
        :entered="product.active.content"
        :units="CONTENT_UNITS"
      />
    </div>
  </div>
</template>
