<script setup lang="ts">
import { throwOf } from '#core/calibration/trayPattern'
import { boundsOf, centroid, type Point } from '#core/ground/plane'
import { costWords, laneProblemWords } from '#core/lanes/lawns/laneWords'
import { fromNorth, hasDirection } from '#core/lanes/plan/lanePlan'
import type { SheetLanes } from '~/composables/job/useLanes'

/** Lanes on the plan of the lawns: what was chosen and why, what a hand can change, where one stops. */
const props = defineProps<{ worked: SheetLanes }>()
const { document, locked, sheet } = useSheet()
const { choices, change, ofLawn, changeLawn, park } = useLaneChoices()
const library = useLibraryStore()
const shown = useShown()
const bearing = computed(() => library.anchor?.bearing ?? 0)
const lanes = computed(() => props.worked.lanes)
const lawnId = ref('')
const lawn = computed(() => lanes.value.lawns.find(({ id }) => id === lawnId.value) ?? lanes.value.lawns[0])
const pass = ref(0)
const passes = computed(() => [
  { value: 0, text: 'all passes' },
  ...Array.from({ length: props.worked.question.passes }, (_, i) => ({
    value: i + 1,
    text: `pass ${i + 1}`,
  })),
])
const shapes = computed(() =>
  props.worked.layout.shapes.map(({ lawnId: own, partId, rings, sign, place }) => ({
    key: `${own} ${partId}`,
    rings,
    sign,
    schematic: place !== undefined,
    tone: 'own' as const,
  })),
)
const schematic = computed(() => shapes.value.some((shape) => shape.schematic))
/** What the next press on the plan puts there. */
const putting = ref<'start' | 'truck'>()
function pressed(at: Point) {
  if (putting.value === 'start' && lawn.value) changeLawn(lawn.value.id, { start: at })
  if (putting.value === 'truck') park(at)
  putting.value = undefined
}
const outline = computed(() => lawn.value?.ground.flatMap(([ring = []]) => ring) ?? [])
const box = computed(() => boundsOf(outline.value))
/** The arrow's share of the lawn's shorter side: it stays on the lawn however it is turned. */
const ARROW = 0.42
const handle = computed(() => {
  const bounds = box.value
  const first = lawn.value?.plan?.passes[0]
  if (!bounds || !first || !lawn.value?.plan || !hasDirection(lawn.value.plan)) return undefined
  const [ring = []] = lawn.value?.ground[0] ?? []
  return {
    middle: centroid(ring),
    reach: Math.min(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY) * ARROW,
    direction: first.direction,
    start: ofLawn(lawn.value?.id ?? '').start ?? first.lanes[0]?.line[0],
  }
})
const turned = (degrees: number) =>
  lawn.value &&
  changeLawn(lawn.value.id, { direction: String(Math.round(fromNorth(degrees, bearing.value))) })
const told = (metres: number) => {
  const { figure, unit } = shown.distance(metres)
  return `${figure} ${unit}`
}
/** The school of full overlap: the throw reaches the lane beside. */
const { pattern } = useThrow(() => props.worked.question.width)
const fullOverlap = computed(() =>
  pattern.value.source === 'trays' ? throwOf(pattern.value.profile) / 2 : undefined,
)
const calibrated = computed(() =>
  choices.value.apart.text.trim() === '' ? sheet.value.calibration?.width : undefined,
)
const amount = useLaneAmount()
const everyLane = computed(() =>
  (lawn.value?.plan?.passes ?? []).flatMap(({ lanes: own }, i) =>
    own.map(({ number, header, length }) => ({
      number,
      header,
      length,
      pass: i + 1,
      takes: lawn.value?.amounts[number - 1] ?? 0,
    })),
  ),
)
const LANE_COLUMNS = [
  { key: 'number', head: 'Lane' },
  { key: 'length', head: 'long', numeric: true },
  { key: 'takes', head: 'takes', numeric: true },
] as const
</script>

