<script setup lang="ts">
import { movedCorner, splitSide, withLeg, withoutCorner, withSide } from '#core/ground/editOutline'
import { sides, type Ring } from '#core/ground/plane'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { lengthSi } from '#core/quantity/quantity'
import { formatFigure } from '#core/quantity/format'
import { SYSTEM_UNITS, unitText } from '#core/quantity/systems'
import { METRES_PER } from '#core/quantity/units'

/**
 * Corners and sides of an outline as typed figures: all that can be dragged can be typed, nudged by arrow
 * keys, and drawn side by side.
 */
const props = defineProps<{ points: Ring }>()
const emit = defineEmits<{ change: [points: Ring] }>()
const crew = useCrewStore()
const unit = computed(() => SYSTEM_UNITS[crew.units].length)
const PAGE = 40
const from = ref(0)
const rows = computed(() =>
  sides(props.points)
    .map((side, i) => ({ i, side, at: props.points[i]! }))
    .slice(from.value, from.value + PAGE),
)
const columns = computed(() => [
  { key: 'corner', head: 'Corner' },
  { key: 'at', head: 'East, north, m', numeric: true },
  { key: 'side', head: `Side to the next, ${unitText(unit.value)}`, numeric: true },
  { key: 'acts', head: '' },
])
const leg = ref('')
const turn = ref('90')
const problem = ref('')
const told = (metres: number) => formatFigure(metres / METRES_PER[unit.value])
/** Arrow keys move a corner by so much, with Shift by ten times. */
const NUDGE_M = 0.1
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
}

function metresOf(text: string): number | undefined {
  const read = parseQuantity(text, 'length', unit.value)
  problem.value = read.ok ? '' : read.error.message
  return read.ok ? lengthSi(read.value) : undefined
}
function setSide(i: number, text: string) {
  const metres = metresOf(text)
  if (metres !== undefined && metres > 0) emit('change', withSide(props.points, i, metres))
}
function addLeg() {
  const metres = metresOf(leg.value)
  const degrees = Number(turn.value.replace('−', '-'))
  if (metres === undefined || metres <= 0 || !Number.isFinite(degrees)) {
    problem.value ||=
      'A side has a length above zero and a turn in degrees, right of the side before; left is negative.'
    return
  }
  emit('change', withLeg(props.points, metres, props.points.length === 0 ? 0 : degrees))
  leg.value = ''
}
function nudge(event: KeyboardEvent, i: number) {
  const arrow = ARROWS[event.key]
  const at = props.points[i]
  if (!arrow || !at) return
  event.preventDefault()
  const step = NUDGE_M * (event.shiftKey ? 10 : 1)
  emit('change', movedCorner(props.points, i, [at[0] + arrow[0] * step, at[1] + arrow[1] * step]))
}
</script>

<template>
  <div class="corners">
    <RowTable
      v-if="points.length > 1"
      caption="Corners and sides"
      stacked
      :rows="rows"
      :columns="columns"
      :key-of="({ i }) => String(i)"
    >
      <template #corner="{ row }"
        ><UButton
          variant="link"
          size="sm"
          :aria-label="`Corner ${row.i + 1}: arrow keys move it by 10 cm, with Shift by 1 m`"
          @keydown="nudge($event, row.i)"
          >{{ row.i + 1 }}</UButton
        ></template
      >
      <template #at="{ row }"
        ><span class="soft">{{ row.at[0].toFixed(2) }}, {{ row.at[1].toFixed(2) }}</span></template
      >
      <template #side="{ row }"
        ><UInput
          class="side"
          :model-value="told(row.side)"
          :aria-label="`Side ${row.i + 1}`"
          autocomplete="off"
          @change="setSide(row.i, ($event.target as HTMLInputElement).value)"
      /></template>
      <template #acts="{ row }"
        ><span class="acts small"
          ><UButton
            variant="link"
            size="sm"
            :aria-label="`New corner in side ${row.i + 1}`"
            @click="emit('change', splitSide(points, row.i))"
            >+ corner</UButton
          ><UButton
            v-if="points.length > 3"
            variant="link"
            size="sm"
            :aria-label="`Remove corner ${row.i + 1}`"
            @click="emit('change', withoutCorner(points, row.i))"
            >remove</UButton
          ></span
        ></template
      >
    </RowTable>
    <p v-if="points.length > PAGE" class="small row">
      <UButton variant="link" size="sm" :disabled="from === 0" @click="from -= PAGE"> Before </UButton>
      <span>corners {{ from + 1 }} to {{ Math.min(from + PAGE, points.length) }} of {{ points.length }}</span>
      <UButton variant="link" size="sm" :disabled="from + PAGE >= points.length" @click="from += PAGE">
        After
      </UButton>
    </p>
    <form class="row" @submit.prevent="addLeg">
      <TextField
        class="short"
        label="Next side"
        :text="leg"
        placeholder="34'6&quot;"
        @change="leg = $event"
      />
      <TextField class="short" label="Turn right by, °" :text="turn" @change="turn = $event" />
      <UButton type="submit" variant="link" size="sm">
        {{ points.length === 0 ? 'First side, to the north' : 'Add this side' }}
      </UButton>
    </form>
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.corners {
  max-height: 340px;
  overflow: auto;
  padding-bottom: 6px;
}
.list th,
.list td {
  padding: 2px 10px 2px 0;
  vertical-align: middle;
}
.side {
  width: 6.5em;
  text-align: right;
}
.short {
  width: 6.5em;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
  padding-top: 6px;
}
.acts {
  white-space: nowrap;
  display: flex;
  gap: 10px;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
