<script setup lang="ts">
import { composeSheet } from '#core/jobsheet/applicationSheet'
import { openWorkingBook } from '#core/working/working'

/** The load sheet for the truck: one page, printed as it stands, with or without its working. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const { draft, stored, loadProblem, load } = useJobDraft(id)
await load()
useHead({ title: () => `Load sheet · ${draft.value?.site ?? ''}` })
const withWorking = ref(false)
const book = computed(() => openWorkingBook())
const sheet = computed(() => draft.value && composeSheet(draft.value.application.document, crew.today(), book.value))
const pages = computed(() => (sheet.value?.plan ? book.value.pages() : []))
const names = computed(() => figureNames(draft.value?.application.document ?? { lawns: [], products: [] }))
const print = () => window.print()
useScreenCommands(() => [
  { id: 'print', label: 'Print', key: 'p', run: print },
  { id: 'back', label: 'Back to the job', key: 'escape', run: () => navigateTo(`/jobs/${id}`) },
])
</script>

<template>
  <main v-if="draft && sheet" class="load-page">
    <div class="no-print mb-4 flex flex-wrap items-center gap-4">
      <UButton label="Back to the job" :to="`/jobs/${id}`" />
      <UButton label="Print" color="primary" variant="solid" aria-keyshortcuts="p" @click="print" />
      <label class="flex items-center gap-2"><input v-model="withWorking" type="checkbox"> with working</label>
    </div>
    <LoadSheet v-if="sheet.plan" :job="draft" :sheet="sheet" :state="stored?.state ?? draft.state" />
    <EmptyState v-else words="There is nothing to print yet: something on the sheet is still missing." action="Go to what is missing" :to="`/jobs/${id}`" />
    <section v-if="withWorking && sheet.plan" class="mt-6">
      <h2>Working</h2>
      <div v-for="page in pages" :key="page.figure" class="rule-b py-2">
        <h3 class="font-semibold">{{ names.get(page.figure) ?? page.figure }}</h3>
        <ol class="mono text-[12px]"><li v-for="(line, i) in page.lines" :key="i">{{ line }}</li></ol>
      </div>
    </section>
  </main>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>

<style scoped>
.load-page { max-width: 860px; padding: 20px 24px; }
@media print { .load-page { padding: 0; max-width: none; } }
</style>