<template>
  <section class="space-y-3" aria-labelledby="lanes-title">
    <h2 id="lanes-title" class="sr-only">Lanes</h2>
    <slot />
    <SiteMap
      :bounds="worked.layout.bounds"
      :bearing="bearing"
      label="Lanes on the plan"
      tall="var(--lane-plan)"
      class="lane-plan"
      @click="pressed"
    >
      <MapShapes :shapes="shapes" />
      <LaneLines :lawns="lanes.lawns" :stops="lanes.stops" :pass="pass" :method="document.method" />
      <LaneHandles
        v-if="handle && !locked"
        v-bind="handle"
        :truck="choices.truck"
        @turned="turned"
        @begun="lawn && changeLawn(lawn.id, { start: $event })"
        @parked="park"
      />
      <WindArrow v-if="choices.windFrom" :from="choices.windFrom" />
    </SiteMap>
    <div class="flex flex-wrap items-end gap-x-5 gap-y-1">
      <RadioField
        v-if="passes.length > 2"
        label="Shown"
        bare
        :value="pass"
        :choices="passes"
        @change="pass = $event"
      />
      <ChoiceField
        v-if="lanes.lawns.length > 1"
        label="Lawn in hand"
        bare
        :value="lawn?.id ?? ''"
        :choices="lanes.lawns.map(({ id, name }) => ({ value: id, text: name }))"
        @change="lawnId = $event"
      />
      <LanesOut class="ms-auto" :worked="worked" />
    </div>
    <p class="small soft">
      <template v-if="putting"
        >Press on the plan {{ putting === 'truck' ? 'where the truck stands' : 'where you begin' }}.
      </template>
      <template v-else-if="!locked">Drag the arrow to turn the lanes, ▶ to begin elsewhere. </template>
      {{
        schematic
          ? 'Broken lines are known only by their dimensions: their place is schematic.'
          : 'To scale, north up.'
      }}
    </p>
    <template v-if="lawn">
      <LaneChoices
        :lawn="lawn"
        :box="box"
        :choices="choices"
        :putting="putting"
        :calibrated="calibrated"
        :full-overlap="fullOverlap"
        @change="change"
        @lawn="changeLawn(lawn.id, $event)"
        @put="putting = $event"
        @park="park"
      />
      <div class="beside">
        <div class="space-y-2">
          <h3 class="font-semibold">
            Why so<template v-if="lanes.lawns.length > 1">: {{ lawn.name }}</template>
          </h3>
          <p v-if="lawn.problem" class="small">
            <StateMark level="warn" :words="laneProblemWords(lawn.problem, lawn.name)" />
          </p>
          <ul class="small list-disc ps-4">
            <li v-for="reason in lawn.reasons" :key="reason">{{ reason }}</li>
          </ul>
          <p v-if="lawn.cost" class="small">
            <StateMark level="note" :words="`By hand: ${costWords(lawn.cost, told)}.`" />
          </p>
        </div>
        <div class="space-y-2">
          <LaneStops :stops="lanes.stops" :lawns="lanes.lawns" />
          <p v-if="lanes.stops.length > 0" class="small soft">
            Framed on the plan. What is left counts by the length of the lanes behind you.
          </p>
          <UCollapsible v-if="everyLane.length > 0">
            <UButton variant="link" size="sm" :label="`Every lane of ${lawn.name || 'the lawn'}`" />
            <template #content>
              <RowTable
                caption="Every lane"
                :rows="everyLane"
                :columns="LANE_COLUMNS"
                :key-of="({ number }) => String(number)"
              >
                <template #number="{ row }"
                  ><strong>{{ row.number }}</strong
                  >{{ ' '
                  }}<span class="soft small"
                    >pass {{ row.pass }}{{ row.header ? ', lap' : '' }}</span
                  ></template
                >
                <template #length="{ row }"><FigureText :shown="shown.distance(row.length)" /></template>
                <template #takes="{ row }"><FigureText :shown="amount(row.takes)" /></template>
              </RowTable>
            </template>
          </UCollapsible>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
.lane-plan {
  --lane-plan: clamp(260px, 46vh, 460px);
}
.lane-plan :deep(.plan-label.lane-number) {
  font-size: 11px;
  font-weight: 600;
}
.lane-plan :deep(.lane-stop) {
  display: grid;
  place-items: center;
  background: var(--sheet);
  border: 2px solid var(--ink);
  border-radius: 3px;
  color: var(--ink);
  font-size: 11px;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.lane-plan :deep(.lane-stop.fills) {
  background: var(--ink);
  color: var(--sheet);
}
.lane-plan :deep(.lane-grip) {
  border-radius: 50%;
  border: 2.5px solid var(--action);
  background: var(--sheet);
  color: var(--action);
  cursor: grab;
  display: grid;
  place-items: center;
  font-weight: 700;
  font-size: 13px;
}
.lane-plan :deep(.lane-grip.truck) {
  border-radius: 3px;
  border-color: var(--ink);
  color: var(--ink);
}
</style>
