<script setup lang="ts">
import { blankEquipment } from '#core/calibration/blankEquipment'
import { blankProductDocument } from '#core/label/blankProduct'
import { v7 as uuid } from 'uuid'
import type { Today } from '#shared/schemas/today'

/** The chain of a new crew: what is still empty, each with the one action that fills it. */
const props = defineProps<{ counts: Today['counts'] }>()
const crew = useCrewStore()
const begin = useNewRow()
const { startJob } = useNewJob()
const steps = computed(() => [
  {
    done: props.counts.sites > 0,
    words: 'Measure a site: its areas are what every job draws on.',
    action: 'New site',
    act: () =>
      begin(
        { name: '', place: '', document: { schema: 1, contact: '', notices: '', water: '', notes: '' } },
        (id) => `/sites/${id}`,
      ),
  },
  {
    done: props.counts.equipment > 0,
    words: 'Enter a spreader or a sprayer, and calibrate it over a taped course.',
    action: 'Add a sprayer',
    act: () =>
      begin({ name: '', document: blankEquipment('sprayer', crew.units) }, (id) => `/equipment/${id}`),
  },
  {
    done: props.counts.products > 0,
    words: 'Type a label: its rate and its limits.',
    action: 'New product',
    act: () =>
      begin({ name: '', document: blankProductDocument(uuid(), crew.units) }, (id) => `/products/${id}`),
  },
  {
    done: props.counts.jobs > 0,
    words: 'Plan a job: amounts, loads and checks follow by themselves.',
    action: 'New job',
    act: startJob,
  },
])
</script>

<template>
  <section class="px-6 py-5" aria-labelledby="first-title">
    <h2 id="first-title">From nothing to the first record</h2>
    <ol>
      <li v-for="step in steps" :key="step.action" class="rule-b step">
        <UIcon :name="step.done ? 'i-lucide-circle-check' : 'i-lucide-circle-dashed'" class="size-5" /><span
          >{{ step.words }}<span v-if="step.done" class="sr-only"> Done.</span></span
        >
        <UButton
          :label="step.action"
          size="sm"
          :color="step.done ? 'neutral' : 'primary'"
          :variant="step.done ? 'outline' : 'solid'"
          @click="step.act"
        />
      </li>
    </ol>
  </section>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 9px 0;
  align-items: center;
  max-width: 760px;
}
</style>
