<script setup lang="ts">
import { CHAIN, chainOf, opensOn, type JobState, type LinkName } from '#core/job/chain'
import type { FrozenPlan } from '#core/run/runEvent'
import type { JobApplication } from '#shared/schemas/job'
import type { SaveState } from '~/composables/form/useDraft'
import type { JobDraft } from '~/composables/job/useJobDraft'

/** The job sheet of one application: ground and method, loads, checks; the chain above, the totals below. */
const props = defineProps<{
  id: string
  /** The draft as it is now: a second answer in the same moment must not undo the first. */
  read: () => JobDraft
  index: number
  state: JobState
  states: readonly JobApplication['state'][]
  /** What was frozen of applications whose run began, by their ids. */
  frozen: Readonly<Record<string, FrozenPlan | undefined>>
  saveState: SaveState
}>()
const emit = defineEmits<{
  change: [fields: Partial<JobDraft>]
  plan: []
  run: []
  remove: []
  choose: [index: number]
  add: []
  move: [from: number, to: number]
  drop: []
}>()

const draft = computed(() => props.read())
const application = computed(() => draft.value.applications[props.index] ?? draft.value.applications[0]!)
const person = useSelfStore()
const locked = computed(() => props.state === 'running' || props.state === 'done' || !person.may('work'))
const library = useLibraryStore()
const { withAreas } = useFromLibrary()
const changeAll = (applications: JobDraft['applications'], rest: Partial<JobDraft> = {}) =>
  emit('change', { ...rest, applications })
const context = provideSheet({
  applications: () => draft.value.applications,
  index: () => Math.min(props.index, draft.value.applications.length - 1),
  change: (document) =>
    changeAll(
      draft.value.applications.map((one) => (one.id === application.value.id ? { ...one, document } : one)),
    ),
  locked: () => locked.value,
  plannedFor: () => draft.value.plannedFor,
  frozen: () => props.frozen[application.value.id],
  planFor: (planned) => emit('change', { plannedFor: planned }),
  putEarlier: () => emit('move', props.index, props.index - 1),
  open: (link) => {
    open.value = link
  },
})
const { sheet, day, opened } = context
const phone = usePhone()
const { own, pressed, holds, logPlace, mainAction } = useSheetAction({
  sheet: context,
  jobId: props.id,
  applicationId: () => application.value.id,
  index: () => props.index,
  state: () => props.state,
  states: () => props.states,
  plan: () => emit('plan'),
  run: () => emit('run'),
})
const chain = steadyRows(() =>
  chainOf(
    sheet.value,
    own.value === 'planned'
      ? props.state === 'draft' || props.state === 'cancelled'
        ? props.state
        : 'planned'
      : own.value,
    day.value,
    context.lanes.worked.value?.lanes,
  ),
)
const { repeatJob } = useNewJob()

async function takeSite(siteId: string, site: string) {
  // A site that can't be read now is a place of its own until it can.
  await library.loadAreas(siteId, props.id).catch(() => undefined)
  // Another was chosen meanwhile, and is on its way.
  if (library.siteId !== siteId) return
  changeAll(
    draft.value.applications.map((one) => ({ ...one, document: withAreas(one.document, library.areas) })),
    { site, siteId },
  )
}

watch(day, library.lookAtDay, { immediate: true })
// A name that is no saved site's leaves no site in hand: nothing of the one before reaches the rules.
watch(
  () => draft.value.siteId,
  (siteId) => library.takeInHand({ siteId, jobId: props.id }),
)

watch(
  () => sheet.value.problems.length > 0,
  (missing) => missing && reachForAll(),
  { immediate: true },
)

openWhatIsMissing()
/** A new sheet opens where something is still to be typed. */
function openWhatIsMissing() {
  for (const { path } of sheet.value.problems) {
    const [first = '', second = ''] = path.split('.')
    if (first === 'lawns') opened.add(`lawns.${second}`)
    if (second === 'calibration') opened.add(`${first}.calibration`)
  }
}
watch(() => application.value.document.method, openWhatIsMissing)

onMounted(() => {
  if (draft.value.version === 0) document.querySelector<HTMLElement>('[data-path="site"]')?.focus()
})

const { goFirst, nextMissing } = useEnterWay(context)
/** The open link; it stands in the address once it was chosen, so that a view can be kept and sent. */
const route = useRoute()
const open = ref<LinkName>(CHAIN.find((name) => name === route.query.link) ?? opensOn(chain.value))
/** Its part stands ready before the one that was open goes, and the row that was pressed stays in view. */
async function openLink(name: LinkName) {
  await reachFor(name).catch(() => undefined)
  open.value = name
  void navigateTo({ query: { ...route.query, link: name } }, { replace: true })
  await nextTick()
  document.querySelector(`[aria-controls="link-${name}"]`)?.scrollIntoView({ block: 'nearest' })
}
const { openLoadSheet } = useSheetCommands({
  jobId: props.id,
  index: () => props.index,
  locked: () => locked.value,
  main: () => mainAction.value,
  goFirst,
  openLink,
  repeat: () => repeatJob(draft.value),
  add: () => emit('add'),
})
</script>

