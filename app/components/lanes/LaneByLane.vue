<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'
import { walkingOrder } from '#core/lanes/lawns/walkingOrder'
import { boundsOf } from '#core/ground/plane'
import type { SheetLanes } from '~/composables/job/useLanes'

/**
 * The lane in hand, large enough to be read at arm's length: its number, how long it is, what it takes, and
 * what should be left where one stops. The place stays in the address: a dead battery loses nothing.
 */
const props = defineProps<{ worked: SheetLanes }>()
const { document, sheet } = useSheet()
const shown = useShown()
const told = useLaneAmount()
const library = useLibraryStore()
const route = useRoute()
const walked = computed(() => walkingOrder(props.worked.lanes.lawns))
const at = computed(() =>
  Math.max(0, Math.min(walked.value.length - 1, Number(route.query.at ?? 1) - 1 || 0)),
)
const now = computed(() => walked.value[at.value])
const go = (to: number) => navigateTo({ query: { ...route.query, at: String(to + 1) } }, { replace: true })
const forth = () => at.value < walked.value.length - 1 && go(at.value + 1)
const backward = () => at.value > 0 && go(at.value - 1)
const stop = computed(() =>
  props.worked.lanes.stops.find(
    ({ lawnId, afterLane }) => lawnId === now.value?.lawnId && afterLane === now.value.lane.number,
  ),
)
const lawn = computed(() => props.worked.lanes.lawns.find(({ id }) => id === now.value?.lawnId))
const bounds = computed(() => boundsOf(lawn.value?.ground.flatMap(([ring = []]) => ring) ?? []))
const shapes = computed(() =>
  props.worked.layout.shapes
    .filter(({ lawnId }) => lawnId === now.value?.lawnId)
    .map(({ partId, rings, sign, place }) => ({
      key: partId,
      rings,
      sign,
      schematic: place !== undefined,
      tone: 'own' as const,
    })),
)
const many = computed(() => props.worked.lanes.lawns.length > 1)
const wake = useWakeLock()
onMounted(() => void wake.request('screen').catch(() => undefined))
onBeforeUnmount(() => void wake.release())
useScreenCommands(() => [
  { id: 'next-lane', label: 'Next lane', key: 'arrowright', run: () => void forth() },
  { id: 'lane-before', label: 'Lane before', key: 'arrowleft', run: () => void backward() },
])
</script>

<template>
  <section v-if="now" class="lane-hand">
    <div class="told" aria-live="polite">
      <p class="soft">
        {{ many ? `${now.name} · ` : '' }}pass {{ now.pass }} of {{ worked.question.passes }}
        <template v-if="sheet.dial"> · dial {{ sheet.dial.setting }}</template>
      </p>
      <p class="number">
        <span class="sr-only">Lane </span>{{ now.lane.number }}<span class="of"> / {{ walked.length }}</span>
      </p>
      <p class="large">
        <FigureText :shown="shown.distance(now.lane.length)" />, <FigureText :shown="told(now.amount)" />
      </p>
      <p v-if="now.lane.edge" class="small">
        Along the edge{{
          worked.question.shutSide
            ? `: it stays on your ${worked.question.shutSide}, deflector down`
            : ', on your right'
        }}.
      </p>
      <p v-if="stop" class="stop">
        <StateMark level="note" :words="`Stop after it: ${STOP_WORDS[stop.why]}.`" />
        <FigureText :shown="told(stop.left)" /> should be left<template v-if="stop.fill !== undefined"
          >; fill in <FigureText :shown="told(stop.fill)" /><template v-if="stop.toTruck !== undefined"
            >, the truck is <FigureText :shown="shown.distance(stop.toTruck)" /> away</template
          ></template
        >.
      </p>
    </div>
    <SiteMap
      :key="now.lawnId"
      :bounds="bounds"
      :bearing="library.anchor?.bearing ?? 0"
      label="The lane in hand"
      tall="var(--lane-map)"
    >
      <MapShapes :shapes="shapes" />
      <LaneLines
        :lawns="lawn ? [lawn] : []"
        :stops="[]"
        :pass="now.pass"
        :method="document.method"
        :in-hand="{ lawnId: now.lawnId, lane: now.lane.number }"
      />
    </SiteMap>
    <div class="steps-bar">
      <UButton
        size="xl"
        icon="i-lucide-arrow-left"
        label="Before"
        :disabled="at === 0"
        aria-keyshortcuts="ArrowLeft"
        @click="backward"
      />
      <UButton
        size="xl"
        trailing-icon="i-lucide-arrow-right"
        color="primary"
        variant="solid"
        data-main-action
        :label="at < walked.length - 1 ? 'Next lane' : 'All lanes walked'"
        :disabled="at === walked.length - 1"
        aria-keyshortcuts="ArrowRight"
        @click="forth"
      />
    </div>
  </section>
</template>

<style scoped>
.lane-hand {
  --lane-map: 420px;
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 2fr);
  gap: 12px 28px;
}
.number {
  font-size: 88px;
  line-height: 1;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.of {
  font-size: 22px;
  font-weight: 400;
  color: var(--soft);
}
.large {
  font-size: 24px;
}
.stop {
  margin-top: 8px;
  font-size: 18px;
}
.steps-bar {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: 10px;
}
.steps-bar > * {
  min-height: 56px;
  justify-content: center;
}
@media (max-width: 760px) {
  .lane-hand {
    --lane-map: 34vh;
    grid-template-columns: minmax(0, 1fr);
  }
  .steps-bar {
    position: sticky;
    bottom: calc(var(--thumb-bar) + 8px);
    z-index: 600;
    background: var(--paper);
  }
}
</style>
