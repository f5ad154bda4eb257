<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankArea, blankPart } from '#core/ground/blankArea'
import type { AreaDocument, LawnPart } from '#core/ground/areaShape'
import type { Anchor } from '#core/ground/geodesy'
import type { Point, Ring } from '#core/ground/plane'
import { arranged } from '#core/ground/siteLayout'
import type { Area } from '#shared/schemas/ground'
import type { BroughtOutline } from '~/components/map/ImportPanel.vue'

/** The plan of a site at full size, with everything that is done to several areas at once. */
const TOOLS = {
  arrange: 'Arrange',
  file: 'From a file',
  picture: 'Picture',
  split: 'Split',
  merge: 'Merge',
  samples: 'Soil samples',
  position: 'Position',
  export: 'Export',
} as const
type Tool = keyof typeof TOOLS
const route = useRoute()
const siteId = String(route.params.id)
const crew = useCrewStore()
const { site, load: loadSite, change, anchorAt } = useSite(siteId)
const { areas, load, apply, undo, canUndo, saving } = useSiteMapEdits(siteId)
const plan = useSiteMapOf(() => areas.value)
const tool = computed<Tool>({
  get: () => (Object.keys(TOOLS).find((one) => one === route.query.tool) as Tool | undefined) ?? 'arrange',
  set: (next) => void navigateTo({ query: { tool: next } }, { replace: true }),
})
const selected = ref<string>()
const preview = shallowRef<readonly Ring[]>([])
const line = shallowRef<readonly Point[]>([])
const map = useTemplateRef('map')
await Promise.all([loadSite(), load().catch(() => undefined)])
useHead({ title: () => `Plan of ${site.value?.name ?? 'a site'} · Hectarum` })

const { apart, loose, standingAround, arrange } = useArranging({
  areas: () => areas.value,
  plan: () => plan.value,
  open: () => tool.value === 'arrange',
  selected: () => selected.value,
  apply,
})
const { picking, picks, pictured, pick, put, setPicture } = usePlanPicture(site, change)
const shapes = computed(() => [
  ...drawnShapes(plan.value.areas, () => true),
  ...(preview.value.length > 0
    ? [{ key: 'preview', rings: preview.value, sign: 'add' as const, tone: 'own' as const, schematic: false }]
    : []),
])
const labels = useMapLabels(
  () => plan.value.areas,
  () => plan.value.layout.labels,
)
const samples = computed(() => plan.value.areas.flatMap((area) => area.samples))
watch(tool, () => {
  line.value = []
  picking.value = false
})

async function take(outlines: readonly BroughtOutline[], anchor: Anchor) {
  await anchorAt(anchor)
  const outline = (sign: LawnPart['sign'], points: Ring, origin: string): LawnPart => {
    const blank = blankPart(uuid(), sign, 'outline', crew.units)
    return { ...blank, outline: { ...blank.outline!, from: 'imported', points, origin } }
  }
  const made = outlines.map(({ name, points, holes, origin }) => ({
    id: uuid(),
    name,
    document: {
      ...blankArea(uuid(), crew.units),
      parts: [outline('add', points, origin), ...holes.map((hole) => outline('subtract', hole, origin))],
    },
  }))
  if (await apply(made)) {
    preview.value = []
    tool.value = 'arrange'
    void nextTick(() => map.value?.fit())
  }
}
async function split(
  area: Area,
  [kept, cut]: readonly [readonly LawnPart[], readonly LawnPart[]],
  name: string,
) {
  if (await apply([withParts(area, kept), { ...withParts(area, cut), id: uuid(), name }])) line.value = []
}
const merge = (first: Area, second: Area, document: AreaDocument) =>
  apply([{ id: first.id, name: first.name, document }], [second.id])
function place(area: Area, samples: AreaDocument['samples']) {
  const { samples: _, ...document } = area.document
  void apply([{ id: area.id, name: area.name, document: { ...document, ...(samples && { samples }) } }])
}

function press(at: Point) {
  if (tool.value === 'split') line.value = line.value.length >= 2 ? [at] : [...line.value, at]
  put(at)
}
useScreenCommands(() => [{ id: 'undo-plan', label: 'Undo on the plan', key: 'ctrl+z', run: undo }])
</script>

