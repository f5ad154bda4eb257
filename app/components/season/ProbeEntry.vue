<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { probeDepth } from '#core/quantity/toldTemperature'
import type { SaveProbe } from '#shared/schemas/weather'
import { v7 as uuid } from 'uuid'

/** A probe read on this lawn: its day and what it said. */
const props = defineProps<{ areaId: string }>()
const emit = defineEmits<{ saved: [] }>()
const crew = useCrewStore()
const notice = useNotice()
const open = ref(false)
const depth = computed(() => probeDepth(crew.units))
/** Its id is made with it: pressed again after a lost answer it is the same reading. */
const blank = () => ({
  id: uuid(),
  on: crew.today(),
  soil: { text: '', unit: crew.temperatureUnit },
  at: '',
  where: '',
})
const entry = ref(blank())
const problem = ref<string>()
const dayProblem = ref<string>()

async function save() {
  const { id, on, soil, at, where } = entry.value
  const read = parseQuantity(soil.text, 'temperature', soil.unit)
  dayProblem.value = on === '' ? 'The day it was read on.' : undefined
  problem.value = read.ok ? undefined : read.error.message
  if (!read.ok || on === '') return
  const document: SaveProbe['document'] = {
    schema: 1,
    on,
    soil,
    depth: depth.value,
    at,
    where,
  }
  try {
    await tell('PUT', `/library/probes/${id}`, { version: 0, areaId: props.areaId, document })
  } catch (error) {
    problem.value = errorText(error)
    return
  }
  open.value = false
  entry.value = blank()
  notice.say('The reading is kept: the soil of this lawn goes by it.')
  emit('saved')
}
</script>

<template>
  <UPopover v-model:open="open">
    <UButton icon="i-lucide-plus" label="Reading" color="primary" variant="solid" />
    <template #content>
      <form class="grid w-72 gap-3 p-4" @submit.prevent="save">
        <p class="soft small">Soil at {{ depth.text }} {{ depth.unit }}, away from kerbs and shade.</p>
        <DayField label="Day" :day="entry.on" @change="entry.on = $event" />
        <p v-if="dayProblem" role="alert" class="small">{{ dayProblem }}</p>
        <QuantityField
          path="soil"
          label="Soil"
          kind="temperature"
          :entered="entry.soil"
          :units="['°F', '°C']"
          :problem="problem"
          @change="entry.soil = $event"
        />
        <TextField label="Time of day" :text="entry.at" @change="entry.at = $event" />
        <TextField label="Where on the lawn" :text="entry.where" @change="entry.where = $event" />
        <UButton type="submit" label="Keep it" color="primary" variant="solid" />
      </form>
    </template>
  </UPopover>
</template>
