<script setup lang="ts" generic="Item">
import type { FileFormat } from '~/composables/form/useFileImport'

/** Rows out as a file and in again, shown before they are taken. */
const props = defineProps<{
  address: string
  format: FileFormat<Item>
  say: (items: readonly Item[]) => string
}>()
const emit = defineEmits<{ taken: [] }>()
const notice = useNotice()
const { found, problems, busy, open, take, drop } = useFileImport(props.format)
async function accept() {
  const done = await take()
  if (!done) return
  notice.say(`${done.added} taken in${done.kept > 0 ? `, ${done.kept} were here already` : ''}.`)
  emit('taken')
}
</script>

<template>
  <div class="small mt-3 space-y-2">
    <p class="flex flex-wrap gap-x-4 gap-y-1">
      <a :href="`${address}?format=csv`" class="way-out" download>Export as CSV</a>
      <a :href="`${address}?format=json`" class="way-out" download>as JSON</a>
      <FilePick label="Take in a file" accept=".csv,.json,text/csv,application/json" @file="open" />
    </p>
    <div v-if="found.length > 0" role="status" class="space-y-1">
      <p>
        <strong>{{ say(found) }}</strong>
      </p>
      <p class="flex gap-2">
        <UButton
          size="sm"
          color="primary"
          variant="solid"
          label="Take them in"
          :disabled="busy"
          @click="accept"
        /><UButton size="sm" label="Leave it" @click="drop" />
      </p>
    </div>
    <ul v-if="problems.length > 0" role="alert" class="wrong">
      <li v-for="problem in problems" :key="problem">{{ problem }}</li>
    </ul>
  </div>
</template>

<style scoped>
.wrong {
  color: var(--stop);
  font-weight: 600;
}
</style>
