<script setup lang="ts">
import type { LawnPart } from '#core/ground/areaShape'
import { radiiForms } from '#core/ground/methods/listMethods'
import { readInstrument } from '#core/ground/readInstrument'
import { readPart } from '#core/ground/readPart'
import { fieldReader } from '#core/quantity/fieldReader'

/**
 * What the same radii come to by each form, with what it assumes; the last only explains old notes and is
 * never used.
 */
const props = defineProps<{ part: LawnPart }>()
const shown = useShown()
const WORDS = {
  rounded: 'rounded between the points',
  straight: 'straight from point to point',
  'old notes': 'pi × (mean radius)²: reads low, found in old notes',
} as const
const forms = computed(() => {
  const [ring] =
    readPart(
      { ...props.part, sign: 'add' },
      '',
      readInstrument({ instrument: 'tape' }, '', fieldReader()),
      fieldReader(),
    )?.rings ?? []
  return ring && radiiForms(ring.map(([x, y]) => Math.hypot(x, y)))
})
</script>

<template>
  <dl v-if="forms" class="small forms">
    <template v-for="(words, form) in WORDS" :key="form"
      ><dt class="soft">{{ words }}</dt>
      <dd><FigureText :shown="shown.size(forms[form])" /></dd
    ></template>
  </dl>
</template>

<style scoped>
.forms {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 1px 12px;
  padding: 3px 0;
}
dd {
  text-align: right;
}
</style>
