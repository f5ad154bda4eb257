<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { USE_KEYS, type UsedLine } from '#core/run/use/useReport'
import type { Figure } from '#core/working/figures'
import type { RowColumn } from '~/components/field/RowTable.vue'

/** What was used, as an inspector asks for it: by active, product, site, area or person, between two days. */
useHead({ title: 'What was used · Hectarum' })
const crew = useCrewStore()
const shown = useShown()
const route = useRoute()
const asked = reactive({
  by: USE_KEYS.find((key) => key === route.query.by) ?? 'active',
  from: String(route.query.from ?? ''),
  to: String(route.query.to ?? ''),
})
const { answer: use, problem, loading, again } = useAnswer(() => questions.use({ ...asked }))
watch(asked, (query) =>
  navigateTo(
    { query: Object.fromEntries(Object.entries(query).filter(([, value]) => value)) },
    { replace: true },
  ),
)
const NAMES = {
  active: 'active ingredient',
  product: 'product',
  site: 'site',
  area: 'lawn',
  person: 'person',
} as const
const BLANK = {
  active: 'No active ingredient named',
  product: 'Without a name',
  site: 'No site',
  area: 'No lawn',
  person: 'Nobody named',
} as const
const choices = USE_KEYS.map((value) => ({ value, text: `by ${NAMES[value]}` }))
const lines = computed(() =>
  (use.value?.headings ?? []).flatMap(({ key, lines }) =>
    lines.map((line, i) => ({
      ...line,
      id: `${key} ${i}`,
      first: line.first,
      heading: i === 0 ? key : undefined,
    })),
  ),
)
type Line = UsedLine & { readonly id: string; readonly heading: string | undefined }
const COLUMNS = computed((): readonly RowColumn<Line>[] => [
  { key: 'heading', head: NAMES[asked.by] },
  ...(asked.by === 'product' ? [] : [{ key: 'product', head: 'product' }]),
  { key: 'times', head: 'times', numeric: true },
  { key: 'days', head: 'days' },
  { key: 'ground', head: 'ground', numeric: true },
  { key: 'amount', head: 'amount', numeric: true },
  { key: 'actives', head: 'of active' },
  { key: 'nitrogen', head: 'nitrogen', numeric: true },
])
const pageOf = ({ id }: Line): Figure => `use.${id}`
useWorkingPages(
  () => lines.value.map((line) => ({ figure: pageOf(line), lines: line.working })),
  computed(() => new Map(lines.value.map((line) => [pageOf(line), `${line.product} used`] as const))),
)
const days = ({ first, last }: Line) =>
  first === last ? dayText(first) : `${dayText(first)} to ${dayText(last)}`
const weight = (kilograms: number) => shown.amountOf(kilograms, 'mass')
const csv = computed(() => crewUrl(`/records/use?${new URLSearchParams({ ...asked, format: 'csv' })}`))
const print = () => window.print()
useScreenCommands(() => [{ id: 'print', label: 'Print', key: 'p', run: print }])
</script>

<template>
  <ListPlace
    name="What was used"
    :loading="loading"
    :problem="problem"
    :empty="lines.length === 0 ? { words: 'Nothing is on record between these days.' } : undefined"
    @retry="again"
  >
    <template #head>
      <UButton class="no-print" label="All records" icon="i-lucide-arrow-left" to="/records" />
      <UButton class="no-print" label="CSV" icon="i-lucide-file-output" :to="csv" external download />
      <UButton
        class="no-print"
        label="Print"
        color="primary"
        variant="solid"
        aria-keyshortcuts="p"
        @click="print"
      />
    </template>
    <template #filters>
      <div class="no-print filters">
        <ChoiceField
          bare
          label="Told by"
          class="w-52"
          :value="asked.by"
          :choices="choices"
          @change="asked.by = $event"
        />
        <DayField label="From" :day="asked.from || (use?.from ?? '')" @change="asked.from = $event" />
        <DayField label="To" :day="asked.to || (use?.to ?? '')" @change="asked.to = $event" />
      </div>
      <p v-if="use" class="pb-2">
        {{ crew.organization?.name
        }}{{ crew.organization?.licence ? `, licence ${crew.organization.licence}` : '' }}:
        {{ dayText(use.from) }} to {{ dayText(use.to) }}, by {{ NAMES[use.by] }}.
      </p>
    </template>
    <RowTable caption="What was used" stacked :rows="lines" :columns="COLUMNS" :key-of="({ id }) => id">
      <template #heading="{ row }"
        ><strong v-if="row.heading !== undefined">{{ row.heading || BLANK[asked.by] }}</strong
        ><span v-if="asked.by === 'active' && row.group && row.heading !== undefined" class="soft small block"
          >group {{ row.group }}</span
        ></template
      >
      <template #product="{ row }">{{ row.product }}</template>
      <template #times="{ row }">{{ row.applications }}</template>
      <template #days="{ row }">{{ days(row) }}</template>
      <template #ground="{ row }"><FigureText :shown="shown.size(row.sizeM2)" /></template>
      <template #amount="{ row }"
        ><FigureText
          :shown="shown.amountOf(row.amount, row.dimension)"
          :page="pageOf(row)"
          :label="`${row.product} used`"
      /></template>
      <template #actives="{ row }"
        ><span v-if="row.actives.length === 0" class="soft">none</span
        ><span v-for="active in row.actives" :key="active.name" class="block"
          >{{ active.name }}
          <FigureText
            v-if="active.kilograms !== undefined"
            :shown="weight(active.kilograms)"
            :page="pageOf(row)"
            :label="`${active.name} in ${row.product}`"
          /><span v-else class="soft">not told by its label</span></span
        ></template
      >
      <template #nitrogen="{ row }"
        ><FigureText v-if="row.n !== null && row.n > 0" :shown="weight(row.n)" /><span
          v-else-if="row.n === null"
          class="soft"
          >not known</span
        ><span v-else class="soft">none</span></template
      >
    </RowTable>
    <template #after>
      <p class="soft small pt-3">
        Amounts as weighed or measured back; ground counts each application. What the label or your authority
        asks for beyond this is theirs to say.
      </p>
    </template>
  </ListPlace>
</template>
