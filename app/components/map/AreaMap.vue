<script setup lang="ts">
import { crossings } from '#core/ground/crossings'
import { v7 as uuid } from 'uuid'
import { blankPart } from '#core/ground/blankArea'
import type { LawnPart, OutlineNote } from '#core/ground/areaShape'
import { formatFigure } from '#core/quantity/format'
import { METRES_PER } from '#core/quantity/units'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { boundsOf, ringArea, type Point, type Ring } from '#core/ground/plane'
import type { Anchor } from '#core/ground/geodesy'
import type { Area, Site } from '#shared/schemas/ground'
import type { WalkedOutline } from './WalkPanel.vue'
import type { BroughtOutline } from './ImportPanel.vue'

/**
 * The plan beside an area's notes: its ground among its neighbours, and the outline in hand being drawn,
 * dragged, walked or brought.
 */
const props = defineProps<{
  area: Pick<Area, 'id' | 'name' | 'document'>
  others: readonly Area[]
  site: Site | undefined
}>()
const emit = defineEmits<{ anchor: [anchor: Anchor] }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const shown = useShown()
const editor = useOutlineEditor()!
const plan = useSiteMapOf(() => [props.area, ...props.others.filter(({ id }) => id !== props.area.id)])
const index = computed(() => props.area.document.parts.findIndex(({ id }) => id === editor.selected.value))
const part = computed(() => props.area.document.parts[index.value])
const points = computed<Ring>(() => part.value?.outline?.points ?? [])
const live = shallowRef<Ring>()
const way = shallowRef<{ readonly points: readonly Point[]; readonly corners: readonly Point[] }>({
  points: [],
  corners: [],
})
const preview = shallowRef<readonly Ring[]>([])
const own = computed(() => plan.value.areas.filter(({ id }) => id === props.area.id))
const editing = computed(
  () => part.value?.outline !== undefined && (editor.task.value === 'edit' || editor.task.value === 'draw'),
)
const shapes = computed(() => [
  ...drawnShapes(plan.value.areas, (id) => id === props.area.id, editing.value ? part.value?.id : undefined),
  ...(preview.value.length > 0
    ? [{ key: 'preview', rings: preview.value, sign: 'add' as const, tone: 'own' as const, schematic: false }]
    : []),
])
const labels = useMapLabels(
  () => plan.value.areas,
  () => plan.value.layout.labels.filter(({ lawnId }) => lawnId !== props.area.id || !editing.value),
)
const crossed = computed(() =>
  points.value.length >= 3 ? crossings(live.value ?? points.value).map(({ at }) => at) : [],
)
/** This area's own ground is brought into view, its neighbours lie where they fall. */
const bounds = computed(
  () =>
    boundsOf(own.value.flatMap(({ shapes: lying }) => lying.flatMap(({ rings }) => rings.flat()))) ??
    plan.value.layout.bounds,
)
const map = useTemplateRef('map')
const root = useTemplateRef('root')
const located = computed(() => own.value.every((area) => area.located))

// An outline of a stored area is in hand at once: it can be dragged without asking.
watch(
  () => props.area.id,
  () => {
    editor.selected.value ??= props.area.document.parts.find(
      ({ shape, outline }) => shape === 'outline' && (outline?.points.length ?? 0) > 0,
    )?.id
  },
  { immediate: true },
)

