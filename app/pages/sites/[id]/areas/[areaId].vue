<script setup lang="ts">
import { AREA_TABLE } from '#core/ground/areaFields'
import { dayText } from '#core/calendar/dayText'
import { readArea } from '#core/ground/areaDocument'
import { formatGive } from '#core/quantity/format'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'
import type { Area, SaveArea } from '#shared/schemas/ground'

/** One area: how it was measured, its ground on the plan with its running size, and what grows there. */
const route = useRoute()
const [id, siteId] = [String(route.params.areaId), String(route.params.id)]
const crew = useCrewStore()
const library = useLibraryStore()
const shown = useShown()
const { site, load: loadSite, anchorAt } = useSite(siteId)
const entry = useEntryForm<Area, SaveArea, ReturnType<typeof readArea>>('areas', id, {
  draftOf: ({ version, siteId: of, name, position, document }) => ({
    version,
    siteId: of,
    name,
    position,
    document,
  }),
  fields: () => AREA_TABLE,
  read: (area, fields) => readArea(area.document, area.name, crew.today(), fields, closedWorkingBook),
})
const { draft, stored, load, form, result: ground } = entry
provideOutlineEditor(() => site.value?.document.picture)
const { undo, redo, canUndo, canRedo } = useHistory(
  () => draft.value?.document,
  (document) => form.set('document', document),
)
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (draft.value) readArea(draft.value.document, draft.value.name, crew.today(), fieldReader(), book)
    return book.pages()
  },
  computed(() => new Map([['area.size', `Size of ${draft.value?.name || 'this area'}`]])),
)
const { answer: others } = useAnswers(() => questions.areas(siteId))
const { answer: sizes, again: readSizes } = useAnswers(() =>
  stored.value ? questions.areaSizes(id) : undefined,
)
await Promise.all([load(), loadSite(), library.load().catch(() => undefined)])
watch(() => stored.value?.version, readSizes)
useHead({ title: () => `${draft.value?.name || 'New area'} · Hectarum` })
</script>

<template>
  <EntryPage
    :entry="entry"
    what="area"
    placeholder="Name of the area"
    :back="site?.name ?? 'The site'"
    :back-to="`/sites/${siteId}`"
    away="Back to the site"
  >
    <div v-if="draft" class="columns even area">
      <div class="space-y-4 seen">
        <div>
          <p v-if="ground?.size !== undefined" class="size">
            <strong class="figure"
              ><FigureText :shown="shown.size(ground.size)" page="area.size" label="Net area"
            /></strong>
            <span v-if="ground.sd" class="soft">
              give or take {{ formatGive((200 * ground.sd) / ground.size) }} %,
              {{ draft.document.slope.text.trim() ? 'sloped surface' : 'flat' }}</span
            >
            <span class="steps small"
              ><UButton
                variant="link"
                size="sm"
                :disabled="!canUndo"
                aria-keyshortcuts="Control+Z"
                @click="undo"
              >
                Undo
              </UButton>
              <UButton
                variant="link"
                size="sm"
                :disabled="!canRedo"
                aria-keyshortcuts="Control+Shift+Z"
                @click="redo"
              >
                Redo
              </UButton></span
            >
          </p>
          <p v-else class="soft">
            Type the lengths, draw, walk or trace the outline: the net area stands here as you go.
          </p>
          <AreaMap
            :area="{ id, name: draft.name, document: draft.document }"
            :others="others"
            :site="site"
            @anchor="anchorAt"
          />
        </div>
        <section v-if="sizes.length > 1" aria-labelledby="sizes-title">
          <h2 id="sizes-title">Sizes it has had</h2>
          <ul>
            <li v-for="size in sizes" :key="size.id" class="rule-b flex justify-between py-1">
              <span>{{ dayText(size.on) }}</span><FigureText :shown="shown.size(size.sizeM2)" />
            </li>
          </ul>
          <p class="soft small">Jobs keep the size they were planned with.</p>
        </section>
      </div>
      <div class="space-y-4">
        <section aria-labelledby="notes-title">
          <h2 id="notes-title" class="mb-2">How it was measured</h2>
          <GroundNotes :notes="draft.document" path="document" :strays="ground?.strays" />
        </section>
        <AreaAttributes :document="draft.document" />
      </div>
    </div>
  </EntryPage>
</template>

<style scoped>
.size {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 8px;
  padding-bottom: 6px;
}
.steps {
  margin-left: auto;
  display: flex;
  gap: 12px;
}
.steps button:disabled {
  color: var(--soft);
  text-decoration: none;
  font-weight: 400;
  cursor: default;
}
@media (min-width: 901px) {
  .seen {
    position: sticky;
    top: 0;
    align-self: start;
  }
}
</style>
