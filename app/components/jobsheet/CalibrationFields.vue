<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { MASS_UNITS, SPEED_UNITS, VOLUME_UNITS, type LengthUnit } from '#core/quantity/units'

/** Calibration by known area: a taped course and what each run over it took. */
defineProps<{ lengthUnits: readonly LengthUnit[] }>()
const { document, set, locked } = useSheet()
const method = computed(() => document.value.method)
const note = computed(() => document.value[method.value].calibration)
const path = computed(() => `${method.value}.calibration`)

function addRun() {
  if (method.value === 'spread') {
    const { runs } = document.value.spread.calibration
    const unit = runs.at(-1)?.left.unit ?? 'lb'
    set('spread.calibration.runs', [...runs, { id: uuid(), start: { text: runs.at(-1)?.left.text ?? '', unit }, left: { text: '', unit } }])
    return
  }
  const { runs } = document.value.spray.calibration
  set('spray.calibration.runs', [...runs, { id: uuid(), used: { text: '', unit: runs.at(-1)?.used.unit ?? 'gal' } }])
}
const dropRun = (index: number) => set(`${path.value}.runs`, note.value.runs.filter((_, i) => i !== index))
</script>

<template>
  <div class="space-y-2 pb-2">
    <p class="soft small">
      {{ method === 'spread' ? 'Weigh in, spread the taped course once at working pace, weigh back.' : 'Fill to a mark, spray the taped course at working speed, measure what refills it.' }}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <SheetQuantity :path="`${path}.length`" label="Course length" kind="length" :entered="note.length" :units="lengthUnits" />
      <SheetQuantity :path="`${path}.width`" :label="method === 'spread' ? 'Swath' : 'Sprayed width'" kind="length" :entered="note.width" :units="lengthUnits" />
      <template v-if="method === 'spread'">
        <template v-for="(run, i) in document.spread.calibration.runs" :key="run.id">
          <SheetQuantity :path="`spread.calibration.runs.${i}.start`" :label="`Run ${i + 1}: weighed in`" kind="mass" :entered="run.start" :units="MASS_UNITS" />
          <SheetQuantity :path="`spread.calibration.runs.${i}.left`" :label="`Run ${i + 1}: weighed back`" kind="mass" :entered="run.left" :units="MASS_UNITS" />
        </template>
      </template>
      <template v-else>
        <SheetQuantity
          v-for="(run, i) in document.spray.calibration.runs" :key="run.id" :path="`spray.calibration.runs.${i}.used`" :label="`Run ${i + 1}: water used`" kind="volume"
          :entered="run.used" :units="VOLUME_UNITS"
        />
      </template>
      <SheetQuantity :path="`${path}.speed`" label="Speed" kind="speed" :entered="note.speed" :units="SPEED_UNITS" />
      <DayField label="Calibrated on" :day="note.on" :path="`${path}.on`" :locked="locked" @change="set(`${path}.on`, $event)" />
      <template v-if="method === 'spread'">
        <SheetText path="spread.calibration.setting" label="Setting" :text="document.spread.calibration.setting" />
        <SheetText path="spread.calibration.product" label="Product in the hopper" :text="document.spread.calibration.product" :placeholder="document.products[0]?.name" />
      </template>
    </div>
    <div v-if="!locked" class="flex gap-4">
      <button type="button" class="plain-button way-out small" @click="addRun">Add a run</button>
      <button v-if="note.runs.length > 1" type="button" class="plain-button way-out small" @click="dropRun(note.runs.length - 1)">Remove the last run</button>
    </div>
  </div>
</template>
