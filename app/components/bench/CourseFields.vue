<script setup lang="ts">
import type { NozzleFacts } from '#core/calibration/chooseMethod'
import type { Course } from '#core/calibration/readCourse'

/** A calibration in a form, by whichever method. `path` is where the course stands in its form. */
defineProps<{ course: Course; path: string; product?: string; nozzles?: NozzleFacts }>()
const { set, locked } = useForm()
</script>

<template>
  <div class="space-y-2 pb-2">
    <SpreadSteps v-if="course.kind === 'spread'" :note="course.note" :path="path" :product="product" />
    <SpraySteps v-else :note="course.note" :path="path" :nozzles="nozzles" />
    <DayField
      label="Calibrated on"
      :day="course.note.on"
      :path="`${path}.on`"
      :locked="locked"
      @change="set(`${path}.on`, $event)"
    />
  </div>
</template>