<template>
  <div class="sheet" @keydown.enter="nextMissing">
    <header class="head">
      <JobHead
        :draft="draft"
        :job-id="id"
        :state="state"
        :save-state="saveState"
        :locked="locked"
        :what-if="`/jobs/${id}/what-if?a=${index + 1}`"
        :file="crewUrl(`/jobs/${id}/file`)"
        @change="emit('change', $event)"
        @site="takeSite"
        @repeat="repeatJob(draft)"
        @remove="emit('remove')"
      >
        <template v-if="!phone">
          <UButton label="Load sheet" icon="i-lucide-printer" @click="openLoadSheet" />
          <UButton
            :label="mainAction.label"
            color="primary"
            variant="solid"
            data-main-action
            aria-keyshortcuts="Control+Enter"
            @click="mainAction.act"
          />
        </template>
      </JobHead>
      <LazyHeldBar
        v-if="pressed && holds.length > 0"
        :what="pressed"
        :holds="holds"
        :index="index"
        @choose="emit('choose', $event)"
        @close="pressed = undefined"
      />
      <ChainTape v-if="!phone" class="mt-2" :links="chain" :open="open" @open="openLink($event.name)" />
    </header>
    <slot />
    <div class="zones">
      <div class="so-far">
        <ApplicationList
          :applications="draft.applications"
          :states="states"
          :index="index"
          :locked="locked"
          @choose="emit('choose', $event)"
          @add="emit('add')"
          @move="(from, to) => emit('move', from, to)"
          @drop="emit('drop')"
        />
        <SheetSoFar :links="chain" :open="open" @open="openLink($event.name)">
          <template v-if="phone" #default="{ link }">
            <div :id="`link-${link}`" class="here">
              <OpenLink
                :link="link"
                :state="own"
                :application-id="application.id"
                :version="draft.version"
                :log="logPlace"
              />
            </div>
          </template>
        </SheetSoFar>
      </div>
      <section v-if="!phone" :id="`link-${open}`" class="here" :aria-label="LINK_NAMES[open]">
        <OpenLink
          :link="open"
          :state="own"
          :application-id="application.id"
          :version="draft.version"
          :log="logPlace"
        />
      </section>
      <div class="checks"><ChecksZone /></div>
    </div>
    <TotalsFoot class="totals">
      <UButton
        v-if="phone"
        :label="mainAction.label"
        color="primary"
        variant="solid"
        data-main-action
        @click="mainAction.act"
      />
    </TotalsFoot>
  </div>
</template>

<style scoped>
.sheet {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}
.head {
  padding: 12px 24px 0;
  border-bottom: var(--rule-width) solid var(--rule);
}
.zones {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 258px minmax(0, 1fr) 262px;
}
/* What a key changes in one of the three is laid out in it alone. */
.zones > * {
  contain: layout style;
  overflow-y: auto;
  min-width: 0;
}
.so-far {
  border-right: var(--rule-width) solid var(--rule);
}
.here {
  padding: 14px 24px 24px;
}
.checks {
  border-left: var(--rule-width) solid var(--rule);
  padding: 12px 18px;
}
@media (max-width: 1150px) {
  .zones {
    grid-template-columns: 206px minmax(0, 1fr) 216px;
  }
  .here {
    padding: 14px 18px 20px;
  }
  .checks {
    padding: 12px 14px;
  }
}
@media (max-width: 900px) {
  .zones {
    grid-template-columns: 220px minmax(0, 1fr);
  }
  .zones > .checks {
    display: contents;
  }
  .zones > .checks > * {
    grid-column: 1 / -1;
    border-top: var(--rule-width) solid var(--rule);
    padding: 12px 24px;
  }
}
@media (max-width: 760px) {
  .sheet {
    height: auto;
    min-height: calc(100dvh - var(--thumb-bar));
  }
  .head {
    padding: 0 16px 8px;
  }
  .zones {
    display: block;
  }
  .zones > .so-far,
  .zones > .checks {
    contain: none;
    overflow: visible;
    border: 0;
  }
  .here {
    padding: 4px 16px 20px;
    background: var(--sheet);
    border-left: 3px solid var(--ink);
  }
  .zones > .checks {
    padding: 16px;
  }
  .totals {
    position: sticky;
    bottom: var(--thumb-bar);
    z-index: 10;
  }
}
</style>
