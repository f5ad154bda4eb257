<script setup lang="ts">
import type { StretchLane } from '#core/lanes/lawns/lanesOfStretch'

/** The lane in hand of this stretch, large; the next is a press away, and the place is kept here. */
const { lanes } = defineProps<{ lanes: readonly StretchLane[] }>()
const { jobId, place } = useRunScreen()
const { lanes: sheetLanes } = useSheet()
const shown = useShown()
const told = useLaneAmount()
const kept = useTyped('lane', 0)
const at = computed(() => Math.max(0, Math.min(lanes.length - 1, kept.value)))
const now = computed(() => lanes[at.value])
const last = computed(() => lanes.at(-1)?.lane.number)
const stop = computed(() =>
  sheetLanes.worked.value?.lanes.stops.find(
    ({ lawnId, afterLane, fill }) =>
      lawnId === now.value?.lawnId && afterLane === now.value.lane.number && fill !== undefined,
  ),
)
</script>

<template>
  <section v-if="now" class="lane" aria-label="The lane in hand">
    <UButton
      size="xl"
      icon="i-lucide-arrow-left"
      aria-label="Lane before"
      :disabled="at === 0"
      @click="kept = at - 1"
    />
    <div aria-live="polite">
      <p class="number">
        <span class="soft">lane</span> <strong>{{ now.lane.number }}</strong>
        <span v-if="lanes.length > 1" class="soft"> of {{ lanes[0]?.lane.number }} to {{ last }}</span>
      </p>
      <p>
        <FigureText :shown="shown.distance(now.lane.length)" />,
        <FigureText :shown="told(now.amount)" /><template v-if="now.lane.edge">, along the edge</template>
      </p>
      <p v-if="stop"><StateMark level="note" :words="STOP_WORDS[stop.why]" /></p>
    </div>
    <UButton
      size="xl"
      icon="i-lucide-arrow-right"
      aria-label="Next lane"
      :disabled="at === lanes.length - 1"
      @click="kept = at + 1"
    />
    <UButton
      class="way"
      variant="link"
      size="lg"
      icon="i-lucide-footprints"
      label="Lane by lane, on the map"
      :to="`/jobs/${jobId}/lanes?a=${place}&at=${now.lane.number}`"
    />
  </section>
</template>

<style scoped>
.lane {
  display: grid;
  grid-template-columns: 56px 1fr 56px;
  align-items: center;
  gap: 4px 12px;
  padding: 10px 0;
  border-bottom: var(--rule-width) solid var(--rule);
  text-align: center;
}
.lane > button {
  min-height: 56px;
  justify-content: center;
}
.number strong {
  font-size: 34px;
  line-height: 1.1;
  font-variant-numeric: tabular-nums;
}
.way {
  grid-column: 1 / -1;
  justify-content: center;
}
</style>
