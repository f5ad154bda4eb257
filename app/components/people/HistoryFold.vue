<script setup lang="ts">
import type { HistoryLine } from '#shared/schemas/people'

/** Who changed a thing, and when; read when somebody opens it. */
const { rowId } = defineProps<{ rowId: string }>()
const crew = useCrewStore()
const open = ref(false)
const lines = shallowRef<readonly HistoryLine[]>()
const problem = ref('')

watch(open, async (now) => {
  if (!now) return
  try {
    lines.value = await $fetch<readonly HistoryLine[]>(crewUrl(`/history/${rowId}`))
  } catch (error) {
    problem.value = errorText(error)
  }
})
const lineText = ({ what, person, at }: HistoryLine) =>
  `${instantText(at, crew.organization?.timeZone)}: ${what}, by ${person || 'somebody at this machine'}`
</script>

<template>
  <UPopover v-model:open="open" class="no-print">
    <UButton label="History" variant="link" size="sm" />
    <template #content>
      <div class="max-h-[50dvh] max-w-[90vw] overflow-y-auto p-3" role="status">
        <p v-if="problem">{{ problem }}</p>
        <p v-else-if="lines?.length === 0" class="soft small">
          Nothing has changed since histories are kept.
        </p>
        <ol v-else class="small" aria-label="History">
          <li v-for="(line, i) in lines" :key="i">{{ lineText(line) }}</li>
        </ol>
      </div>
    </template>
  </UPopover>
</template>
