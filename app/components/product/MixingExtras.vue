<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { ProductDocument } from '#core/label/productShape'
import { blankIn } from '#core/quantity/entered'

/** What a mix and a machine need to know of a product: pH, cups weighed once, dial numbers of the package. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const wet = computed(() => props.document.form !== 'granule')
const ph = computed(() => props.document.ph ?? { from: '', to: '', last: '' as const })
const measures = computed(() => props.document.measures ?? [])
const dials = computed(() => props.document.dials ?? [])
const orders = [
  { value: '', text: 'by its form' },
  { value: 'last', text: 'last, pH set' },
] as const
const addMeasure = () =>
  set('document.measures', [
    ...measures.value,
    { id: uuid(), tool: 'cup', marks: '', holds: blankIn(wet.value ? 'fl oz' : 'oz') },
  ])
const addDial = () => set('document.dials', [...dials.value, { id: uuid(), spreader: '', dial: '' }])
</script>

<template>
  <div class="mt-2 space-y-3">
    <div v-if="wet" class="fields">
      <TextField
        path="document.ph.from"
        label="pH of the mix from"
        :text="ph.from"
        :locked="locked"
        inputmode="decimal"
        :maxlength="6"
        @change="set('document.ph', { ...ph, from: $event })"
      />
      <TextField
        path="document.ph.to"
        label="to"
        :text="ph.to"
        :locked="locked"
        inputmode="decimal"
        :maxlength="6"
        @change="set('document.ph', { ...ph, to: $event })"
      />
      <ChoiceField
        path="document.ph.last"
        label="Goes in"
        :value="ph.last"
        :choices="orders"
        :locked="locked"
        @change="set('document.ph', { ...ph, last: $event })"
      />
    </div>
    <div v-for="(measure, i) in measures" :key="measure.id" class="fields items-end">
      <TextField :path="`document.measures.${i}.tool`" label="One level" />
      <QuantityField :path="`document.measures.${i}.holds`" />
      <TextField :path="`document.measures.${i}.marks`" label="Marks" />
      <RemoveButton path="document.measures" :list="measures" :id="measure.id" :what="measure.tool" />
    </div>
    <div v-for="(dial, i) in dials" :key="dial.id" class="fields items-end">
      <TextField :path="`document.dials.${i}.spreader`" label="Printed for this spreader" />
      <TextField :path="`document.dials.${i}.dial`" label="dial, a guess" />
      <RemoveButton path="document.dials" :list="dials" :id="dial.id" :what="dial.spreader" />
    </div>
    <p v-if="!locked" class="small flex flex-wrap gap-x-4">
      <UButton variant="link" size="sm" @click="addMeasure">Weigh a cup of it</UButton>
      <UButton v-if="!wet" variant="link" size="sm" @click="addDial"> Note a printed dial number </UButton>
    </p>
  </div>
</template>
