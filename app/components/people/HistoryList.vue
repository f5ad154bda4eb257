<script setup lang="ts">
import type { HistoryLine } from '#shared/schemas/people'

/** Who changed a thing, and when; read when somebody opens it. */
const { rowId } = defineProps<{ rowId: string }>()
const open = defineModel<boolean>('open', { required: true })
const crew = useCrewStore()
const { answer: lines, problem } = useAnswer(() => (open.value ? questions.history(rowId) : undefined))
const lineText = ({ what, person }: HistoryLine) => `${what}, by ${person || 'somebody at this machine'}`
const items = computed(() =>
  (lines.value ?? []).map((line) => ({
    date: instantText(line.at, crew.organization?.timeZone),
    title: lineText(line),
  })),
)
</script>

<template>
  <UModal v-model:open="open" title="History" description="Who changed it, and when; the newest first.">
    <template #body>
      <div role="status">
        <p v-if="problem">{{ problem }}</p>
        <p v-else-if="lines?.length === 0" class="soft">Nothing has changed since histories are kept.</p>
        <UTimeline v-else :items="items" size="xs" aria-label="History" />
      </div>
    </template>
  </UModal>
</template>
