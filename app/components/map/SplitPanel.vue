<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { LawnPart } from '#core/ground/areaShape'
import { boundsOf, type Point } from '#core/ground/plane'
import type { MappedArea } from '#core/ground/siteMap'
import { splitArea } from '#core/ground/splitArea'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { lengthSi } from '#core/quantity/quantity'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { Area } from '#shared/schemas/ground'

/** Cutting an area in two along a line pressed on the plan, or so far from its west or south edge. */
const props = defineProps<{
  areas: readonly MappedArea[]
  stored: readonly Area[]
  line: readonly Point[]
}>()
const emit = defineEmits<{
  line: [line: readonly Point[]]
  split: [area: Area, halves: readonly [readonly LawnPart[], readonly LawnPart[]], name: string]
}>()
const crew = useCrewStore()
const areaId = ref(props.areas[0]?.id ?? '')
const name = ref('')
const edge = ref<'west' | 'south'>('west')
const off = ref('')
const EDGES = [
  { value: 'west', text: 'west' },
  { value: 'south', text: 'south' },
] as const
const problem = ref('')
const WORDS = {
  notAcross: 'This line does not cut the area in two: press on either side of it.',
  notCombined: 'These outlines can’t be cut: move a doubled corner first.',
} as const

/** A line so far from an edge, across the whole area. */
function typedLine() {
  const box = boundsOf(
    props.areas.find(({ id }) => id === areaId.value)?.shapes.flatMap(({ rings }) => rings.flat()) ?? [],
  )
  const read = parseQuantity(off.value, 'length', SYSTEM_UNITS[crew.units].length)
  problem.value = read.ok ? '' : read.error.message
  if (!box || !read.ok) return
  const at = lengthSi(read.value)
  emit(
    'line',
    edge.value === 'west'
      ? [
          [box.minX + at, box.minY],
          [box.minX + at, box.maxY],
        ]
      : [
          [box.maxX, box.minY + at],
          [box.minX, box.minY + at],
        ],
  )
}
function fromEdge(next: 'west' | 'south') {
  edge.value = next
  if (off.value) typedLine()
}
function split() {
  const area = props.stored.find(({ id }) => id === areaId.value)
  const planned = props.areas.find(({ id }) => id === areaId.value)
  const [from, to] = props.line
  if (!area || !planned || !from || !to) return
  const parts = area.document.parts.flatMap((part) => {
    const shape = planned.shapes.find(({ partId }) => partId === part.id)
    return shape ? [{ part, shape }] : []
  })
  const halves = splitArea(parts, [from, to], uuid)
  problem.value = halves.ok ? '' : WORDS[halves.error.kind]
  if (halves.ok) emit('split', area, halves.value, name.value.trim() || `${area.name}, second part`)
}
</script>

<template>
  <div class="space-y-2">
    <ChoiceField
      label="Split which area"
      :value="areaId"
      :choices="areas.map(({ id, name }) => ({ value: id, text: name }))"
      @change="areaId = $event"
    />
    <p class="small">
      Press two points on the plan for the cut{{ line.length === 1 ? ': one more' : '' }}, or type it:
    </p>
    <div class="flex items-end gap-2">
      <TextField
        class="flex-1"
        label="So far in"
        :text="off"
        placeholder="40 ft"
        @change="off = $event"
        @blur="off && typedLine()"
      />
      <ChoiceField
        class="flex-1"
        label="from its edge in the"
        :value="edge"
        :choices="EDGES"
        @change="fromEdge"
      />
    </div>
    <TextField label="Name of the part to the right of the line" :text="name" @change="name = $event" />
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <p class="soft small">
      Both parts keep what grows there; dimensions become outlines to scale, and the notes they came from stay
      in the size’s history.
    </p>
    <UButton
      color="primary"
      variant="solid"
      label="Split"
      :disabled="line.length < 2 || !areaId"
      @click="split"
    />
  </div>
</template>

<style scoped>
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
