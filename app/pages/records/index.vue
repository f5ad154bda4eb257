<script setup lang="ts">
import type { RecordPage, RecordRow } from '#shared/schemas/run'

/** What was applied, newest first. */
useHead({ title: 'Records · Hectarum' })
const crew = useCrewStore()
const shown = useShown()
const rows = ref<RecordRow[]>([])
const next = ref<string | null>()
const problem = ref<string>()
const VERDICTS: Readonly<Record<RecordRow['verdict'], string>> = { good: '● good', acceptable: '▲ acceptable', off: '■ off', unknown: '– not known' }

async function more() {
  try {
    const page = await $fetch<RecordPage>('/api/records', { query: next.value ? { after: next.value } : {} })
    rows.value = [...rows.value, ...page.rows]
    next.value = page.next
    problem.value = undefined
  }
  catch (error) {
    problem.value = errorText(error)
  }
}
watch(() => crew.organization?.id, () => {
  rows.value = []
  next.value = undefined
  void more()
}, { immediate: true })
</script>

<template>
  <main class="px-6 py-4">
    <h1>Records</h1>
    <EmptyState v-if="problem" :words="problem" action="Try again" @act="more" />
    <p v-else-if="next === undefined" class="soft py-6">Opening …</p>
    <EmptyState v-else-if="rows.length === 0" words="Nothing on record yet. A record is what a run leaves when its outcome is logged." action="See the jobs" to="/jobs" />
    <table v-else class="list mt-3">
      <thead><tr><th scope="col">Finished</th><th scope="col">Site</th><th scope="col">Products</th><th scope="col" class="num">Lawn</th><th scope="col">Actual rate</th></tr></thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td class="whitespace-nowrap">{{ instantText(row.finishedAt, crew.organization?.timeZone) }}</td>
          <th scope="row"><NuxtLink :to="`/records/${row.id}`" class="way-out">{{ row.site || 'Unnamed site' }}</NuxtLink></th>
          <td>{{ row.products }}</td>
          <td class="num"><FigureText :shown="shown.size(row.sizeM2)" /></td>
          <td class="whitespace-nowrap" :class="row.verdict">{{ VERDICTS[row.verdict] }}</td>
        </tr>
      </tbody>
    </table>
    <UButton v-if="next" class="mt-4" label="More" @click="more" />
  </main>
</template>

<style scoped>
.list { width: 100%; max-width: 1060px; border-collapse: collapse; }
.list th, .list td { text-align: left; padding: 9px 16px 9px 0; border-bottom: var(--rule-width) solid var(--rule); font-weight: 400; vertical-align: baseline; }
.list thead th { color: var(--soft); font-size: 13px; border-bottom-color: var(--rule-strong); }
.list .num { text-align: right; white-space: nowrap; }
.good { color: var(--good); }
.acceptable { color: var(--warn); }
.off { color: var(--stop); }
@media (max-width: 640px) {
  .list, .list tbody, .list tr, .list td, .list th { display: block; border: 0; padding: 0; }
  .list .num { text-align: left; }
  .list thead { display: none; }
  .list tr { border-bottom: var(--rule-width) solid var(--rule); padding: 10px 0; }
}
</style>
