<script setup lang="ts">
import { compareVariants, type Side, type Variant } from '#core/job/compare/compareVariants'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { prettyUnits } from '#core/quantity/systems'
import { formatMinutes } from '#core/quantity/format'

/** What if: the application as it stands beside a variant of it, figure by figure; one of them is kept. */
const route = useRoute()
const id = String(route.params.id)
const crew = useCrewStore()
const library = useLibraryStore()
const shown = useShown()
const { draft, stored, loadProblem, load, change, save } = useJobDraft(id)
await load()
await Promise.all([library.load(), library.loadAreas(draft.value?.siteId ?? null, id)]).catch(() => undefined)
useHead({ title: () => `What if · ${draft.value?.site ?? ''}` })
const index = computed(() =>
  Math.min((draft.value?.applications.length ?? 1) - 1, Math.max(0, Number(route.query.a ?? 1) - 1 || 0)),
)
const current = computed(() => draft.value?.applications[index.value]?.document)
const variant = shallowRef<ApplicationDraft>()
watch(
  current,
  (document) => {
    variant.value ??= document
  },
  { immediate: true },
)
/** The visit with the variant in the place of the application. */
const withVariant = computed(() =>
  (draft.value?.applications ?? []).map((one, i) =>
    i === index.value && variant.value ? { ...one, document: variant.value } : one,
  ),
)
const frozen = computed(() => stored.value?.applications[index.value]?.frozen)
const [a, b] = [shallowRef<Variant>(), shallowRef<Variant>()]
const rows = computed(() => (a.value && b.value ? compareVariants(a.value, b.value) : []))
const same = computed(() => rows.value.every(({ differs }) => !differs))
const started = computed(() => stored.value?.state === 'running' || stored.value?.state === 'done')
const back = computed(() => `/jobs/${id}${index.value === 0 ? '' : `?a=${index.value + 1}`}`)

function told(side: Side, kind: string): { figure: string; unit: string } {
  if (side === undefined || side === '') return { figure: '–', unit: '' }
  if (typeof side === 'object') return shown.amount(side)
  if (typeof side === 'string') return { figure: side, unit: '' }
  switch (kind) {
    case 'metres':
      return shown.distance(side)
    case 'seconds':
      return { figure: formatMinutes(side), unit: 'min' }
    case 'money':
      return { figure: side.toFixed(2), unit: crew.organization?.settings.currency ?? 'USD' }
    case 'nitrogen':
      return shown.rate(side, 'mass')
    default:
      return { figure: String(side), unit: '' }
  }
}

async function keepVariant() {
  const kept = variant.value
  if (!kept || !draft.value) return
  change({
    applications: draft.value.applications.map((one, i) =>
      i === index.value ? { ...one, document: kept } : one,
    ),
  })
  await save()
  await navigateTo(back.value)
}
const columns = [
  { key: 'label', head: 'Figure' },
  { key: 'a', head: 'as it is', numeric: true },
  { key: 'b', head: 'variant', numeric: true },
] as const
useScreenCommands(() => [
  { id: 'keep-variant', label: 'Keep the variant', key: 'ctrl+enter', run: keepVariant },
  { id: 'back', label: 'Keep the job as it is', key: 'escape', run: () => navigateTo(back.value) },
])
</script>

<template>
  <main v-if="draft && current && variant" class="page">
    <div class="page-head">
      <h1>What if</h1>
      <p class="soft">{{ draft.site }} · {{ draft.purpose }}</p>
      <UButton label="Keep the job as it is" :to="back" />
      <UButton
        v-if="!started"
        label="Keep the variant"
        color="primary"
        variant="solid"
        :disabled="same"
        aria-keyshortcuts="Control+Enter"
        @click="keepVariant"
      />
    </div>
    <WhatIfSide
      :applications="draft.applications"
      :index="index"
      :planned-for="draft.plannedFor"
      :locked="started"
      :frozen="frozen"
      @worked="a = $event"
    />
    <div class="sides">
      <WhatIfSide
        :applications="withVariant"
        :index="index"
        :planned-for="draft.plannedFor"
        :locked="started"
        @change="variant = $event"
        @worked="b = $event"
      >
        <p class="soft small">
          Change the variant here: another machine, passes, rates, lawns. The job stays as it is until you
          keep the variant.
        </p>
        <ProductList /><MethodBlock /><LoadFields /><WalkFields /><GroundList /><ConditionFields />
      </WhatIfSide>
      <section aria-labelledby="compare-title">
        <h2 id="compare-title">Side by side</h2>
        <p class="small soft" aria-live="polite">
          {{
            same
              ? 'Nothing differs yet.'
              : `${rows.filter(({ differs }) => differs).length} of ${rows.length} figures differ.`
          }}
        </p>
        <RowTable
          caption="The job as it is and the variant"
          stacked
          :rows="rows"
          :columns="columns"
          :key-of="({ label }) => label"
        >
          <template #label="{ row }"
            ><span :class="{ 'font-semibold': row.differs }">{{ row.label }}</span
            ><span v-if="row.differs" class="sr-only"> differs</span></template
          >
          <template #a="{ row }"><FigureText :shown="told(row.a, row.kind)" /></template>
          <template #b="{ row }"
            ><span :class="{ 'font-semibold': row.differs }"
              ><UIcon v-if="row.differs" name="i-lucide-diamond" class="me-1 align-[-2px]" /><FigureText
                :shown="told(row.b, row.kind)"
                :page="row.b === undefined ? undefined : row.page"
                :label="`${row.label}, variant`" /></span
          ></template>
        </RowTable>
        <ul v-if="b" class="mt-3 small">
          <li
            v-for="check in b.sheet.checks.filter(({ level }) => level !== 'note')"
            :key="check.message"
            class="rule-b py-1"
          >
            <StateMark
              :level="check.level === 'stop' ? 'stop' : 'warn'"
              :words="prettyUnits(check.message)"
            />
          </li>
        </ul>
      </section>
    </div>
  </main>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  gap: 0 36px;
  margin-top: 8px;
}
.differs td,
.differs th {
  font-weight: 600;
}
.differs td:last-child {
  color: var(--action);
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
}
</style>
