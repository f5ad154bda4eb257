<script setup lang="ts">
import type { JobDraft } from '~/composables/job/useJobDraft'

/** One application of a job on a page of its own, as it stands: what stands inside reads its sheet. */
const props = defineProps<{ title: string }>()
defineSlots<{ default: (scope: { readonly draft: JobDraft; readonly back: string }) => unknown }>()
const route = useRoute()
const id = String(route.params.id)
const library = useLibraryStore()
const { draft, stored, loadProblem, load, change } = useJobDraft(id)
await load()
await Promise.all([library.load(), library.loadAreas(draft.value?.siteId ?? null, id)]).catch(() => undefined)
useHead({ title: () => `${props.title} · ${draft.value?.site ?? ''}` })
const applications = computed(() => draft.value?.applications ?? [])
const index = computed(() =>
  Math.max(0, Math.min(applications.value.length - 1, Number(route.query.a ?? 1) - 1 || 0)),
)
const own = computed(() => applications.value[index.value])
const person = useSelfStore()
const running = computed(() => stored.value?.state === 'running' || stored.value?.state === 'done')
if (draft.value)
  provideSheet({
    applications: () => applications.value,
    index: () => index.value,
    change: (document) =>
      change({
        applications: applications.value.map((one) =>
          one.id === own.value?.id ? { ...one, document } : one,
        ),
      }),
    locked: () => running.value || !person.may('work'),
    plannedFor: () => draft.value?.plannedFor ?? '',
    frozen: () => stored.value?.applications.find((one) => one.id === own.value?.id)?.frozen,
  })
const back = computed(() => `/jobs/${id}?link=walk${index.value === 0 ? '' : `&a=${index.value + 1}`}`)
useScreenCommands(() => [
  { id: 'back', label: 'Back to the job', key: 'escape', run: () => navigateTo(back.value) },
])
</script>

<template>
  <slot v-if="draft" :draft="draft" :back="back" />
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>
