<script setup lang="ts">
/** Where the run is, how much of it is behind, and what of it the server does not have yet. */
const { waiting, refused } = defineProps<{ waiting: number; refused: number }>()
const { frozen, share, record, jobId, place, open } = useRunScreen()
const outbox = useOutboxStore()
const emit = defineEmits<{ note: [what: RunNoteKind] }>()
const sync = computed(() =>
  refused > 0
    ? `${refused} not taken`
    : waiting === 0
      ? 'all sent'
      : outbox.state === 'sending'
        ? `sending ${waiting}`
        : outbox.state === 'signed out'
          ? `kept, ${waiting} wait for you to sign in`
          : `kept, ${waiting} to send`,
)
const items = computed(() => [
  [
    { label: 'Pause', icon: 'i-lucide-pause', onSelect: () => emit('note', 'pause') },
    { label: 'Finish early', icon: 'i-lucide-flag', onSelect: () => open('rest') },
    { label: 'Spill, or a stop', icon: 'i-lucide-octagon-x', onSelect: () => emit('note', 'mishap') },
  ],
  [
    { label: 'Extra strip', icon: 'i-lucide-square-plus', onSelect: () => emit('note', 'strip') },
    { label: 'Mark spots', icon: 'i-lucide-map-pin', onSelect: () => emit('note', 'spots') },
    { label: 'Photo', icon: 'i-lucide-camera', onSelect: () => emit('note', 'photo') },
    { label: 'Note', icon: 'i-lucide-pencil', onSelect: () => emit('note', 'words') },
  ],
  [
    { label: 'On another device', icon: 'i-lucide-smartphone', onSelect: () => emit('note', 'over') },
    { label: 'Log the outcome', icon: 'i-lucide-book-open', to: `/jobs/${jobId}/log?a=${place}` },
    { label: 'The job sheet', icon: 'i-lucide-clipboard-list', to: `/jobs/${jobId}?a=${place}` },
  ],
])
useScreenCommands(() => [
  {
    id: 'log',
    label: 'Log the outcome',
    key: 'l',
    run: () => navigateTo(`/jobs/${jobId}/log?a=${place}`),
  },
])
</script>

<template>
  <header>
    <div class="line">
      <strong class="site">{{ frozen.site || 'Unnamed site' }}</strong>
      <NuxtLink to="/kept" class="sync" :data-refused="refused > 0 ? '' : undefined">{{ sync }}</NuxtLink>
      <UDropdownMenu :items="items" :content="{ align: 'end' }">
        <UButton icon="i-lucide-ellipsis" aria-label="More for this run" size="lg" class="more" />
      </UDropdownMenu>
    </div>
    <div
      class="tape"
      role="progressbar"
      aria-label="Steps behind"
      aria-valuemin="0"
      aria-valuemax="100"
      :aria-valuenow="Math.round(100 * share)"
      :data-method="record.frozen.request.method.kind"
    >
      <span :style="{ width: `${100 * share}%` }" />
    </div>
  </header>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 56px;
}
.site {
  margin-right: auto;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.sync {
  white-space: nowrap;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.sync[data-refused] {
  color: var(--stop);
  font-weight: 700;
}
.more {
  min-width: 48px;
  min-height: 48px;
  justify-content: center;
}
.tape {
  height: 18px;
  border-bottom: 2px solid var(--ink);
  background: repeating-linear-gradient(to right, var(--ink) 0 1px, transparent 1px 26px) bottom / 100% 8px
    no-repeat;
}
.tape > span {
  display: block;
  height: 100%;
  background: var(--dry);
}
.tape[data-method='spray'] > span {
  background: var(--wet);
}
</style>