<template>
  <main v-if="site" class="whole">
    <header class="rule-b head">
      <p class="small">
        <NuxtLink :to="`/sites/${siteId}`" class="way-out">{{ site.name }}</NuxtLink>
      </p>
      <div class="flex flex-wrap items-baseline gap-x-4">
        <h1>Plan</h1>
        <span class="soft small" role="status">{{ saving ? 'Saving …' : 'Saved' }}</span><UButton
          variant="link"
          size="sm"
          :disabled="!canUndo"
          aria-keyshortcuts="Control+Z"
          @click="undo"
        >
          Undo
        </UButton>
      </div>
    </header>
    <div class="split">
      <SiteMap
        ref="map"
        :bounds="plan.layout.bounds"
        :bearing="site.document.anchor?.bearing ?? 0"
        :label="`Plan of ${site.name}`"
        tall="var(--plan-height)"
        @click="press"
      >
        <MapUnderlay
          v-if="site.document.picture"
          :picture="site.document.picture"
          :picks="tool === 'picture' ? pictured : []"
        />
        <MapShapes :shapes="shapes" :labels="labels" @pick="selected = $event.split(' ')[0]" />
        <MapMarks :samples="samples" :way="line" :corners="line" />
        <MapDragger
          v-for="one in loose"
          :key="one.key"
          :rings="one.rings"
          :standing="standingAround(one.shapes)"
          :chosen="one.id === selected"
          :label="one.label"
          @take="selected = one.id"
          @moved="(dx, dy) => arrange(arranged(one.shapes, { dx, dy, turn: 0 }))"
          @turned="arrange(arranged(one.shapes, { dx: 0, dy: 0, turn: $event }))"
        />
      </SiteMap>
      <aside class="tools" aria-label="Tools of the plan">
        <nav class="tabs" aria-label="Which tool">
          <ULink
            raw
            v-for="(name, key) in TOOLS"
            :key="key"
            :aria-current="key === tool ? 'true' : undefined"
            @click="tool = key"
          >
            {{ name }}
          </ULink>
        </nav>
        <h2 class="mb-2">{{ TOOLS[tool] }}</h2>
        <ArrangePanel
          v-if="tool === 'arrange'"
          :areas="plan.areas"
          :selected="selected"
          :apart="apart"
          @select="selected = $event"
          @apart="apart = $event"
          @arrange="arrange"
        />
        <ImportPanel
          v-else-if="tool === 'file'"
          :anchor="site.document.anchor"
          :one="false"
          taking="Add as areas"
          @preview="preview = $event"
          @take="take"
          @stop="tool = 'arrange'"
        />
        <PicturePanel
          v-else-if="tool === 'picture'"
          :picture="site.document.picture"
          :picking="picking"
          :picks="picks"
          @change="setPicture"
          @pick="pick"
        />
        <SplitPanel
          v-else-if="tool === 'split'"
          :areas="plan.areas"
          :stored="areas"
          :line="line"
          @line="line = $event"
          @split="split"
        />
        <MergePanel v-else-if="tool === 'merge'" :key="areas.length" :stored="areas" @merge="merge" />
        <SamplesPanel v-else-if="tool === 'samples'" :areas="plan.areas" :stored="areas" @place="place" />
        <PositionPanel
          v-else-if="tool === 'position'"
          :key="JSON.stringify(site.document.anchor)"
          :anchor="site.document.anchor"
          @anchor="change({ anchor: $event })"
        />
        <ExportPanel
          v-else
          :site-id="siteId"
          :areas="plan.areas"
          :anchored="site.document.anchor !== undefined"
          @anchor="tool = 'position'"
        />
      </aside>
    </div>
  </main>
  <EmptyState v-else words="There is no such site." action="See all sites" to="/sites" />
</template>

<style scoped>
.head {
  padding: 10px 24px;
}
.split {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  --plan-height: calc(100dvh - 78px);
}
.tools {
  padding: 12px 18px 24px;
  max-height: calc(100dvh - 78px);
  overflow: auto;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding-bottom: 10px;
  margin-bottom: 10px;
  border-bottom: var(--rule-width) solid var(--rule);
}
.tabs button {
  min-height: 28px;
  border-bottom: 2px solid transparent;
}
.tabs button[aria-current] {
  border-bottom-color: var(--action);
  font-weight: 600;
}
button:disabled {
  color: var(--soft);
  text-decoration: none;
  cursor: default;
}
@media (max-width: 900px) {
  .head {
    padding: 10px 16px;
  }
  .split {
    display: block;
    --plan-height: 46vh;
  }
  .tools {
    max-height: none;
    padding: 10px 16px 32px;
  }
  .tabs button {
    min-height: 44px;
  }
}
</style>
