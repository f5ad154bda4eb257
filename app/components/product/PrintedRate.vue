<script setup lang="ts">
import { RATE_BASIS_NAMES, type RateBasis } from '#core/label/label'
import { readPrintedRate, type PrintedRate } from '#core/label/printedRate'
import { prettyUnits } from '#core/quantity/systems'
import type { LineFigures, RateLine } from '#core/label/productDocument'

/** A rate typed as the label prints it: understood, shown back, and put into the fields at a press. */
const props = defineProps<{ line: RateLine; path: string }>()
const { set } = useForm()
const text = ref('')
const read = computed(() => (text.value.trim() === '' ? undefined : readPrintedRate(text.value)))
const NAMES: Readonly<Record<keyof PrintedRate, string>> = {
  rate: 'rate',
  basis: 'of',
  low: 'lowest',
  high: 'highest',
  most: 'most in one go',
  year: 'most in a year',
  repeatFrom: 'repeat from',
  repeatTo: 'at the latest',
  perYear: 'times a year',
  inRow: 'times in a row',
  carrierFrom: 'spray from',
  carrierTo: 'spray to',
}
const understood = computed(() =>
  Object.entries(read.value?.found ?? {}).map(
    ([name, value]) =>
      `${NAMES[name as keyof PrintedRate]} ` +
      (name === 'basis'
        ? RATE_BASIS_NAMES[value as RateBasis]
        : typeof value === 'string'
          ? value
          : `${value?.text} ${value?.unit}`),
  ),
)

function put() {
  if (!read.value) return
  const { carrierFrom, carrierTo, ...fields } = read.value.found
  const figures: LineFigures = {
    ...props.line.figures,
    ...(carrierFrom && { carrierFrom }),
    ...(carrierTo && { carrierTo }),
  }
  set(props.path, { ...props.line, ...fields, ...(Object.keys(figures).length > 0 && { figures }) })
  text.value = ''
}
</script>

<template>
  <div class="space-y-1">
    <TextField
      label="Or type it as printed"
      :text="text"
      placeholder="1.5-2.2 fl oz per 1,000 sq ft, repeat in 21-35 days"
      :maxlength="400"
      @change="text = $event"
      @keydown.enter.prevent="put"
    />
    <template v-if="read">
      <p v-if="understood.length > 0" role="status" class="small">
        Understood: {{ prettyUnits(understood.join('; ')) }}.
        <UButton variant="link" size="sm" @click="put">Put it in</UButton>
      </p>
      <p v-if="read.left.length > 0" class="small left">Not understood: {{ read.left.join('; ') }}</p>
    </template>
  </div>
</template>

<style scoped>
.left {
  color: var(--warn);
  font-weight: 600;
}
</style>
