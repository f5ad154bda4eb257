<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import type { JobState } from '#core/job/chain'

/** What else can be done with a job. */
const props = defineProps<{
  jobId: string
  siteId: string | null
  plannedFor: string
  state: JobState
  fresh: boolean
  locked: boolean
  whatIf: string
  file: string
}>()
const emit = defineEmits<{ repeat: []; history: []; remove: [] }>()
const own = useSelfStore()
const route = useRoute()
/** Work that was carried out without its run is entered all the same. */
const isOpen = computed(() => !props.fresh && (props.state === 'planned' || props.state === 'running'))
const actions = computed<DropdownMenuItem[]>(() => [
  { label: 'What if', icon: 'i-lucide-columns-2', to: props.whatIf },
  ...(props.siteId ? [{ label: 'The site', icon: 'i-lucide-map', to: `/sites/${props.siteId}` }] : []),
  ...(props.plannedFor
    ? [{ label: 'The day', icon: 'i-lucide-route', to: `/days/${props.plannedFor}` }]
    : []),
  { label: 'Load sheet', icon: 'i-lucide-printer', to: `/jobs/${props.jobId}/load-sheet` },
  ...(isOpen.value && own.may('run')
    ? [
        {
          label: 'It is done already',
          icon: 'i-lucide-book-open',
          to: `/jobs/${props.jobId}/log?a=${String(route.query.a ?? 1)}`,
        },
      ]
    : []),
  ...(props.fresh
    ? []
    : [
        { label: 'Repeat', icon: 'i-lucide-copy', onSelect: () => emit('repeat') },
        { label: 'JSON', icon: 'i-lucide-file-output', to: props.file, external: true, download: '' },
        { label: 'History', icon: 'i-lucide-history', onSelect: () => emit('history') },
      ]),
  ...(!props.locked && own.may('govern')
    ? [{ label: 'Delete', icon: 'i-lucide-trash-2', onSelect: () => emit('remove') }]
    : []),
])
</script>

<template>
  <UDropdownMenu :items="actions" :content="{ align: 'end' }">
    <UButton icon="i-lucide-ellipsis" aria-label="More of this job" />
  </UDropdownMenu>
</template>
