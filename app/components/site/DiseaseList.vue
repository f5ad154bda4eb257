<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { DISEASE_SEATS } from '#core/ground/areaChoices'
import type { AreaDocument } from '#core/ground/areaShape'

/** Diseases seen on an area: the same spot sickens again, and feeding follows from it. */
const props = defineProps<{ document: AreaDocument }>()
const { set, locked } = useForm()
const diseases = computed(() => props.document.diseases ?? [])
const seats = DISEASE_SEATS.map((value) => ({
  value,
  text: value === 'root' ? 'in the roots' : 'on the leaf',
}))
const add = () =>
  set('document.diseases', [...diseases.value, { id: uuid(), name: '', seat: 'leaf', on: '' }])
</script>

<template>
  <div class="space-y-2">
    <div v-for="(disease, i) in diseases" :key="disease.id" class="fields items-end">
      <TextField :path="`document.diseases.${i}.name`" label="Disease seen" />
      <ChoiceField :path="`document.diseases.${i}.seat`" label="It sits" :choices="seats" />
      <DayField :path="`document.diseases.${i}.on`" label="Seen on" />
      <RemoveButton path="document.diseases" :list="diseases" :id="disease.id" :what="disease.name" />
    </div>
    <UButton v-if="!locked" variant="link" size="sm" @click="add"> Note a disease seen here </UButton>
  </div>
</template>
