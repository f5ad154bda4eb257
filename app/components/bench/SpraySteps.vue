<script setup lang="ts">
import { bySprayMethod, type NozzleFacts } from '#core/calibration/chooseMethod'
import { SPRAY_METHODS, sprayMethodOf } from '#core/calibration/courseNote'
import type { SprayerCourse } from '#core/calibration/calibrationShape'
import { hundredTwentyEighthCourse } from '#core/calibration/nozzleFlow'
import { fieldReader } from '#core/quantity/fieldReader'
import { lengthSi } from '#core/quantity/quantity'
import { AREA_UNITS, LENGTH_UNITS, PRESSURE_UNITS, STOPWATCH_UNITS, VOLUME_UNITS } from '#core/quantity/units'

/** A sprayer's calibration as it is done: by whichever method, step by step. */
const props = defineProps<{ note: SprayerCourse; path: string; nozzles?: NozzleFacts }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const shown = useShown()
const method = computed(() => sprayMethodOf(props.note))
const words = computed(() => SPRAY_WORDS[method.value])
const methods = SPRAY_METHODS.map((value) => ({ value, text: SPRAY_WORDS[value].text }))
const pressure = computed(
  () =>
    props.note.pressure ?? {
      text: '',
      unit: crew.units.startsWith('metric') ? ('bar' as const) : ('psi' as const),
    },
)
/** The course on which one nozzle treats a 128th of an acre. */
const course = computed(() => {
  const spacing =
    method.value === '1/128 acre'
      ? fieldReader().optional('', props.note.width, 'length', 'Spacing', 'above-zero')
      : undefined
  return spacing && shown.distance(hundredTwentyEighthCourse(lengthSi(spacing)))
})
</script>

<template>
  <ChoiceField
    label="How it is measured"
    :value="method"
    :choices="methods"
    :locked="locked"
    @change="set(path, bySprayMethod(note, $event, crew.units, nozzles))"
  />
  <ol class="steps">
    <li>
      <h3>{{ words.ready }}</h3>
      <div class="fields">
        <FormQuantity
          v-if="words.length"
          :path="`${path}.length`"
          :label="words.length"
          kind="length"
          :entered="note.length"
          :units="LENGTH_UNITS"
        />
        <FormQuantity
          v-if="method === 'job' && note.ground"
          :path="`${path}.ground`"
          label="Ground treated"
          kind="area"
          :entered="note.ground"
          :units="AREA_UNITS"
        />
        <FormQuantity
          :path="`${path}.width`"
          :label="words.width"
          kind="length"
          :entered="note.width"
          :units="LENGTH_UNITS"
        />
        <FormText
          v-if="method === '1/128 acre' || method === 'one nozzle'"
          :path="`${path}.count`"
          label="Nozzles in all"
          :text="note.count ?? ''"
          placeholder="1"
        />
        <FormText
          v-if="method === 'hose-end'"
          :path="`${path}.product`"
          label="Product in the bottle"
          :text="note.product ?? ''"
          placeholder="thick ones draw slower"
        />
        <FormQuantity
          v-if="method !== 'hose-end'"
          :path="`${path}.pressure`"
          label="Pressure"
          kind="pressure"
          :entered="pressure"
          :units="PRESSURE_UNITS"
        />
        <FormText
          :path="`${path}.nozzles`"
          :label="method === 'hose-end' ? 'Head and orifice' : 'Nozzle set'"
          :text="note.nozzles ?? ''"
        />
      </div>
      <p v-if="course" class="mt-1">
        Walk <strong><FigureText :shown="course" /></strong>: one nozzle treats a 128th of an acre there, and
        the fluid ounces it gives are gallons per acre.
      </p>
    </li>
    <li>
      <h3>{{ words.run }}</h3>
      <template v-if="method === 'nozzle catch' && note.catching">
        <div class="fields">
          <FormQuantity
            :path="`${path}.catching.time`"
            label="Caught for"
            kind="stopwatch"
            :entered="note.catching.time"
            :units="STOPWATCH_UNITS"
          />
        </div>
        <StopWatch
          v-if="!locked"
          class="mt-2"
          @stop="set(`${path}.catching.time`, { text: $event, unit: 's' })"
        />
        <ReadingList
          :list="note.catching.catches"
          :path="`${path}.catching.catches`"
          one="Nozzle"
          kind="volume"
          :units="VOLUME_UNITS"
        />
      </template>
      <CourseRuns v-else :runs="note.runs" :fields="words.fields" :path="`${path}.runs`" />
      <div class="fields">
        <FormQuantity
          :path="`${path}.step`"
          label="Smallest step of the jug"
          kind="volume"
          :entered="note.step ?? { text: '', unit: 'fl oz' }"
          :units="VOLUME_UNITS"
        />
      </div>
      <div v-if="method === 'one nozzle' && note.catching" class="fields">
        <FormQuantity
          :path="`${path}.catching.time`"
          label="Caught for, if other"
          kind="stopwatch"
          :entered="note.catching.time"
          :units="STOPWATCH_UNITS"
        />
      </div>
    </li>
    <li v-if="method === 'hose-end' && note.covered">
      <h3>Time how long a known piece of lawn takes</h3>
      <div class="fields">
        <FormQuantity
          :path="`${path}.covered.ground`"
          label="Ground covered"
          kind="area"
          :entered="note.covered.ground"
          :units="AREA_UNITS"
        />
        <FormQuantity
          :path="`${path}.covered.time`"
          label="Time for that ground"
          kind="stopwatch"
          :entered="note.covered.time"
          :units="STOPWATCH_UNITS"
        />
      </div>
    </li>
    <li v-if="method !== 'one nozzle'">
      <h3>Speed</h3>
      <SpeedFields :note="note" :path="path" />
    </li>
  </ol>
</template>
