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
  action: string
  locked: boolean
  whatIf: string
  file: string
}>()
const emit = defineEmits<{
  change: [fields: Partial<JobDraft>]
  site: [id: string, name: string]
  act: []
  loadSheet: []
  repeat: []
  remove: []
}>()
const own = useSelfStore()
const listId = useId()
const sites = shallowRef<SitePage['rows']>([])
const WAIT_MS = 120

/** What is found late still counts for the name that stands there. */
async function look(q: string) {
  sites.value = (
    await $fetch<SitePage>(crewUrl('/sites'), { query: { q } }).catch(() => ({ rows: [], next: null }))
  ).rows
  const site = siteCalled(q)
  if (site && q === props.draft.site && props.draft.siteId === null) emit('site', site.id, site.name)
}
const siteCalled = (typed: string) =>
  sites.value.find((one) => one.name.toLowerCase() === typed.trim().toLowerCase())
const lookSoon = useDebounceFn(look, WAIT_MS)
onMounted(() => look(''))

/** Naming a saved site brings its areas; any other name is a place of its own. */
function name(typed: string) {
  const site = siteCalled(typed)
  if (site && site.id !== props.draft.siteId) return emit('site', site.id, site.name)
  emit('change', { site: typed, ...(site ? {} : { siteId: null }) })
  void lookSoon(typed)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <div class="naming min-w-0 flex-1">
      <h1 class="sr-only">{{ draft.site || 'New job' }}</h1>
      <div class="flex flex-wrap items-baseline gap-x-3">
        <input
          class="title-field title"
          aria-label="Site"
          placeholder="Site or customer"
          :value="draft.site"
          :disabled="locked"
          data-path="site"
          maxlength="200"
          :list="listId"
          autocomplete="off"
          @input="name(($event.target as HTMLInputElement).value)"
        />
        <datalist :id="listId">
          <option v-for="site in sites" :key="site.id" :value="site.name">{{ site.place }}</option>
        </datalist>
        <input
          class="title-field soft flex-1"
          aria-label="Purpose"
          placeholder="what for"
          :value="draft.purpose"
          :disabled="locked"
          maxlength="200"
          @input="emit('change', { purpose: ($event.target as HTMLInputElement).value })"
        />
      </div>
      <div class="small flex flex-wrap items-baseline gap-x-3">
        <DayField
          bare
          label="Day"
          :day="draft.plannedFor"
          :locked="locked"
          @change="emit('change', { plannedFor: $event })"
        />
        <span>{{ state }}</span>
        <SaveMark :state="saveState" />
        <NuxtLink v-if="draft.siteId" :to="`/sites/${draft.siteId}`" class="way-out">The site</NuxtLink>
        <NuxtLink v-if="draft.plannedFor" :to="`/days/${draft.plannedFor}`" :prefetch="false" class="way-out"
          >The day</NuxtLink
        >
        <NuxtLink :to="whatIf" :prefetch="false" class="way-out">What if</NuxtLink>
        <button v-if="draft.version > 0" type="button" class="plain-button way-out" @click="emit('repeat')">
          Repeat
        </button>
        <a v-if="draft.version > 0" :href="file" download class="way-out">JSON</a>
        <UButton
          v-if="!locked && own.may('govern')"
          label="Delete"
          variant="link"
          size="sm"
          @click="emit('remove')"
        />
        <HistoryFold v-if="draft.version > 0" :row-id="jobId" />
      </div>
    </div>
    <UButton label="Load sheet" @click="emit('loadSheet')" />
    <UButton
      :label="action"
      color="primary"
      variant="solid"
      data-main-action
      aria-keyshortcuts="Control+Enter"
      @click="emit('act')"
    />
  </div>
</template>

<style scoped>
.title-field {
  background: transparent;
  border: 0;
  border-bottom: 1px dashed transparent;
  padding: 0;
  font: inherit;
  color: inherit;
  min-width: 0;
  min-height: 24px;
}
.title-field.title {
  field-sizing: content;
  min-width: 200px;
  font-family: var(--font-serif);
  font-weight: 600;
  font-size: 25px;
  line-height: 1.2;
  max-width: 100%;
}
.title-field.soft {
  color: var(--soft);
}
.title-field::placeholder {
  color: var(--soft);
  opacity: 1;
}
.title-field:hover:not(:disabled),
.title-field:placeholder-shown {
  border-bottom-color: var(--rule-strong);
}
@media (max-width: 760px) {
  .naming {
    flex-basis: 100%;
  }
}
</style>
