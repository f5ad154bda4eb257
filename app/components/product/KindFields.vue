<script setup lang="ts">
import { FORMS } from '#core/label/label'
import { PRODUCT_KINDS } from '#core/label/productDocument'
import type { ProductDocument } from '#core/label/productShape'

/** What a product is, asked first: the rest of its label follows from it. */
defineProps<{ document: ProductDocument }>()
const kinds = PRODUCT_KINDS.map((value) => ({ value, text: value }))
const forms = FORMS.map((value) => ({ value, text: value }))
</script>

<template>
  <div class="fields">
    <ChoiceField path="document.kind" label="Kind" :choices="kinds" />
    <ChoiceField path="document.form" label="Form" :choices="forms" />
  </div>
</template>
