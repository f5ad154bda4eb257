<script setup lang="ts">
import { showQuantity } from '#core/quantity/systems'

/**
 * The loads this application shares with others of its day, as the day makes them: the same figures, and what
 * of them is made, taken and driven on here.
 */
const props = defineProps<{ day: string; applicationId: string; version: number }>()
const { mixes, load, problem } = useDay(() => props.day)
watch(() => [props.day, props.version], load, { immediate: true })
const mix = computed(() =>
  mixes.value.find(({ stops }) => stops.some(({ applicationId }) => applicationId === props.applicationId)),
)
const stop = computed(() =>
  mix.value?.stops.find(({ applicationId }) => applicationId === props.applicationId),
)
const told = (value: number) => {
  const { figure, unit } = showQuantity({ value, unit: mix.value?.plan.totals.mix?.unit ?? 'gal' })
  return `${figure} ${unit}`
}
</script>

<template>
  <p v-if="problem" class="small" role="alert">The common loads can’t be told: {{ problem }}</p>
  <div v-else-if="mix && stop">
    <DayMix :mix="mix" />
    <p class="small">
      Here: {{ told(stop.arrives) }} in the tank on arrival,
      {{
        stop.makes.length > 0
          ? `load ${stop.makes.map(({ number }) => number).join(', ')} made here`
          : 'nothing made here'
      }}, {{ told(stop.takes) }} put down, {{ told(stop.leaves) }} driven on.
      <NuxtLink :to="`/days/${day}`" class="way-out no-print">The day</NuxtLink>
    </p>
  </div>
  <p v-else class="small soft">Marked for one mix with others of its day; none is sprayed alike yet.</p>
</template>
