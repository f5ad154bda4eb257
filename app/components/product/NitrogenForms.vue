<script setup lang="ts">
import { NITROGEN_FORMS } from '#core/label/productDocument'
import type { ProductDocument } from '#core/label/productShape'
import { blankIn } from '#core/quantity/entered'

/** What the nitrogen of a product is made of, what slows it, its salt. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const forms = computed(
  () =>
    props.document.nForms ?? {
      nitrate: blankIn('%' as const),
      ammonium: blankIn('%' as const),
      urea: blankIn('%' as const),
    },
)
</script>

<template>
  <div class="fields">
    <QuantityField
      v-for="form in NITROGEN_FORMS"
      :key="form"
      :path="`document.nForms.${form}`"
      :label="`N as ${form}`"
      :entered="forms[form]"
      :locked="locked"
      @change="set('document.nForms', { ...forms, [form]: $event })"
    />
    <TextField path="document.coating" label="Slowed by" placeholder="polymer, sulfur" />
    <QuantityField path="document.releases" />
    <TextField path="document.saltIndex" label="Salt index" />
  </div>
</template>
