<script setup lang="ts">
import { isShared } from '#core/job/route/commonMix'
import { workDay } from '#core/calendar/workDay'
import { workOutJob } from '#core/job/workOutJob'
import { frozenApplication } from '#core/run/freezePlan'
import { openWorkingBook } from '#core/working/working'

/** The load sheet for the truck: one page, printed as it stands, with or without its working. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const libraryStore = useLibraryStore()
const { draft, stored, loadProblem, load } = useJobDraft(id)
await load()
// The dial of rates of their own is read off the curve, and checks ask labels and ledger; the sheet stands
// without them.
void Promise.all([libraryStore.load(), libraryStore.loadAreas(draft.value?.siteId ?? null, id)]).catch(
  () => undefined,
)
const { library, house } = useJobLibrary()
const { answer: site } = useAnswer(() =>
  draft.value?.siteId ? questions.site(draft.value.siteId) : undefined,
)
const address = computed(() => [site.value?.place, site.value?.document.contact].filter(Boolean).join(' · '))
useHead({ title: () => `Load sheet · ${draft.value?.site ?? ''}` })
const withWorking = ref(false)
const sheets = computed(() => {
  const applications = draft.value?.applications ?? []
  const day = workDay(draft.value?.plannedFor ?? '', crew.today())
  const question = {
    applications,
    day,
    house: house.value,
    library: library.value,
    ledger: libraryStore.ledger,
    planned: libraryStore.planned,
  }
  return applications.map(({ id: key, document }, index) => {
    const frozen = stored.value?.applications.find((one) => one.id === key)?.frozen
    const book = openWorkingBook()
    const sheet = (frozen && frozenApplication(frozen)) ?? workOutJob(question, book, index)[index]!
    return {
      key,
      document,
      sheet,
      dialFor: (perPass: number) => dialForPass(document, sheet, libraryStore, day, perPass),
      pages: frozen?.plan.working ?? (sheet.plan ? book.pages() : []),
      names: figureNames(document),
    }
  })
})
const whole = computed(() => sheets.value.every(({ sheet }) => sheet.plan !== undefined))
const print = () => window.print()
useScreenCommands(() => [
  { id: 'print', label: 'Print', key: 'p', run: print },
  { id: 'back', label: 'Back to the job', key: 'escape', run: () => navigateTo(`/jobs/${id}`) },
])
</script>

<template>
  <main v-if="draft" class="load-page">
    <div class="no-print mb-4 flex flex-wrap items-center gap-4">
      <UButton label="Back to the job" :to="`/jobs/${id}`" />
      <UButton label="Print" color="primary" variant="solid" aria-keyshortcuts="p" @click="print" />
      <TickField label="with working" :ticked="withWorking" @change="withWorking = $event" />
    </div>
    <EmptyState
      v-if="!whole"
      words="There is nothing to print yet: something on the sheet is still missing."
      action="Go to what is missing"
      :to="`/jobs/${id}`"
    />
    <template v-for="(one, i) in sheets" v-else :key="one.key">
      <LoadSheet
        :job="draft"
        :address="address"
        :document="one.document"
        :place="sheets.length > 1 ? `Application ${i + 1} of ${sheets.length}` : ''"
        :sheet="one.sheet"
        :dial-for="one.dialFor"
        :state="stored?.state ?? draft.state"
        :class="{ 'next-page': i > 0 }"
      />
      <CommonLoads
        v-if="draft.plannedFor && isShared(one.document)"
        :day="draft.plannedFor"
        :application-id="one.key"
        :version="draft.version"
      />
      <section v-if="withWorking" class="mt-6">
        <h2>Working</h2>
        <div v-for="page in one.pages" :key="page.figure" class="rule-b py-2">
          <h3 class="font-semibold">{{ one.names.get(page.figure) ?? page.figure }}</h3>
          <ol class="mono text-[12px]">
            <li v-for="(line, n) in page.lines" :key="n">{{ line }}</li>
          </ol>
        </div>
      </section>
    </template>
  </main>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>

<style scoped>
.load-page {
  max-width: 860px;
  padding: 20px 24px;
}
.next-page {
  margin-top: 40px;
}
@media print {
  .load-page {
    padding: 0;
    max-width: none;
  }
  .next-page {
    break-before: page;
    margin-top: 0;
  }
}
</style>
