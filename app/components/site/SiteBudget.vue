<script setup lang="ts">
import { priceOf } from '#core/label/productDocument'

/** What product may cost on a site in a year; programs are held against it section by section. */
const props = defineProps<{ budget: string }>()
const crew = useCrewStore()
const { set, locked } = useForm()
const currency = computed(() => crew.organization?.settings.currency ?? '')
const problem = computed(() =>
  props.budget.trim() === '' || priceOf(props.budget) !== undefined
    ? undefined
    : 'A sum of money is a number, such as 650.',
)
</script>

<template>
  <TextField
    :label="`Budget for product in a year${currency ? `, ${currency}` : ''}`"
    :text="budget"
    path="document.budget"
    placeholder="no limit"
    :problem="problem"
    :locked="locked"
    @change="set('document.budget', $event)"
  />
</template>
