<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { SpreaderCourse, SprayerCourse } from '#core/calibration/courseNote'
import { LENGTH_UNITS, MASS_UNITS, SPEED_UNITS, VOLUME_UNITS } from '#core/quantity/units'

/** Calibration by known area: a taped course and what each run over it took. `path` is where the course stands in its form. */
const props = defineProps<{
  course: { readonly kind: 'spread', readonly note: SpreaderCourse } | { readonly kind: 'spray', readonly note: SprayerCourse }
  path: string
  product?: string
}>()
const { set, locked } = useForm()
const note = computed(() => props.course.note)
const productList = useId()
const rooms = useRoomsStore()

function addRun() {
  if (props.course.kind === 'spread') {
    const last = props.course.note.runs.at(-1)
    const unit = last?.left.unit ?? 'lb'
    return set(`${props.path}.runs`, [...props.course.note.runs, { id: uuid(), start: { text: last?.left.text ?? '', unit }, left: { text: '', unit } }])
  }
  set(`${props.path}.runs`, [...props.course.note.runs, { id: uuid(), used: { text: '', unit: props.course.note.runs.at(-1)?.used.unit ?? 'gal' } }])
}
const dropRun = (index: number) => set(`${props.path}.runs`, note.value.runs.filter((_, i) => i !== index))
</script>

<template>
  <div class="space-y-2 pb-2">
    <p class="soft small">
      {{ course.kind === 'spread' ? 'Weigh in, spread the taped course once at working pace, weigh back.' : 'Fill to a mark, spray the taped course at working speed, measure what refills it.' }}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <FormQuantity :path="`${path}.length`" label="Course length" kind="length" :entered="note.length" :units="LENGTH_UNITS" />
      <FormQuantity :path="`${path}.width`" :label="course.kind === 'spread' ? 'Swath' : 'Sprayed width'" kind="length" :entered="note.width" :units="LENGTH_UNITS" />
      <template v-if="course.kind === 'spread'">
        <template v-for="(run, i) in course.note.runs" :key="run.id">
          <FormQuantity :path="`${path}.runs.${i}.start`" :label="`Run ${i + 1}: weighed in`" kind="mass" :entered="run.start" :units="MASS_UNITS" />
          <FormQuantity :path="`${path}.runs.${i}.left`" :label="`Run ${i + 1}: weighed back`" kind="mass" :entered="run.left" :units="MASS_UNITS" />
        </template>
      </template>
      <template v-else>
        <FormQuantity
          v-for="(run, i) in course.note.runs" :key="run.id" :path="`${path}.runs.${i}.used`" :label="`Run ${i + 1}: water used`" kind="volume" :entered="run.used" :units="VOLUME_UNITS"
        />
      </template>
      <FormQuantity :path="`${path}.speed`" label="Speed" kind="speed" :entered="note.speed" :units="SPEED_UNITS" />
      <DayField label="Calibrated on" :day="note.on" :path="`${path}.on`" :locked="locked" @change="set(`${path}.on`, $event)" />
      <template v-if="course.kind === 'spread'">
        <FormText :path="`${path}.setting`" label="Setting" :text="course.note.setting" />
        <FormText :path="`${path}.product`" label="Product in the hopper" :text="course.note.product" :placeholder="product" :list="productList" />
        <datalist :id="productList"><option v-for="one in rooms.products" :key="one.id" :value="one.name" /></datalist>
      </template>
    </div>
    <div v-if="!locked" class="flex gap-4">
      <button type="button" class="plain-button way-out small" @click="addRun">Add a run</button>
      <button v-if="note.runs.length > 1" type="button" class="plain-button way-out small" @click="dropRun(note.runs.length - 1)">Remove the last run</button>
    </div>
  </div>
</template>
