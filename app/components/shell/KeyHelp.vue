<script setup lang="ts">
import type { Command } from '~/composables/shell/useCommands'

/** The keys that work now. */
defineProps<{ commands: readonly Command[] }>()
const open = defineModel<boolean>('open', { required: true })
const pressed = (key: string) =>
  key
    .replace('ctrl+enter', 'Ctrl Enter')
    .replace('ctrl+k', 'Ctrl K')
    .toUpperCase()
    .replace('CTRL', 'Ctrl')
    .replace('ENTER', 'Enter')
</script>

<template>
  <UModal v-model:open="open" title="Keys" description="Single keys rest while you type in a field.">
    <template #body>
      <dl class="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        <template v-for="command in commands.filter(({ key }) => key)" :key="command.id"
          ><dt>
            <kbd>{{ pressed(command.key ?? '') }}</kbd>
          </dt>
          <dd>{{ command.label }}</dd></template
        >
        <dt><kbd>Enter</kbd></dt>
        <dd>In a field: take it and go to the next one that is missing</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>Close what is open</dd>
      </dl>
    </template>
  </UModal>
</template>
