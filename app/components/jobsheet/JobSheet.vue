<script setup lang="ts">
import { chainOf, type ChainLink, type JobState } from '#core/jobsheet/chain'
import type { JobDraft, SaveState } from '~/composables/useJobDraft'

/** The job sheet: ground and method, loads, checks; the chain above, the totals below. */
const props = defineProps<{ id: string, draft: JobDraft, state: JobState, saveState: SaveState }>()
const emit = defineEmits<{ change: [fields: Partial<JobDraft>], plan: [], run: [] }>()

const locked = computed(() => props.state === 'running' || props.state === 'done')
const context = provideSheet(
  computed(() => props.draft.application.document),
  (document) => emit('change', { application: { ...props.draft.application, document } }),
  locked,
)
const { sheet, today, go, opened } = context
const chain = computed(() => chainOf(sheet.value, props.state, today.value))
const stops = computed(() => sheet.value.checks.some(({ level }) => level === 'stop'))
const ready = computed(() => sheet.value.plan !== undefined && !sheet.value.problems.some(({ kind }) => kind === 'wrong'))
const { repeatJob } = useNewJob()

openWhatIsMissing()
/** A new sheet opens where something is still to be typed. */
function openWhatIsMissing() {
  for (const { path } of sheet.value.problems) {
    const [first = '', second = ''] = path.split('.')
    if (first === 'lawns') opened.add(`lawns.${second}`)
    if (second === 'calibration') opened.add(`${first}.calibration`)
  }
}
watch(() => props.draft.application.document.method, openWhatIsMissing)

onMounted(() => { if (props.draft.version === 0) globalThis.document.querySelector<HTMLElement>('[data-path="site"]')?.focus() })

/** Enter settles a field and goes on to the next one that is missing. */
async function nextMissing(event: KeyboardEvent) {
  if (!(event.target instanceof HTMLInputElement) || event.target.type === 'checkbox' || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  event.target.blur()
  await nextTick()
  const missing = sheet.value.problems[0]
  if (missing) return go(missing.path)
  globalThis.document.querySelector<HTMLElement>('[data-main-action]')?.focus()
}

const mainAction = computed(() => {
  switch (props.state) {
    case 'draft': case 'cancelled': return { label: 'Plan this job', act: () => (ready.value ? emit('plan') : goFirst()) }
    case 'planned': return { label: 'Start run', act: () => (stops.value ? focusChecks() : emit('run')) }
    case 'running': return { label: 'Log the outcome', act: () => navigateTo(`/jobs/${props.id}/log`) }
    case 'done': return { label: 'See the record', act: () => navigateTo(`/records/${props.draft.application.id}`) }
    default: return props.state satisfies never
  }
})
const goFirst = () => sheet.value.problems[0] && go(sheet.value.problems[0].path)
const focusChecks = () => globalThis.document.querySelector<HTMLElement>('.check.stop button')?.focus()
const followLink = (link: ChainLink) => (link.path ? go(link.path) : go({ measure: 'lawns.0', calibrate: `${props.draft.application.document.method}.calibration`, rate: 'products.0.rate', load: 'spray.tank', walk: 'spray.speedToday', log: '' }[link.name]))
const openLoadSheet = () => navigateTo(`/jobs/${props.id}/load-sheet`)

useScreenCommands(() => [
  { id: 'main', label: mainAction.value.label, key: 'ctrl+enter', run: mainAction.value.act },
  { id: 'load-sheet', label: 'Load sheet, to print', key: 'l', run: openLoadSheet },
  { id: 'missing', label: 'Go to what is missing', key: 'm', run: goFirst },
  { id: 'repeat', label: 'Repeat this job', run: () => repeatJob(props.draft) },
])
</script>

<template>
  <div class="sheet" @keydown.enter="nextMissing">
    <header class="head">
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <div class="min-w-0 flex-1">
          <h1 class="sr-only">{{ draft.site || 'New job' }}</h1>
          <div class="flex flex-wrap items-baseline gap-x-3">
            <input
              class="title-field title" aria-label="Site" placeholder="Site or customer" :value="draft.site" :disabled="locked" data-path="site" maxlength="200"
              @input="emit('change', { site: ($event.target as HTMLInputElement).value })"
            >
            <input
              class="title-field soft flex-1" aria-label="Purpose" placeholder="what for" :value="draft.purpose" :disabled="locked" maxlength="200"
              @input="emit('change', { purpose: ($event.target as HTMLInputElement).value })"
            >
          </div>
          <div class="small flex flex-wrap items-center gap-x-3">
            <DayField bare label="Day" :day="draft.plannedFor" :locked="locked" @change="emit('change', { plannedFor: $event })" />
            <span>{{ state }}</span>
            <SaveMark :state="saveState" />
          </div>
        </div>
        <UButton label="Load sheet" @click="openLoadSheet" />
        <UButton :label="mainAction.label" color="primary" variant="solid" data-main-action aria-keyshortcuts="Control+Enter" @click="mainAction.act" />
      </div>
      <ChainTape class="mt-2" :links="chain" @go="followLink" />
    </header>
    <slot />
    <div class="zones">
      <div class="zone space-y-4"><GroundList /><ProductList /><MethodBlock /></div>
      <div class="zone"><LoadsZone /></div>
      <div class="zone"><ChecksZone /></div>
    </div>
    <TotalsFoot class="totals" />
  </div>
</template>

<style scoped>
.sheet { display: flex; flex-direction: column; height: 100dvh; }
.head { padding: 14px 24px 0; border-bottom: var(--rule-width) solid var(--rule); }
.title-field { background: transparent; border: 0; border-bottom: 1px dashed transparent; padding: 0; font: inherit; color: inherit; min-width: 0; min-height: 24px; }
.title-field.title { field-sizing: content; min-width: 200px; }
.title-field.title { font-family: var(--font-serif); font-weight: 600; font-size: 25px; line-height: 1.2; max-width: 100%; }
.title-field.soft { color: var(--soft); }
.title-field::placeholder { color: var(--soft); opacity: 1; }
.title-field:hover:not(:disabled), .title-field:placeholder-shown { border-bottom-color: var(--rule-strong); }
.zones { flex: 1; min-height: 0; display: grid; grid-template-columns: 318px minmax(0, 1fr) 262px; }
.zone { overflow-y: auto; padding: 12px 18px; min-width: 0; }
.zone:first-child { padding-left: 24px; }
.zone + .zone { border-left: var(--rule-width) solid var(--rule); }
@media (max-width: 1100px) {
  .zones { grid-template-columns: 300px minmax(0, 1fr); overflow-y: auto; }
  .zone { overflow: visible; }
  .zone:last-child { grid-column: 1 / -1; border-left: 0; border-top: var(--rule-width) solid var(--rule); padding-left: 24px; }
}
@media (max-width: 760px) {
  .sheet { height: auto; min-height: 100dvh; }
  .head { padding: 12px 16px 0; }
  .zones { display: block; }
  .zone, .zone:first-child, .zone:last-child { padding: 14px 16px; border-left: 0; border-top: var(--rule-width) solid var(--rule); }
  .totals { position: sticky; bottom: 0; }
}
</style>
