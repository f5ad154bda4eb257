<script setup lang="ts">
import { NITROGEN_FORMS } from '#core/label/productDocument'
import type { ProductDocument } from '#core/label/productShape'
import { blankIn } from '#core/quantity/entered'
import { TIME_UNITS } from '#core/quantity/units'

/** What the nitrogen of a product is made of, what slows it, its salt. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked, problemAt } = useForm()
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
      kind="percent"
      :entered="forms[form]"
      :locked="locked"
      :problem="problemAt(`document.nForms.${form}`)?.message"
      @change="set('document.nForms', { ...forms, [form]: $event })"
    />
    <FormText
      path="document.coating"
      label="Slowed by"
      :text="document.coating ?? ''"
      placeholder="polymer, sulfur"
    />
    <FormQuantity
      path="document.releases"
      label="Releases over"
      kind="time"
      :entered="document.releases ?? { text: '', unit: 'wk' }"
      :units="TIME_UNITS"
    />
    <FormText path="document.saltIndex" label="Salt index" :text="document.saltIndex ?? ''" />
  </div>
</template>
