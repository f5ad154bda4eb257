<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { COMPASS_POINTS, compassWords } from '#core/ground/compass'
import type { AskedBuffer } from '#core/job/lanes/askedBuffers'
import { bufferExclusions } from '#core/job/lanes/bufferExclusions'
import { downwind } from '#core/lanes/lawns/downwind'
import type { LawnLanes } from '#core/lanes/lawns/workOutLanes'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { LengthUnit } from '#core/quantity/units'
import type { SheetLanes } from '~/composables/job/useLanes'

/** What is kept from water and beds and what that leaves untreated; where the wind carries. */
const props = defineProps<{ worked: SheetLanes }>()
const { document, set, locked } = useSheet()
const { choices, change } = useLaneChoices()
const crew = useCrewStore()
const shown = useShown()
const compass = [
  { value: '' as const, text: 'not noted' },
  ...COMPASS_POINTS.map((value) => ({ value, text: `the ${compassWords(value)}` })),
]
const lengths = computed((): readonly LengthUnit[] =>
  SYSTEM_UNITS[crew.units].length === 'm' ? ['m', 'ft'] : ['ft', 'm'],
)
const wind = computed(() =>
  choices.value.windFrom ? downwind(props.worked.question.lawns, choices.value.windFrom) : undefined,
)
const keptOut = computed(() =>
  props.worked.lanes.lawns.flatMap((lawn) => (lawn.keptOut ? [{ lawn, ...lawn.keptOut }] : [])),
)
const buffers = computed(() => props.worked.buffers)
/** What is kept off, from what, and who asks for it. */
const words = computed(() =>
  [
    { of: 'open water', buffer: buffers.value.water },
    { of: 'beds', buffer: buffers.value.beds },
  ]
    .flatMap(({ of, buffer }) => (buffer ? [`${buffer.words} from ${of} (${buffer.source})`] : []))
    .join(', '),
)
const hint = (buffer: AskedBuffer | undefined) =>
  buffer && !buffer.byHand ? `${buffer.words}, ${buffer.source}` : undefined

function takeOut({ id, keptOut: strip }: LawnLanes) {
  const index = document.value.lawns.findIndex((one) => one.id === id)
  const lawn = document.value.lawns[index]
  if (lawn && strip)
    set(`lawns.${index}.parts`, [...lawn.parts, ...bufferExclusions(strip, words.value, crew.units, uuid)])
}
const located = (id: string) =>
  props.worked.layout.shapes.every(({ lawnId, place }) => lawnId !== id || place === undefined)
</script>

<template>
  <section aria-labelledby="wind-title" class="space-y-2">
    <h2 id="wind-title">Wind and water</h2>
    <div class="fields">
      <ChoiceField
        label="Wind from"
        path="lanes.windFrom"
        :value="choices.windFrom"
        :choices="compass"
        :locked="locked"
        @change="change({ windFrom: $event })"
      />
      <QuantityField
        path="lanes.wind"
        :entered="choices.wind"
        :locked="locked"
        @change="change({ wind: $event })"
      />
      <QuantityField
        path="lanes.buffer"
        :entered="choices.buffer"
        :units="lengths"
        :locked="locked"
        :hint="hint(buffers.water)"
        @change="change({ buffer: $event })"
      />
      <QuantityField
        path="lanes.bedBuffer"
        :entered="choices.bedBuffer ?? { text: '', unit: choices.buffer.unit }"
        :units="lengths"
        :locked="locked"
        :hint="hint(buffers.beds)"
        @change="change({ bedBuffer: $event })"
      />
    </div>
    <p v-if="wind" class="small">{{ wind.words }}</p>
    <p v-if="wind && wind.water.length > 0" class="small">
      <StateMark
        level="warn"
        :words="`Water lies downwind: ${wind.water.join(', ')}. Wait for another wind, or keep further off.`"
      />
    </p>
    <ul v-if="keptOut.length > 0" class="small space-y-1">
      <li v-for="{ lawn, size } in keptOut" :key="lawn.id">
        {{ lawn.name }}: <FigureText :shown="shown.size(size)" page="lanes" label="Kept out" /> stay
        untreated, {{ words }}. The amounts still count them.
        <UButton
          v-if="!locked && located(lawn.id)"
          variant="link"
          size="sm"
          label="Take them out of the ground"
          @click="takeOut(lawn)"
        />
      </li>
    </ul>
    <p v-else-if="words" class="small soft">{{ words }}: no exclusion of these lawns is that by its name.</p>
  </section>
</template>
