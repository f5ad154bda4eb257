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
    <table v-if="points.length > 1" class="list">
      <thead>
        <tr>
          <th scope="col">Corner</th>
          <th scope="col" class="num">East, north, m</th>
          <th scope="col" class="num">Side to the next, {{ unitText(unit) }}</th>
          <th scope="col" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ i, side, at } in rows" :key="i">
          <th scope="row">
            <button
              type="button"
              class="plain-button way-out"
              :aria-label="`Corner ${i + 1}: arrow keys move it by 10 cm, with Shift by 1 m`"
              @keydown="nudge($event, i)"
            >
              {{ i + 1 }}
            </button>
          </th>
          <td class="num soft">{{ at[0].toFixed(2) }}, {{ at[1].toFixed(2) }}</td>
          <td class="num">
            <input
              class="field side"
              :value="told(side)"
              :aria-label="`Side ${i + 1}`"
              autocomplete="off"
              @change="setSide(i, ($event.target as HTMLInputElement).value)"
            />
          </td>
          <td class="small acts">
            <button
              type="button"
              class="plain-button way-out"
              :aria-label="`New corner in side ${i + 1}`"
              @click="emit('change', splitSide(points, i))"
            >
              + corner
            </button>
            <button
              v-if="points.length > 3"
              type="button"
              class="plain-button way-out"
              :aria-label="`Remove corner ${i + 1}`"
              @click="emit('change', withoutCorner(points, i))"
            >
              remove
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="points.length > PAGE" class="small row">
      <button type="button" class="plain-button way-out" :disabled="from === 0" @click="from -= PAGE">
        Before
      </button>
      <span>corners {{ from + 1 }} to {{ Math.min(from + PAGE, points.length) }} of {{ points.length }}</span>
      <button
        type="button"
        class="plain-button way-out"
        :disabled="from + PAGE >= points.length"
        @click="from += PAGE"
      >
        After
      </button>
    </p>
    <form class="row" @submit.prevent="addLeg">
      <label class="small"
        ><span class="soft block">Next side</span
        ><input v-model="leg" class="field short" placeholder="34'6&quot;" autocomplete="off"
      /></label>
      <label class="small"
        ><span class="soft block">Turn right by, °</span
        ><input v-model="turn" class="field short" autocomplete="off"
      /></label>
      <button type="submit" class="plain-button way-out small">
        {{ points.length === 0 ? 'First side, to the north' : 'Add this side' }}
      </button>
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
