<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { readArea } from '#core/ground/areaDocument'
import { formatGive } from '#core/quantity/format'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'
import type { Area, AreaSize, SaveArea, Site } from '#shared/schemas/ground'

/** One area: how it was measured, with its running size, and what grows there. */
const route = useRoute()
const [id, siteId] = [String(route.params.areaId), String(route.params.id)]
const crew = useCrewStore()
const shown = useShown()
const { draft, stored, saveState, loadProblem, load, keepMine, takeTheirs, remove, result: ground } = useRoomForm<Area, SaveArea, ReturnType<typeof readArea>>('areas', id, {
  draftOf: ({ version, siteId: site, name, position, document }) => ({ version, siteId: site, name, position, document }),
  read: (area, fields) => readArea(area.document, area.name, crew.today(), fields, closedWorkingBook),
})
useWorkingPages(() => {
  const book = openWorkingBook()
  if (draft.value) readArea(draft.value.document, draft.value.name, crew.today(), fieldReader(), book)
  return book.pages()
}, computed(() => new Map([['area.size', `Size of ${draft.value?.name || 'this area'}`]])))
const sizes = shallowRef<readonly AreaSize[]>([])
const site = shallowRef<Site>()
await load()
site.value = await $fetch<Site>(`/api/rooms/sites/${siteId}`).catch(() => undefined)
watch(() => stored.value?.version, async (version) => { if (version) sizes.value = await $fetch<readonly AreaSize[]>(`/api/areas/${id}/sizes`).catch(() => []) }, { immediate: true })
useHead({ title: () => `${draft.value?.name || 'New area'} · Hectarum` })
const drawn = computed(() => (draft.value && ground.value?.size !== undefined ? [{ name: draft.value.name || 'this area', parts: ground.value.parts }] : []))
</script>

<template>
  <main v-if="draft">
    <RoomHead
      :name="draft.name" name-path="name" placeholder="Name of the area" what="area" :fresh="draft.version === 0" :save-state="saveState" :draft="draft"
      :back="site?.name ?? 'The site'" :back-to="`/sites/${siteId}`" @remove="remove(`/sites/${siteId}`, `/sites/${siteId}/areas/${id}`)" @keep="keepMine" @take="takeTheirs"
    />
    <div class="columns">
      <section aria-labelledby="notes-title">
        <h2 id="notes-title" class="mb-2">How it was measured</h2>
        <GroundNotes :notes="draft.document" path="document" />
      </section>
      <div class="space-y-4">
        <div>
          <p v-if="ground?.size !== undefined" class="size">
            <strong class="figure"><FigureText :shown="shown.size(ground.size)" page="area.size" label="Net area" /></strong>
            <span v-if="ground.sd" class="soft"> give or take {{ formatGive((200 * ground.sd) / ground.size) }} %<template v-if="draft.document.slope.text.trim()">, sloped surface</template></span>
          </p>
          <p v-else class="soft">Type the lengths: the net area stands here as you go.</p>
          <PlanSketch v-if="drawn.length > 0" :lawns="drawn" :width="430" :height="190" />
        </div>
        <AreaAttributes :document="draft.document" />
        <section v-if="sizes.length > 1" aria-labelledby="sizes-title">
          <h2 id="sizes-title">Sizes it has had</h2>
          <ul><li v-for="size in sizes" :key="size.id" class="rule-b flex justify-between py-1"><span>{{ dayText(size.on) }}</span><FigureText :shown="shown.size(size.sizeM2)" /></li></ul>
          <p class="soft small">Jobs keep the size they were planned with.</p>
        </section>
      </div>
    </div>
  </main>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="Back to the site" :to="`/sites/${siteId}`" />
</template>
