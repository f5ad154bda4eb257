<script setup lang="ts">
import { EARLIER_COLUMNS } from '#core/run/earlier/readEarlierRows'
import { counted } from '#core/quantity/counting'
import type { EarlierShown } from '#shared/schemas/earlier'
import type { RowColumn } from '~/components/field/RowTable.vue'

/** Records that were kept elsewhere: a table brought, looked at line by line, taken in. */
useHead({ title: 'Earlier records · Hectarum' })
const crew = useCrewStore()
const own = useSelfStore()
const shown = useShown()
const notice = useNotice()
const { records, problems, refused, name, progress, open, take, drop, stop } = useEarlierRecords()
const fresh = computed(() => records.value.filter(({ state }) => state === 'new').length)
const here = computed(() => records.value.length - fresh.value)
const COLUMNS: readonly RowColumn<EarlierShown>[] = [
  { key: 'site', head: 'Site' },
  { key: 'finished', head: 'Finished', from: 'laptop', sort: ({ finishedAt }) => finishedAt },
  { key: 'products', head: 'Products', from: 'laptop' },
  { key: 'ground', head: 'Treated', numeric: true, from: 'laptop' },
  { key: 'told', head: 'Told', from: 'laptop' },
  { key: 'state', head: 'State' },
]
const SHOWN_PROBLEMS = 30
const shownProblems = computed(() => problems.value.slice(0, SHOWN_PROBLEMS))
const words = ({ unknown, notes }: EarlierShown) =>
  [...(unknown.length > 0 ? [`Known by name alone: ${unknown.join(', ')}.`] : []), ...notes].join(' ')
const when = (row: EarlierShown) => finishedText(row, crew.organization?.timeZone)
async function accept() {
  const added = await take()
  if (refused.value === '') notice.say(`${counted(added, 'record')} taken in.`)
  else
    notice.say(
      `${counted(added, 'record')} taken in, then it broke off.`,
      'What is left can be taken in again.',
    )
}
</script>

<template>
  <main class="page space-y-4">
    <div class="page-head">
      <h1>Earlier records</h1>
      <UButton label="All records" icon="i-lucide-arrow-left" to="/records" />
    </div>
    <p class="max-w-3xl">
      A table of work that was noted elsewhere becomes records: they count in intervals, limits of the year
      and reports. What is on the shelf stays as it was counted.
    </p>
    <p v-if="!own.may('work')" role="status">Taking records in is for an owner or a technician.</p>
    <div v-else class="flex flex-wrap items-center gap-3">
      <FilePick
        label="Choose a table (CSV)"
        accept=".csv,text/csv"
        variant="solid"
        color="primary"
        :loading="progress !== undefined"
        @file="open"
      />
      <span v-if="name" class="soft">{{ name }}</span>
    </div>
    <UCollapsible class="small max-w-3xl">
      <UButton variant="link" size="sm" label="Columns it may have" trailing-icon="i-lucide-chevron-down" />
      <template #content>
        <ul class="flex flex-wrap gap-x-3 pt-1">
          <li v-for="column in EARLIER_COLUMNS" :key="column">
            <code>{{ column }}</code>
          </li>
        </ul>
        <p class="soft pt-1">
          Needed: finished, site, treated, product, used; carrier for a spray. Figures with their unit, in the
          cell or in the column beside it: 8,000 ft2, 28 lb. A row for each product; rows of one record name
          the same <code>record</code>. The file of the records page can be taken in as it is.
        </p>
      </template>
    </UCollapsible>
    <div v-if="progress" role="status" class="max-w-xl space-y-2">
      <UProgress :model-value="progress.done" :max="progress.all" aria-label="Parts of the file done" />
      <UButton size="sm" label="Stop" @click="stop" />
    </div>
    <p v-if="refused" role="alert" class="wrong">{{ refused }}</p>
    <section v-if="problems.length > 0" aria-labelledby="problems-title" role="alert">
      <h2 id="problems-title">{{ counted(problems.length, 'line') }} can’t be taken</h2>
      <ul>
        <li v-for="(problem, i) in shownProblems" :key="i" class="rule-b py-1">
          <strong>Line {{ problem.line }}, {{ problem.column }}:</strong> {{ problem.message }}
        </li>
      </ul>
      <p v-if="problems.length > SHOWN_PROBLEMS" class="soft">
        and {{ problems.length - SHOWN_PROBLEMS }} more. Mend them in the file and choose it again.
      </p>
    </section>
    <section v-if="records.length > 0" aria-labelledby="found-title" class="space-y-3">
      <div class="flex flex-wrap items-center gap-3">
        <h2 id="found-title">
          {{ counted(records.length, 'record') }}{{ here > 0 ? `, ${here} here already` : '' }}
        </h2>
        <UButton
          v-if="fresh > 0"
          color="primary"
          variant="solid"
          :label="`Take in ${counted(fresh, 'record')}`"
          :disabled="progress !== undefined"
          @click="accept"
        />
        <UButton v-else label="See the records" to="/records" />
        <UButton label="Leave it" :disabled="progress !== undefined" @click="drop" />
      </div>
      <RowTable caption="What the file holds" :rows="records" :columns="COLUMNS" :key-of="({ id }) => id">
        <template #site="{ row }">{{ row.site }}</template>
        <template #under="{ row }">{{ when(row) }}, {{ row.products }}. {{ words(row) }}</template>
        <template #finished="{ row }">{{ when(row) }}</template>
        <template #products="{ row }">{{ row.products }}</template>
        <template #ground="{ row }"><FigureText :shown="shown.size(row.sizeM2)" /></template>
        <template #told="{ row }"
          ><span class="soft small">{{ words(row) }}</span></template
        >
        <template #state="{ row }"
          ><StateMark
            :level="row.state === 'new' ? 'note' : 'good'"
            :words="row.state === 'new' ? `new, line ${row.line}` : 'here already'"
        /></template>
      </RowTable>
    </section>
  </main>
</template>

<style scoped>
.wrong {
  color: var(--stop);
  font-weight: 600;
}
</style>
