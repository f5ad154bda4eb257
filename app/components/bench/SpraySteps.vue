<script setup lang="ts">
import { typedFigure } from '#core/quantity/entered'
import { bySprayMethod, type NozzleFacts } from '#core/calibration/chooseMethod'
import { SPRAY_METHODS, sprayMethodOf } from '#core/calibration/courseNote'
import type { SprayerCourse } from '#core/calibration/calibrationShape'
import { hundredTwentyEighthCourse } from '#core/calibration/nozzleFlow'
import { lengthSi } from '#core/quantity/quantity'
import { VOLUME_UNITS } from '#core/quantity/units'

/** A sprayer's calibration as it is done: by whichever method, step by step. */
const props = defineProps<{ note: SprayerCourse; path: string; nozzles?: NozzleFacts }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const shown = useShown()
const method = computed(() => sprayMethodOf(props.note))
const words = computed(() => SPRAY_WORDS[method.value])
const methods = SPRAY_METHODS.map((value) => ({ value, text: SPRAY_WORDS[value].text }))
/** The course on which one nozzle treats a 128th of an acre. */
const course = computed(() => {
  const spacing = method.value === '1/128 acre' ? typedFigure(props.note.width, 'length') : undefined
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
        <QuantityField v-if="words.length" :path="`${path}.length`" :label="words.length" />
        <QuantityField v-if="method === 'job' && note.ground" :path="`${path}.ground`" />
        <QuantityField :path="`${path}.width`" :label="words.width" />
        <TextField
          v-if="method === '1/128 acre' || method === 'one nozzle'"
          :path="`${path}.count`"
          label="Nozzles in all"
          placeholder="1"
        />
        <TextField
          v-if="method === 'hose-end'"
          :path="`${path}.product`"
          label="Product in the bottle"
          placeholder="thick ones draw slower"
        />
        <QuantityField
          v-if="method !== 'hose-end'"
          :path="`${path}.pressure`"
          :unit="crew.units.startsWith('metric') ? 'bar' : 'psi'"
        />
        <TextField
          :path="`${path}.nozzles`"
          :label="method === 'hose-end' ? 'Head and orifice' : 'Nozzle set'"
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
          <QuantityField :path="`${path}.catching.time`" />
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
        <QuantityField :path="`${path}.step`" />
      </div>
      <div v-if="method === 'one nozzle' && note.catching" class="fields">
        <QuantityField :path="`${path}.catching.time`" label="Caught for, if other" />
      </div>
    </li>
    <li v-if="method === 'hose-end' && note.covered">
      <h3>Time how long a known piece of lawn takes</h3>
      <div class="fields">
        <QuantityField :path="`${path}.covered.ground`" />
        <QuantityField :path="`${path}.covered.time`" />
      </div>
    </li>
    <li v-if="method !== 'one nozzle'">
      <h3>Speed</h3>
      <SpeedFields :note="note" :path="path" />
    </li>
  </ol>
</template>
