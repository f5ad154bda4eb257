<script setup lang="ts">
import { NOZZLE_LIMIT } from '#core/calibration/nozzleFlow'
import type { ReadNozzles } from '#core/calibration/readBenchTest'
import { plural } from '#core/quantity/counting'

/** Which nozzles to clean, and whether the set is to be replaced: seen while they are caught. */
const props = defineProps<{ read: ReadNozzles; dripping: string }>()
const wrong = computed(() => props.read.check.clean)
const drips = computed(
  () =>
    `Dripping: ${props.dripping}. A check valve that drips spots the lawn at every stop: clean or change it.`,
)
</script>

<template>
  <div class="space-y-1" role="status">
    <p>
      <StateMark
        v-if="read.check.replace === 'set'"
        level="stop"
        words="At least one is worn by more than 10 %: replace the set."
      />
      <StateMark
        v-else-if="wrong.length > 0"
        level="warn"
        :words="`Clean and catch again: ${plural(wrong.length, 'nozzle')} ${wrong.join(', ')}.`"
      />
      <StateMark v-else level="good" :words="`All within ${100 * NOZZLE_LIMIT} % of the mean.`" />
    </p>
    <p v-if="dripping.trim()"><StateMark level="warn" :words="drips" /></p>
  </div>
</template>
