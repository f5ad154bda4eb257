<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankArea } from '#core/ground/blankArea'
import { readSiteMap } from '#core/ground/siteMap'
import { nitrogenByLawn } from '#core/season/nitrogenByLawn'
import { nitrogenLaid } from '#core/season/nitrogenLaid'
import { openWorkingBook } from '#core/working/working'
import type { SaveSite, Site } from '#shared/schemas/ground'

/** One site: its areas drawn to scale, what was put down there, and what to know before going. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const own = useSelfStore()
const begin = useNewRow()
const { startJobAt } = useNewJob()
const notice = useNotice()
const entry = useEntryForm<Site, SaveSite, undefined>('sites', id, {
  draftOf: ({ version, name, place, document }) => ({ version, name, place, document }),
  read: () => undefined,
})
const { draft, stored, load } = entry
/** A site that has not reached the server has nothing there yet. */
const ofStored = <T,>(question: (siteId: string) => Question<readonly T[]>) =>
  useAnswers(() => ((draft.value?.version ?? 0) > 0 ? question(id) : undefined))
const { answer: areas } = ofStored(questions.areas)
const { answer: ledger } = ofStored(questions.ledger)
const plan = computed(() => readSiteMap(areas.value, crew.today()))
const labels = useMapLabels(
  () => plan.value.areas,
  () => plan.value.layout.labels,
)
const shapes = computed(() => drawnShapes(plan.value.areas, () => true))
useWorkingPages(
  () => {
    const book = openWorkingBook()
    for (const { id: areaId, size } of readSiteMap(areas.value, crew.today(), book).areas)
      if (size !== undefined)
        nitrogenLaid(
          ledger.value.filter((row) => row.areaId === areaId),
          size,
          crew.today().slice(0, 4),
          `nitrogen.${areaId}`,
          book,
          crew.units,
        )
    return book.pages()
  },
  computed(
    () =>
      new Map(
        areas.value.flatMap(
          (area) =>
            [
              [`areas.${area.id}.size`, `Size of ${area.name}`],
              [`nitrogen.${area.id}`, `Nitrogen this year, ${area.name}`],
            ] as const,
        ),
      ),
  ),
)
await load()
const { answer: stations } = useAnswers(questions.stationLibrary)
const stationChoices = computed(() => [
  { value: '', text: 'the crew’s first' },
  ...stations.value.map(({ id: stationId, name }) => ({ value: stationId, text: name })),
])
useHead({ title: () => `${draft.value?.name || 'New site'} · Hectarum` })

/** The same ground again, under another name, without its history. */
async function copy() {
  const copyId = uuid()
  try {
    await tell('POST', `/sites/${id}/copy`, {
      id: copyId,
      name: `${draft.value?.name ?? 'Site'}, copy`.slice(0, 200),
    })
    await navigateTo(`/sites/${copyId}`)
  } catch (error) {
    notice.say('Not copied.', errorText(error))
  }
}
const measured = computed(() =>
  areas.value.flatMap((area) =>
    plan.value.areas.filter(({ id: of }) => of === area.id).map((ground) => ({ ...ground, area })),
  ),
)
const lawnYears = computed(() =>
  nitrogenByLawn(
    measured.value.map(({ area, size }) => ({
      id: area.id,
      name: area.name || 'Unnamed area',
      size,
      grasses: area.document.grass.map(({ species }) => species),
    })),
    ledger.value,
    crew.today().slice(0, 4),
  ),
)
const addArea = () =>
  begin(
    { siteId: id, name: '', position: areas.value.length, document: blankArea(uuid(), crew.units) },
    (areaId) => `/sites/${id}/areas/${areaId}`,
  )
