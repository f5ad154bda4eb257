<script setup lang="ts">
import type { JobState } from '#core/job/chain'
import type { SitePage } from '#shared/schemas/ground'
import { useDebounceFn } from '@vueuse/core'
import type { SaveState } from '~/composables/form/useDraft'
import type { JobDraft } from '~/composables/job/useJobDraft'

/** Where, what for, when; how it stands; and the one thing to do next. */
const props = defineProps<{
  draft: JobDraft
  jobId: string
  state: JobState
  saveState: SaveState
  locked: boolean
  whatIf: string
  file: string
}>()
const emit = defineEmits<{
  change: [fields: Partial<JobDraft>]
  site: [id: string, name: string]
  repeat: []
  remove: []
}>()
const sites = shallowRef<SitePage['rows']>([])
const history = ref(false)
const WAIT_MS = 120

/** What is found late still counts for the name that stands there. */
async function look(q: string) {
  sites.value = (await ask(questions.sites(q)).catch(() => ({ rows: [], next: null }))).rows
  const site = siteCalled(q)
  if (site && q === props.draft.site && props.draft.siteId === null) emit('site', site.id, site.name)
}
const siteCalled = (typed: string) =>
  sites.value.find((one) => one.name.toLowerCase() === typed.trim().toLowerCase())
const lookSoon = useDebounceFn(look, WAIT_MS)
onMounted(() => look(''))
const names = computed(() => sites.value.map(({ name: called, place }) => ({ name: called, about: place })))

const people = shallowRef<readonly { readonly name: string }[]>([])
async function lookForPeople() {
  const found = await ask(questions.names()).catch(() => [])
  people.value = found.map((known) => ({ name: known }))
}
/** Naming a saved site brings its areas; any other name is a place of its own. */
function name(typed: string) {
  const site = siteCalled(typed)
  if (site && site.id !== props.draft.siteId) return emit('site', site.id, site.name)
  emit('change', { site: typed, ...(site ? {} : { siteId: null }) })
  void lookSoon(typed)
}
/** The first letters of one site alone, and Enter, mean that site. */
function settle() {
  const typed = props.draft.site.trim().toLowerCase()
  if (typed === '' || props.draft.siteId !== null) return
  const starting = sites.value.filter((one) => one.name.toLowerCase().startsWith(typed))
  const [only] = starting
  if (only && starting.length === 1) emit('site', only.id, only.name)
}
</script>

<template>
  <div class="job-head">
    <div class="line">
      <h1 class="sr-only">{{ draft.site || 'New job' }}</h1>
      <NameField
        bare
        class="site"
        label="Site"
        placeholder="Site or customer"
        :text="draft.site"
        :names="names"
        :locked="locked"
        path="site"
        variant="none"
        :ui="{ base: 'site-input', trailing: 'hidden' }"
        @change="name"
        @keydown.enter="settle"
      />
      <div class="acts">
        <slot />
        <JobMenu
          :job-id="jobId"
          :site-id="draft.siteId"
          :planned-for="draft.plannedFor"
          :state="state"
          :fresh="draft.version === 0"
          :locked="locked"
          :what-if="whatIf"
          :file="file"
          @repeat="emit('repeat')"
          @history="history = true"
          @remove="emit('remove')"
        />
      </div>
    </div>
    <div class="facts">
      <TextField
        bare
        class="purpose"
        label="Purpose"
        placeholder="what for"
        variant="none"
        :ui="{ base: 'plain-input' }"
        :text="draft.purpose"
        :locked="locked"
        @change="emit('change', { purpose: $event })"
      />
      <DayField
        bare
        label="Day"
        class="day"
        :day="draft.plannedFor"
        :locked="locked"
        @change="emit('change', { plannedFor: $event })"
      />
      <LazyDayChoice
        v-if="draft.siteId !== null && draft.version > 0 && !locked"
        :job-id="jobId"
        :day="draft.plannedFor"
        @choose="emit('change', { plannedFor: $event })"
      />
      <NameField
        bare
        class="given"
        label="Given to"
        placeholder="given to"
        :text="draft.givenTo ?? ''"
        :names="people"
        :locked="locked"
        variant="none"
        :ui="{ base: 'plain-input', trailing: 'hidden' }"
        @focusin.once="lookForPeople"
        @change="emit('change', { givenTo: $event })"
      />
      <span class="small">{{ state }}</span>
      <SaveMark :state="saveState" />
    </div>
    <LazyHistoryList v-if="history" v-model:open="history" :row-id="jobId" />
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 16px;
}
.site {
  flex: 1 1 auto;
  min-width: 0;
}
.job-head :deep(.site-input) {
  font-family: var(--font-serif);
  font-weight: 600;
  font-size: 25px;
  line-height: 1.2;
  padding: 0;
  min-height: 36px;
  text-overflow: ellipsis;
  background: transparent;
  color: var(--ink);
}
.job-head :deep(.plain-input) {
  padding: 0;
  min-height: 28px;
  color: var(--soft);
  background: transparent;
}
.job-head :deep(.site-input:placeholder-shown),
.job-head :deep(.plain-input:placeholder-shown) {
  border-bottom: 1px dashed var(--rule-strong);
}
.acts {
  display: flex;
  gap: 8px;
  flex: none;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
}
.purpose {
  flex: 0 1 320px;
}
.given {
  flex: none;
  width: 130px;
}
.day {
  flex: none;
  width: 190px;
}
@media (max-width: 760px) {
  .line {
    position: sticky;
    top: 0;
    z-index: 20;
    background: var(--paper);
    min-height: 56px;
  }
  .job-head :deep(.site-input) {
    font-size: 20px;
  }
  .purpose {
    flex-basis: 100%;
  }
}
</style>