function put(outline: Partial<OutlineNote>) {
  const { picture: _, ...before } = part.value?.outline ?? {
    from: 'drawn',
    points: [],
    pointError: { text: '', unit: 'm' },
    origin: '',
  }
  if (index.value >= 0) set(`document.parts.${index.value}.outline`, { ...before, ...outline })
}
/** A hand-drawn outline is traced when it is drawn over the site's picture. */
function drawn(ring: Ring) {
  const picture = editor.picture.value
  const fresh = points.value.length === 0 || editor.task.value === 'draw'
  if (fresh)
    put({
      points: ring,
      origin: '',
      ...(picture
        ? {
            from: 'traced',
            picture: { id: picture.id, from: picture.from, to: picture.to, distance: picture.distance },
          }
        : { from: 'drawn' }),
    })
  else set(`document.parts.${index.value}.outline.points`, ring)
}
function walked({ points: ring, pointError, origin, anchor }: WalkedOutline) {
  emit('anchor', anchor)
  const unit = SYSTEM_UNITS[crew.units].length
  put({
    from: 'walked',
    points: ring,
    origin,
    pointError: { text: formatFigure(pointError / METRES_PER[unit]), unit },
  })
  settle()
}
function brought([outline]: readonly BroughtOutline[], anchor: Anchor) {
  if (!outline) return
  emit('anchor', anchor)
  const { picture: _, ...before } =
    part.value?.outline ?? blankPart('', 'add', 'outline', crew.units).outline!
  const parts = props.area.document.parts.map((one, i) =>
    i === index.value
      ? {
          ...one,
          outline: { ...before, from: 'imported' as const, points: outline.points, origin: outline.origin },
        }
      : one,
  )
  const holes = outline.holes.map((points_): LawnPart => {
    const hole = blankPart(
      uuid(),
      part.value?.sign === 'subtract' ? 'add' : 'subtract',
      'outline',
      crew.units,
    )
    return {
      ...hole,
      outline: { ...hole.outline!, from: 'imported', points: points_, origin: outline.origin },
    }
  })
  set('document.parts', [...parts, ...holes])
  settle()
}
// On a phone the plan stands above the notes it was asked from.
watch(
  editor.task,
  (task) => {
    if (task !== 'edit') root.value?.scrollIntoView({ block: 'nearest' })
  },
  { flush: 'post' },
)
function settle() {
  way.value = { points: [], corners: [] }
  editor.task.value = 'edit'
  void nextTick(() => map.value?.fit())
}
</script>

<template>
  <div ref="root" class="beside">
    <SiteMap
      ref="map"
      :bounds="bounds"
      :bearing="site?.document.anchor?.bearing ?? 0"
      :label="`Plan of ${site?.name ?? 'the site'}`"
      tall="var(--area-plan)"
    >
      <MapUnderlay v-if="site?.document.picture" :picture="site.document.picture" />
      <MapShapes :shapes="shapes" :labels="labels" />
      <MapMarks
        :crossings="crossed"
        :way="way.points"
        :corners="way.corners"
        :measured="editing && editor.task.value === 'edit' ? (live ?? points) : []"
        :samples="own[0]?.samples"
      />
      <OutlineEditor
        v-if="editing && part && !locked"
        :key="part.id"
        :points="points"
        :drawing="editor.task.value === 'draw'"
        :sign="part.sign"
        @change="drawn"
        @live="live = $event"
        @drawn="settle"
      />
    </SiteMap>
    <WalkPanel
      v-if="editor.task.value === 'walk' && part"
      :key="part.id"
      :anchor="site?.document.anchor"
      :outline="points"
      @way="(points_, corners) => (way = { points: points_, corners })"
      @done="walked"
      @stop="settle"
    />
    <ImportPanel
      v-else-if="editor.task.value === 'file' && part"
      :anchor="site?.document.anchor"
      one
      taking="Take this outline"
      @preview="preview = $event"
      @take="brought"
      @stop="settle"
    />
    <p v-else-if="editor.task.value === 'draw'" class="small soft">
      Press on the plan for each corner; press the first one again, or twice on the last, to close it.
      <UButton variant="link" size="sm" @click="settle">Leave it</UButton>
    </p>
    <p v-else class="small soft">
      <template v-if="live && live.length >= 3"
        ><FigureText :shown="shown.size(ringArea(live))" /> as dragged.
      </template>
      <template v-else-if="editing && points.length >= 3"
        >Drag a corner, or the dot in a side for a new one; right-click or long-press takes one away. Near a
        neighbour it snaps.
      </template>
      {{
        located
          ? 'To scale, north up.'
          : 'To scale; broken lines are known only by their dimensions, so their place is schematic.'
      }}
    </p>
  </div>
</template>

<style scoped>
.beside {
  --area-plan: clamp(260px, 58vh, 560px);
  scroll-margin-top: 8px;
}
@media (max-width: 900px) {
  .beside {
    --area-plan: 42vh;
  }
}
</style>