const newJob = () => draft.value && startJobAt(id, draft.value.name, areas.value)
const OPEN_PLAN = { id: 'open-plan', label: 'Open the plan', run: () => navigateTo(`/sites/${id}/map`) }
useScreenCommands(() =>
  own.may('work')
    ? [
        { id: 'add-area', label: 'Add an area', key: 'a', run: addArea },
        OPEN_PLAN,
        { id: 'copy-site', label: 'Copy this site', run: copy },
        { id: 'job-here', label: 'New job on this site', key: 'ctrl+enter', run: newJob },
      ]
    : [OPEN_PLAN],
)
</script>

<template>
  <EntryPage
    :entry="entry"
    what="site"
    placeholder="Name of the site"
    back="All sites"
    back-to="/sites"
    away="See all sites"
  >
    <template v-if="own.may('work')" #actions>
      <UButton label="Add an area" :disabled="!stored" aria-keyshortcuts="a" @click="addArea" />
      <UButton
        label="New job here"
        color="primary"
        variant="solid"
        :disabled="areas.length === 0"
        aria-keyshortcuts="Control+Enter"
        @click="newJob"
      />
    </template>
    <div v-if="draft" class="columns">
      <div class="space-y-4">
        <div v-if="areas.length > 0">
          <SiteMap
            :bounds="plan.layout.bounds"
            :bearing="draft.document.anchor?.bearing ?? 0"
            :label="`Plan of ${draft.name}`"
            tall="clamp(240px, 38vh, 330px)"
          >
            <MapUnderlay v-if="draft.document.picture" :picture="draft.document.picture" />
            <MapShapes
              :shapes="shapes"
              :labels="labels"
              @pick="navigateTo(`/sites/${id}/areas/${$event.split(' ')[0]}`)"
            />
            <MapMarks :samples="plan.areas.flatMap(({ samples }) => samples)" />
          </SiteMap>
          <p class="small flex flex-wrap justify-between gap-x-4">
            <span class="soft"
              >To scale, north up{{
                plan.areas.every(({ located }) => located)
                  ? ''
                  : '; broken lines: only dimensions known, place schematic'
              }}.</span
            ><NuxtLink :to="`/sites/${id}/map`" class="way-out">Open the plan</NuxtLink>
          </p>
        </div>
        <AreaTable v-if="areas.length > 0" :measured="measured" :ledger="ledger" :site-id="id" />
        <EmptyState
          v-else-if="stored"
          words="Nothing is measured here yet. Measure an area and every job can draw on it."
          action="Measure the first area"
          @act="addArea"
        />
        <p v-else class="soft">Give the site its name; then measure its areas.</p>
        <div class="grid gap-3 sm:grid-cols-2">
          <TextField path="place" label="Place" placeholder="street, town" />
          <ChoiceField
            v-if="stationChoices.length > 2"
            path="document.stationId"
            label="Weather station"
            :choices="stationChoices"
          />
          <SiteBudget :budget="draft.document.budget ?? ''" />
          <TextField path="document.contact" label="Contact" />
          <FormNotes path="document.notices" label="Notices and gates" :text="draft.document.notices" />
          <FormNotes path="document.water" label="Water and buffers" :text="draft.document.water" />
          <FormNotes path="document.notes" label="Notes" :text="draft.document.notes" class="sm:col-span-2" />
        </div>
        <p v-if="stored" class="small">
          <UButton variant="link" size="sm" @click="copy">Copy this site</UButton>
          <span class="soft">its areas as measured, not what was put down.</span>
        </p>
        <p v-if="stored" class="small">
          <NuxtLink :to="`/sites/${id}/client`" class="way-out">What comes, for the client</NuxtLink>
          <span class="soft"> in plain words, to print or as a calendar.</span>
        </p>
        <p class="soft small">
          Buffers, notices and what may be applied where: the label and local rules decide.
        </p>
      </div>
      <div class="space-y-5">
        <NitrogenChart v-if="lawnYears.length > 0" :lawns="lawnYears" :year="crew.today().slice(0, 4)" />
        <SiteLedger :ledger="ledger" :areas="areas" />
      </div>
    </div>
  </EntryPage>
</template>
