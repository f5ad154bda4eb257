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
    <FormChoice path="document.kind" label="Kind" :value="document.kind" :choices="kinds" />
    <FormChoice path="document.form" label="Form" :value="document.form" :choices="forms" />
  </div>
</template>
