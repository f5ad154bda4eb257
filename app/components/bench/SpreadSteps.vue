<script setup lang="ts">
import { bySpreadMethod } from '#core/calibration/chooseMethod'
import { SPREAD_METHODS, spreadMethodOf } from '#core/calibration/courseNote'
import type { SpreaderCourse } from '#core/calibration/calibrationShape'

/** A spreader's calibration as it is done: by whichever method, step by step. */
const props = defineProps<{ note: SpreaderCourse; path: string; product?: string }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const library = useLibraryStore()
const method = computed(() => spreadMethodOf(props.note))
const words = computed(() => SPREAD_WORDS[method.value])
const methods = SPREAD_METHODS.map((value) => ({ value, text: SPREAD_WORDS[value].text }))
</script>

<template>
  <ChoiceField
    label="How it is measured"
    :value="method"
    :choices="methods"
    :locked="locked"
    @change="set(path, bySpreadMethod(note, $event, crew.units))"
  />
  <ol class="steps">
    <li>
      <h3>{{ words.ready }}</h3>
      <div class="fields">
        <QuantityField
          v-if="method === 'known area' || method === 'catch'"
          :path="`${path}.length`"
          :label="words.length"
        />
        <QuantityField v-if="method === 'job' && note.ground" :path="`${path}.ground`" />
        <QuantityField :path="`${path}.width`" :label="words.width" />
        <TextField
          v-if="method === 'job'"
          :path="`${path}.passes`"
          label="Passes over it"
          :text="note.passes ?? '1'"
          :locked="locked"
          @change="set(`${path}.passes`, $event)"
        />
        <TextField :path="`${path}.setting`" label="Setting" />
        <NameField
          class="wide"
          :path="`${path}.product`"
          label="Product in the hopper"
          :text="note.product"
          :names="library.products"
          :placeholder="product"
          :locked="locked"
          @change="set(`${path}.product`, $event)"
        />
      </div>
    </li>
    <li>
      <h3>{{ words.run }}</h3>
      <CourseRuns :runs="note.runs" :fields="words.fields" :path="`${path}.runs`" />
      <div class="fields">
        <QuantityField :path="`${path}.step`" />
      </div>
    </li>
    <li>
      <h3>Speed</h3>
      <SpeedFields :note="note" :path="path" />
    </li>
  </ol>
</template>
