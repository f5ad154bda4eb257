<script setup lang="ts">
import type { RunStep } from '#core/run/steps/runSteps'

/** Sweep what lies on hard surfaces, or rinse: each part ticked as it is done. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'sweep' | 'rinse' }> }>()
const { progress, keep, done } = useRunScreen()
const TASKS = {
  sweep: [
    ['sweep-hard', 'Granules swept or blown off hard surfaces, back onto turf'],
    ['sweep-hopper', 'Hopper emptied into its bag, gate and spinner brushed clean'],
    ['sweep-axle', 'Wheels and axle rinsed where water may go'],
  ],
  rinse: [
    ['rinse-1', 'First rinse, little water, through the nozzles onto treated ground'],
    ['rinse-2', 'Second rinse'],
    ['rinse-3', 'Third rinse'],
    ['rinse-nozzles', 'Nozzles, screens and strainer flushed'],
    ['rinse-outside', 'Outside of the machine washed, gear stored'],
  ],
} as const
const tasks = computed(() => TASKS[step.kind])
const tick = (id: string, ticked: boolean) =>
  keep([{ kind: 'stepped', payload: { step: id, done: ticked ? 'yes' : 'no' } }])
const left = computed(() => tasks.value.filter(([id]) => !progress.value.steps.includes(id)).length)
</script>

<template>
  <RunFrame
    :title="step.kind === 'rinse' ? 'Rinse three times' : 'Sweep and brush'"
    :action="left === 0 ? 'Clean' : 'On, not all of it done'"
    @act="done()"
  >
    <ul class="tasks">
      <li v-for="[id, words] in tasks" :key="id">
        <TickField :ticked="progress.steps.includes(id)" :label="words" @change="tick(id, $event)" />
      </li>
    </ul>
    <p class="soft">
      {{
        step.kind === 'rinse'
          ? 'Rinse water is spray: it goes onto ground that may have it, never into a drain.'
          : 'What lies on paving washes into drains and water with the next rain.'
      }}
    </p>
  </RunFrame>
</template>

<style scoped>
.tasks > li {
  min-height: 64px;
  display: flex;
  align-items: center;
  border-top: var(--rule-width) solid var(--rule-strong);
}
.tasks :deep(label) {
  font-size: 18px;
}
.tasks :deep([role='checkbox']) {
  width: 34px;
  height: 34px;
}
</style>
