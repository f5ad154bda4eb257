<script setup lang="ts">
import type { SheetLanes } from '~/composables/job/useLanes'

/** What needs lanes, once they have come; until then what they wait for. */
defineSlots<{ default: (scope: { readonly worked: SheetLanes }) => unknown }>()
const { sheet, lanes } = useSheet()
const { worked, failed } = lanes
const waits = computed(() => {
  const { calibration, plan } = sheet.value
  if (!calibration) return 'Lanes come with a calibration: its width is how far they lie apart.'
  if (!calibration.speedToday) return 'Lanes come with a pace: time a course, or type the speed of today.'
  return plan ? '' : 'Lanes come with the rate: what each of them takes hangs on it.'
})
</script>

<template>
  <slot v-if="worked" :worked="worked" />
  <StateMark
    v-else-if="failed"
    class="small"
    level="warn"
    words="The lanes could not be worked out: change something, or reload."
  />
  <div v-else-if="waits" class="space-y-3">
    <p class="soft">{{ waits }}</p>
    <WalkFields />
    <GroundSketch />
  </div>
  <USkeleton v-else class="h-64 w-full" aria-label="Lanes are worked out" />
</template>
