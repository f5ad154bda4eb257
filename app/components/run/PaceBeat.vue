<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { readPositive, type Entered } from '#core/quantity/entered'
import { lengthSi } from '#core/quantity/quantity'
import type { LengthUnit } from '#core/quantity/units'
import { beatSeconds } from '#core/run/aftercare/beat'

/** The pace, and a beat to walk it by: a step on each. */
const { pace } = defineProps<{ pace: number }>()
const crew = useCrewStore()
const shown = useShown()
const stride = useLocalStorage<Entered<LengthUnit>>(
  'hectarum-stride',
  crew.units.startsWith('metric') ? { text: '75', unit: 'cm' } : { text: '2.5', unit: 'ft' },
)
const read = computed(() => readPositive(stride.value, 'length', 'Stride'))
const seconds = computed(() => (read.value.ok ? beatSeconds(lengthSi(read.value.value), pace) : undefined))
const { beats, loud, running, toggle } = useMetronome(() => seconds.value)
</script>

<template>
  <div class="pace">
    <RunRow word="pace" :shown="shown.speed(pace)" />
    <div class="beat">
      <span class="flash" :data-on="running && beats % 2 === 0 ? '' : undefined" aria-hidden="true" />
      <UButton
        size="xl"
        :icon="running ? 'i-lucide-square' : 'i-lucide-metronome'"
        :label="running ? 'Stop the beat' : 'Beat for this pace'"
        :disabled="seconds === undefined"
        @click="toggle"
      />
      <UButton
        size="xl"
        :icon="loud ? 'i-lucide-volume-2' : 'i-lucide-volume-x'"
        :aria-label="loud ? 'Silence the beat' : 'Let the beat be heard'"
        @click="loud = !loud"
      />
      <QuantityField
        path="stride"
        label="Your stride"
        kind="length"
        :entered="stride"
        :units="['ft', 'cm', 'm']"
        :problem="read.ok ? undefined : read.error.message"
        @change="stride = $event"
      />
    </div>
  </div>
</template>

<style scoped>
.beat {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  padding-bottom: 8px;
}
.beat :deep(button) {
  min-height: 56px;
}
.flash {
  flex: 0 0 100%;
  height: 14px;
  background: var(--rule);
}
.flash[data-on] {
  background: var(--action);
}
</style>
