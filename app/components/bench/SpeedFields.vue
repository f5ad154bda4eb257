<script setup lang="ts">
import type { TimedCourse } from '#core/calibration/calibrationShape'
import { readTimedCourse } from '#core/calibration/readSpeed'
import type { Entered } from '#core/quantity/entered'
import { fieldReader } from '#core/quantity/fieldReader'
import { runAdvice } from '#core/quantity/repeats'
import type { LengthUnit, SpeedUnit } from '#core/quantity/units'
import { closedWorkingBook } from '#core/working/working'

/** The speed of a calibration: typed, or timed over a taped length. */
const props = defineProps<{
  note: {
    readonly speed: Entered<SpeedUnit>
    readonly length: Entered<LengthUnit>
    readonly timed?: TimedCourse
  }
  path: string
}>()
const { set, locked } = useForm()
const shown = useShown()
const read = computed(
  () => props.note.timed && readTimedCourse(props.note.timed, '', '', fieldReader(), closedWorkingBook),
)
const ADVICE = {
  'two more': 'one run shows no spread',
  'one more': 'one more run would help',
  uneven: 'the runs differ: walk them at one pace',
  enough: 'steady enough',
} as const
const put = (timed: TimedCourse | undefined) => set(`${props.path}.timed`, timed)
const begin = () => put({ length: { ...props.note.length }, times: [{ text: '', unit: 's' }] })

/** A stopped watch fills the first time that is still blank, or makes one. */
function stopped(text: string) {
  const { timed } = props.note
  if (!timed) return
  const blank = timed.times.findIndex((time) => time.text === '')
  const stop = { text, unit: 's' as const }
  put({
    ...timed,
    times: blank < 0 ? [...timed.times, stop] : timed.times.map((time, i) => (i === blank ? stop : time)),
  })
}
</script>

<template>
  <div v-if="note.timed" class="space-y-2">
    <div class="fields">
      <QuantityField :path="`${path}.timed.length`" />
      <QuantityField
        v-for="(time, i) in note.timed.times"
        :key="i"
        :path="`${path}.timed.times.${i}`"
        :label="`Time ${i + 1}`"
      />
    </div>
    <StopWatch v-if="!locked" @stop="stopped" />
    <p v-if="read" role="status">
      <FigureText :shown="shown.speed(read.mean)" page="calibration.speed" label="Speed" />
      <span class="soft small">{{ ADVICE[runAdvice(read).advice] }}</span>
    </p>
    <p v-if="!locked" class="flex gap-4">
      <UButton
        variant="link"
        size="sm"
        @click="put({ ...note.timed, times: [...note.timed.times, { text: '', unit: 's' }] })"
      >
        Another time
      </UButton>
      <UButton variant="link" size="sm" @click="put(undefined)"> Type the speed instead </UButton>
    </p>
  </div>
  <div v-else class="fields items-end">
    <QuantityField :path="`${path}.speed`" />
    <p v-if="!locked" class="pb-1">
      <UButton variant="link" size="sm" @click="begin">Time it on a course</UButton>
    </p>
  </div>
</template>
