<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { JobRow } from '#shared/schemas/job'
import type { Command } from '~/composables/useCommands'

/** Everything that can be done or opened, by typing a part of its name. */
const props = defineProps<{ commands: readonly Command[] }>()
const open = defineModel<boolean>('open', { required: true })
const jobs = ref<readonly JobRow[]>([])
onMounted(async () => { jobs.value = await $fetch<readonly JobRow[]>('/api/jobs').catch(() => []) })

/** The closing dialog gives the cursor back where it was; what is done next may take it, so it waits for that. */
const FOCUS_RETURN_MS = 60
const close = (act: () => unknown) => () => {
  open.value = false
  setTimeout(act, FOCUS_RETURN_MS)
}
const groups = computed(() => [
  { id: 'commands', label: 'Do', items: props.commands.filter(({ id }) => id !== 'palette').map((command) => ({ label: command.label, kbds: command.key ? [command.key] : [], onSelect: close(command.run) })) },
  { id: 'jobs', label: 'Jobs', items: jobs.value.map((job) => ({ label: job.site || 'Unnamed site', suffix: `${job.purpose} · ${dayText(job.plannedFor)}`, onSelect: close(() => navigateTo(`/jobs/${job.id}`)) })) },
])
</script>

<template>
  <UModal v-model:open="open" title="Find anything" description="Type a part of a name, then Enter.">
    <template #content>
      <UCommandPalette :groups="groups" placeholder="Find or do anything" class="h-96" :close="false" @update:open="open = $event" />
    </template>
  </UModal>
</template>
