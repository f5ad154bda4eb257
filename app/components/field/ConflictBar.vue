<script setup lang="ts">
import { differences, pathWords } from '~/composables/form/differences'

/** Somebody else saved this meanwhile: every field that differs with both values, and the choice. */
const props = defineProps<{ what: string; mine: object; theirs: object; frozen?: string }>()
const emit = defineEmits<{ keep: []; take: [] }>()
const MOST = 8
const COLUMNS = [
  { key: 'field', head: 'Field' },
  { key: 'mine', head: 'mine' },
  { key: 'theirs', head: 'theirs' },
] as const
// Only what can be edited counts; the stored row carries more.
const rows = computed(() =>
  differences(
    props.mine,
    Object.fromEntries(
      Object.keys(props.mine).map((name) => [name, (props.theirs as Record<string, unknown>)[name]]),
    ),
  ),
)
</script>

<template>
  <section class="rule-b conflict px-6 py-3" role="alert" aria-label="Changed elsewhere">
    <p v-if="frozen">
      <strong>{{ frozen }}</strong>
    </p>
    <p v-else>
      <strong>This {{ what }} was changed elsewhere</strong> since you opened it.
    </p>
    <RowTable
      v-if="rows.length > 0"
      class="max-w-3xl"
      caption="What differs"
      stacked
      :rows="rows.slice(0, MOST)"
      :columns="COLUMNS"
      :key-of="({ path }) => path"
    >
      <template #field="{ row }">{{ pathWords(row.path) }}</template>
      <template #mine="{ row }">{{ row.mine }}</template>
      <template #theirs="{ row }">{{ row.theirs }}</template>
    </RowTable>
    <p v-if="rows.length > MOST" class="small soft">and {{ rows.length - MOST }} more</p>
    <div class="mt-2 flex gap-2">
      <UButton v-if="!frozen" label="Keep mine" size="sm" @click="emit('keep')" />
      <UButton label="Take theirs" size="sm" @click="emit('take')" />
    </div>
  </section>
</template>
