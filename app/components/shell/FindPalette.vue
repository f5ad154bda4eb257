<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { Found } from '#shared/schemas/today'
import { useDebounceFn } from '@vueuse/core'
import type { Command } from '~/composables/shell/useCommands'

/** Everything that can be done or opened, by typing a part of its name. */
const props = defineProps<{ commands: readonly Command[] }>()
const open = defineModel<boolean>('open', { required: true })
const words = ref('')
const found = ref<readonly Found[]>([])
const WAIT_MS = 120
const KINDS: Readonly<Record<Found['kind'], string>> = {
  site: 'Sites',
  area: 'Areas',
  equipment: 'Equipment',
  product: 'Products',
  job: 'Jobs',
  record: 'Records',
}

/** Only the answer to what is typed now is shown. */
const look = useDebounceFn(async () => {
  const asked = words.value
  const answer = asked.trim() === '' ? [] : await ask(questions.find(asked)).catch(() => [])
  if (asked === words.value) found.value = answer
}, WAIT_MS)
watch(words, look)

/**
 * The closing dialog gives the cursor back where it was; what is done next may take it, so it waits for that.
 */
const FOCUS_RETURN_MS = 60
const close = (act: () => unknown) => () => {
  open.value = false
  setTimeout(act, FOCUS_RETURN_MS)
}
const groups = computed(() => [
  {
    id: 'commands',
    label: 'Do',
    items: props.commands
      .filter(({ id }) => id !== 'palette')
      .map((command) => ({
        label: command.label,
        kbds: command.key ? [command.key] : [],
        onSelect: close(command.run),
      })),
  },
  ...(Object.keys(KINDS) as Found['kind'][]).map((kind) => ({
    // The server has searched already; the palette's own filter would drop what it found by another field.
    id: kind,
    label: KINDS[kind],
    ignoreFilter: true,
    items: found.value
      .filter((one) => one.kind === kind)
      .map(({ to, label, more, day }) => ({
        label: label || 'Unnamed',
        suffix: day === '' ? more : `${more} · ${dayText(day)}`,
        onSelect: close(() => navigateTo(to)),
      })),
  })),
])
</script>

<template>
  <UModal v-model:open="open" title="Find anything" description="Type a part of a name, then Enter.">
    <template #content>
      <UCommandPalette
        v-model:search-term="words"
        :groups="groups"
        placeholder="Find or do anything"
        class="h-96"
        :close="false"
        @update:open="open = $event"
      />
    </template>
  </UModal>
</template>
