<script setup lang="ts">
import type { LanesDraft, LawnLanesDraft } from '#core/draft/applicationShape'
import { AIM_CHOICES, HEADER_CHOICES } from '#core/draft/applicationChoices'
import { COMPASS_POINTS, compassWords, sideOf, type CompassPoint } from '#core/ground/compass'
import type { Bounds, Point } from '#core/ground/plane'
import { enteredLength, SYSTEM_UNITS } from '#core/quantity/systems'
import type { LengthUnit } from '#core/quantity/units'
import type { LawnLanes } from '#core/lanes/lawns/workOutLanes'

/** What a hand can change about the lanes; blank, each is the tool's own choice. */
const props = defineProps<{
  lawn: LawnLanes
  box: Bounds | undefined
  choices: LanesDraft
  putting: 'start' | 'truck' | undefined
  /** The calibrated width where it is in force, and half of a throw that was caught; m. */
  calibrated: number | undefined
  fullOverlap: number | undefined
}>()
const emit = defineEmits<{
  change: [fields: Partial<LanesDraft>]
  lawn: [fields: Partial<LawnLanesDraft>]
  put: [what: 'start' | 'truck' | undefined]
  park: [at: Point | undefined]
}>()
const { document, locked, problemAt } = useSheet()
const crew = useCrewStore()
const own = computed(
  (): LawnLanesDraft =>
    props.choices.lawns.find(({ id }) => id === props.lawn.id) ?? { id: props.lawn.id, direction: '' },
)
const headers = HEADER_CHOICES.map((value) => ({
  value,
  text: value === '' ? 'one, as usual' : value === '0' ? 'none' : value,
}))
const aims = AIM_CHOICES.map((value) => ({
  value,
  text: value === '' ? 'the quickest' : value === 'contour' ? 'along the contour' : value,
}))
const sides = [
  { value: '', text: 'none' },
  { value: 'left', text: 'left' },
  { value: 'right', text: 'right' },
] as const
const compass = [
  { value: '' as const, text: 'not said' },
  ...COMPASS_POINTS.map((value) => ({ value, text: compassWords(value) })),
]
const lengths = computed((): readonly LengthUnit[] =>
  SYSTEM_UNITS[crew.units].length === 'm' ? ['m', 'ft'] : ['ft', 'm'],
)
/** What a drag on the plan does, by the keyboard. */
const placeAt = (point: CompassPoint): Point | undefined => props.box && sideOf(props.box, point)
const begins = computed(() => [
  { value: '' as const, text: own.value.start ? 'as put on the plan' : 'where the outline does' },
  ...COMPASS_POINTS.map((value) => ({ value, text: `in the ${compassWords(value)}` })),
])
const parks = computed(() => [
  { value: '' as const, text: props.choices.truck ? 'as put on the plan' : 'not said' },
  ...COMPASS_POINTS.map((value) => ({ value, text: `in the ${compassWords(value)}` })),
])
const shown = useShown()
const told = (metres: number) => {
  const { figure, unit } = shown.distance(metres)
  return `${figure} ${unit}`
}
const overruled = computed(() => own.value.direction !== '' || own.value.start !== undefined)
function begin(point: '' | CompassPoint) {
  const start = point === '' ? undefined : placeAt(point)
  emit('lawn', start ? { start } : {})
}
</script>

<template>
  <div class="space-y-3">
    <div class="fields">
      <TextField
        label="Direction, ° from north"
        path="lanes.direction"
        :text="own.direction"
        placeholder="chosen"
        :problem="problemAt('lanes.direction')?.message"
        :locked="locked"
        @change="emit('lawn', { direction: $event })"
      />
      <ChoiceField
        label="Direction chosen for"
        path="lanes.aim"
        :value="choices.aim"
        :choices="aims"
        :locked="locked"
        @change="emit('change', { aim: $event })"
      />
      <ChoiceField
        v-if="choices.aim === 'contour'"
        label="It falls to the"
        path="lanes.downhill"
        :value="choices.downhill"
        :choices="compass"
        :locked="locked"
        @change="emit('change', { downhill: $event })"
      />
      <ChoiceField
        label="Laps round the edges"
        path="lanes.headers"
        :value="choices.headers"
        :choices="headers"
        :locked="locked"
        @change="emit('change', { headers: $event })"
      />
      <ChoiceField
        v-if="document.method === 'spread'"
        label="Edge deflector"
        path="lanes.shutSide"
        :value="choices.shutSide"
        :choices="sides"
        :locked="locked"
        @change="emit('change', { shutSide: $event })"
      />
      <QuantityField
        path="lanes.apart"
        :entered="choices.apart"
        :units="lengths"
        :locked="locked"
        :hint="calibrated === undefined ? undefined : `tested: ${told(calibrated)}`"
        @change="emit('change', { apart: $event })"
      />
      <QuantityField
        path="lanes.turn"
        :entered="choices.turn"
        :locked="locked"
        @change="emit('change', { turn: $event })"
      />
      <ChoiceField label="Begin" :value="''" :choices="begins" :locked="locked" @change="begin" />
      <ChoiceField
        label="The truck stands"
        :value="''"
        :choices="parks"
        :locked="locked"
        @change="emit('park', $event === '' ? undefined : placeAt($event))"
      />
    </div>
    <div v-if="!locked" class="flex flex-wrap gap-x-4">
      <UButton
        v-if="fullOverlap !== undefined && calibrated !== undefined"
        variant="link"
        size="sm"
        icon="i-lucide-unfold-horizontal"
        :label="`Full overlap: ${told(fullOverlap)}, half the throw of the trays`"
        @click="emit('change', { apart: enteredLength(fullOverlap, crew.units) })"
      />
      <UButton
        variant="link"
        size="sm"
        icon="i-lucide-map-pin"
        :label="putting === 'start' ? 'Leave it' : 'Begin elsewhere on the plan'"
        @click="emit('put', putting === 'start' ? undefined : 'start')"
      />
      <UButton
        variant="link"
        size="sm"
        icon="i-lucide-truck"
        :label="putting === 'truck' ? 'Leave it' : 'Put the truck on the plan'"
        @click="emit('put', putting === 'truck' ? undefined : 'truck')"
      />
      <UButton
        v-if="overruled"
        variant="link"
        size="sm"
        icon="i-lucide-undo-2"
        label="Take the tool’s own again"
        @click="emit('lawn', { direction: '', start: undefined })"
      />
    </div>
  </div>
</template>
