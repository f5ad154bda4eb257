<script setup lang="ts">
import { massIn } from '#core/quantity/systems'
import { askCheckpoint } from '#core/run/corrections/askCheckpoint'
import { checkpointResult } from '#core/run/corrections/checkpoint'
import type { RunStep } from '#core/run/steps/runSteps'

/**
 * Once more, lightly, over ground behind that lacks more than a tenth: so much, at this dial, until it is
 * out; only where tested settings reach so low.
 */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'light' }> }>()
const { frozen, progress, done } = useRunScreen()
const crew = useCrewStore()
const shown = useShown()
const { dialFor } = useDialCurves()
const passes = computed(() => frozen.value.worked?.passes ?? 1)
const lanes = useStretch(() => {
  const { from, to } = step.lacking
  return { id: step.id, kind: 'pass', pass: passes.value, passes: passes.value, from, to, load: 0 }
})
const dial = computed(() => {
  const found = progress.value.checked
  const last = found.at(-1)
  const question = last && askCheckpoint(frozen.value, progress.value, last)
  const result = question && checkpointResult(question)
  if (!question || !result) return undefined
  const answer = dialFor(question, result, found, step.lacking.perArea)
  return answer?.by === 'curve' ? answer.setting : undefined
})
const lacks = computed(() => shown.amountOf(step.lacking.amount, 'mass'))
const share = computed(() => `${Math.round(100 * step.lacking.share)} %`)

const note = (as: 'yes' | 'no') =>
  done([
    {
      kind: 'light',
      payload: {
        from: step.lacking.from,
        to: step.lacking.to,
        amount: massIn(step.lacking.amount, crew.units),
        done: as,
        ...(as === 'yes' && dial.value !== undefined && { dial: dial.value }),
      },
    },
  ])
</script>

<template>
  <RunFrame
    title="A light pass over what lacks"
    :action="dial === undefined ? 'Leave it, the record says short' : 'It is out'"
    @act="note(dial === undefined ? 'no' : 'yes')"
  >
    <p v-if="dial !== undefined" class="dial">
      <span class="soft">dial</span> <strong>{{ dial }}</strong>
    </p>
    <RunRow word="weigh out" :shown="lacks" />
    <RunRow word="lacks there" :text="`${share} of what is meant`" />
    <RunRow
      v-if="lanes.length > 0"
      word="lanes"
      :text="`${lanes[0]?.lane.number} to ${lanes.at(-1)?.lane.number}`"
    />
    <RunRow v-else word="lawn" :shown="shown.size(step.lacking.size)" />
    <RunLanes v-if="dial !== undefined" :lanes="lanes" />
    <p v-if="dial !== undefined" class="soft">
      Only this much, only there, today and before it is watered in: it counts with this application. Stop
      when it is out.
    </p>
    <RunAnswer
      v-else
      level="warn"
      words="No tested setting goes so low: it would be a guess, so it is not made up."
    />
    <template v-if="dial !== undefined" #actions>
      <UButton size="xl" label="Leave it" @click="note('no')" />
    </template>
  </RunFrame>
</template>

<style scoped>
.dial {
  font-size: 22px;
  padding-bottom: 10px;
}
.dial strong {
  font-size: 64px;
  line-height: 1.05;
}
</style>
