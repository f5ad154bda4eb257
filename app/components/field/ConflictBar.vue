<script setup lang="ts">
import { differences, pathWords } from '~/composables/form/differences'

/** Somebody else saved this meanwhile: every field that differs with both values, and the choice. */
const props = defineProps<{ what: string; mine: object; theirs: object; frozen?: string }>()
const emit = defineEmits<{ keep: []; take: [] }>()
const MOST = 8
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
    <table v-if="rows.length > 0" class="small mt-1">
      <thead>
        <tr>
          <th scope="col">Field</th>
          <th scope="col">mine</th>
          <th scope="col">theirs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows.slice(0, MOST)" :key="row.path">
          <th scope="row">{{ pathWords(row.path) }}</th>
          <td>{{ row.mine }}</td>
          <td>{{ row.theirs }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length > MOST" class="small soft">and {{ rows.length - MOST }} more</p>
    <div class="mt-2 flex gap-2">
      <UButton v-if="!frozen" label="Keep mine" size="sm" @click="emit('keep')" />
      <UButton label="Take theirs" size="sm" @click="emit('take')" />
    </div>
  </section>
</template>

<style scoped>
.conflict {
  background: var(--dry-tint);
}
th,
td {
  text-align: left;
  padding: 1px 18px 1px 0;
  font-weight: 400;
  overflow-wrap: anywhere;
}
thead th {
  color: var(--soft);
}
</style>
