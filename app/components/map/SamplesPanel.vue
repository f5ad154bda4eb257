<script setup lang="ts">
import { FEWEST_SAMPLES, MOST_SAMPLES } from '#core/ground/samplePoints'
import type { MappedArea } from '#core/ground/siteMap'
import type { Area } from '#shared/schemas/ground'
import type { AreaDocument } from '#core/ground/areaShape'

/** Places for soil samples: random within equal pieces of the area, the same ones whenever it is opened. */
const props = defineProps<{ areas: readonly MappedArea[]; stored: readonly Area[] }>()
const emit = defineEmits<{ place: [area: Area, samples: AreaDocument['samples']] }>()
const areaId = ref(props.areas.find(({ samples }) => samples.length > 0)?.id ?? props.areas[0]?.id ?? '')
const area = computed(() => props.stored.find(({ id }) => id === areaId.value))
const planned = computed(() => props.areas.find(({ id }) => id === areaId.value))
const kept = computed(() => area.value?.document.samples)
const count = ref(15)
watch(
  kept,
  (samples) => {
    if (samples) count.value = Number(samples.count) || 15
  },
  { immediate: true },
)
const COUNTS = Array.from({ length: MOST_SAMPLES - FEWEST_SAMPLES + 1 }, (_, i) => ({
  value: FEWEST_SAMPLES + i,
  text: String(FEWEST_SAMPLES + i),
}))
const place = (seed: number) => {
  if (area.value) emit('place', area.value, { count: String(count.value), seed })
}
function choose(many: number) {
  count.value = many
  if (kept.value) place(kept.value.seed)
}
</script>

<template>
  <div class="space-y-2">
    <ChoiceField
      label="Area"
      :value="areaId"
      :choices="areas.map(({ id, name }) => ({ value: id, text: name }))"
      @change="areaId = $event"
    />
    <ChoiceField label="How many" :value="count" :choices="COUNTS" @change="choose" />
    <p class="flex flex-wrap gap-2">
      <UButton
        color="primary"
        variant="solid"
        :label="kept ? 'Other places' : 'Place them'"
        :disabled="!planned?.size"
        @click="place((kept?.seed ?? 0) + 1)"
      />
      <UButton v-if="kept && area" label="Take them away" @click="emit('place', area, undefined)" />
    </p>
    <p class="small soft">
      One in each of {{ count }} equal pieces, numbered in walking order. Mix the cores of one area in one
      pail; follow your laboratory’s depth.
    </p>
    <p v-if="planned && planned.samples.length > 0" class="soft small">
      Metres east, north of the plan’s zero:
    </p>
    <ol v-if="planned && planned.samples.length > 0" class="small places">
      <li v-for="([x, y], i) in planned.samples" :key="i">
        {{ i + 1 }}: {{ x.toFixed(1) }}, {{ y.toFixed(1) }}
      </li>
    </ol>
  </div>
</template>

<style scoped>
.places {
  columns: 2;
  color: var(--soft);
}
</style>
