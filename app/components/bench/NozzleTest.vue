<script setup lang="ts">
import type { NozzleBenchTest } from '#core/calibration/benchTestShape'
import type { ReadNozzles } from '#core/calibration/readBenchTest'
import { VOLUME_UNITS } from '#core/quantity/units'

/** Catching nozzles and timing a course, step by step. */
const props = defineProps<{ trial: NozzleBenchTest; read: ReadNozzles | undefined }>()
const { set, locked } = useForm()
const off = computed(() =>
  props.read?.check.nozzles.map(({ state }) => (state === 'right' ? undefined : state)),
)
const addTime = () => set('document.course.times', [...props.trial.course.times, { text: '', unit: 's' }])
</script>

<template>
  <ol class="steps">
    <li>
      <h3>Fill with water, run at working pressure, catch every nozzle for the same time</h3>
      <div class="fields">
        <QuantityField path="document.time" />
        <QuantityField path="document.spacing" />
        <QuantityField path="document.rated" />
      </div>
      <StopWatch class="mt-2" @stop="set('document.time', { text: $event, unit: 's' })" />
      <NozzleVerdict v-if="read" :read="read" :dripping="trial.dripping ?? ''" class="verdict" />
      <ReadingList
        :off="off"
        :list="trial.catches"
        path="document.catches"
        one="Nozzle"
        kind="volume"
        :units="VOLUME_UNITS"
      />
    </li>
    <li>
      <h3>Time a taped course at working speed, tank half full</h3>
      <div class="fields">
        <QuantityField path="document.course.length" label="Course length" />
        <QuantityField
          v-for="(time, i) in trial.course.times"
          :key="i"
          :path="`document.course.times.${i}`"
          :label="`Time ${i + 1}`"
        />
        <TextField path="document.heldBy" label="What held the speed" placeholder="gear, throttle" />
      </div>
      <p v-if="!locked" class="small">
        <UButton variant="link" size="sm" @click="addTime">Another run</UButton>
      </p>
    </li>
    <li>
      <h3>What you want to reach</h3>
      <NozzleAsk :trial="trial" />
    </li>
  </ol>
  <div class="fields">
    <DayField path="document.on" label="Day" />
    <TextField path="document.by" label="Done by" />
    <TextField path="document.dripping" label="Valves that drip" placeholder="2, 5" />
  </div>
  <FormNotes path="document.notes" label="Notes" :text="trial.notes" class="mt-2" />
</template>

<style scoped>
/* Which are off stays in sight while many are typed. */
.verdict {
  position: sticky;
  top: 0;
  z-index: 2;
  padding: 6px 0;
  background: var(--paper);
}
@media (max-width: 760px) {
  .verdict {
    top: 56px;
  }
}
</style>
