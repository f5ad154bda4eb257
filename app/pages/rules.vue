<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { CheckCode } from '#core/rules/check'
import { prettyUnits } from '#core/quantity/systems'
import { RULES } from '#core/rules/registry'

/**
 * Every rule that can stop, warn or note: what it looks at, its limit, its source, and what it stopped
 * lately.
 */
useHead({ title: 'Rules · Hectarum' })
const crew = useCrewStore()
const words = ref('')
const { answer: refusals, problem } = useAnswers(questions.refusals)
const COLUMNS = [
  { accessorKey: 'looksAt', header: 'Looks at' },
  { accessorKey: 'level', header: 'says' },
  { accessorKey: 'limit', header: 'limit' },
  { accessorKey: 'source', header: 'source' },
  { id: 'stopped', header: 'stopped lately' },
]
/** Even columns on a desk; on a phone each rule is a small block of its own. */
const TABLE = {
  base: 'w-full table-fixed max-sm:block',
  caption: 'sr-only',
  thead: 'max-sm:sr-only',
  tbody: 'max-sm:block divide-(--rule)',
  tr: 'max-sm:block max-sm:py-2',
  th: 'py-1.5 pl-0 pr-3 font-normal text-[13.5px] text-(--soft)',
  td: 'max-sm:block max-sm:py-0.5 py-2 pl-0 pr-3 align-top whitespace-normal text-[14.5px] text-(--ink)',
}
const MOST = 3
const stoppedBy = (codes: readonly CheckCode[]) =>
  refusals.value.filter(({ code }) => codes.includes(code)).slice(0, MOST)
const families = computed(() =>
  RULES.map(({ name, rules }) => ({
    name,
    rules: rules.filter(({ looksAt, limit, source, level, codes }) =>
      [name, looksAt, limit, source, level, ...codes]
        .join(' ')
        .toLowerCase()
        .includes(words.value.trim().toLowerCase()),
    ),
  })).filter(({ rules }) => rules.length > 0),
)
const house = computed(() => {
  const settings = crew.organization?.settings
  if (!settings) return []
  const { calibrationDays, groupRun, good, acceptable, repeatMargin } = settings.house
  const percent = (share: number) => `${Math.round(share * 1000) / 10} %`
  return [
    `a calibration is trusted for ${calibrationDays} days`,
    `${groupRun} of one mode-of-action group in a row`,
    `good within ${percent(good)}, acceptable within ${percent(acceptable)}`,
    `repeats ${percent(repeatMargin)} of the interval early`,
    `${settings.local.length} local ${plural(settings.local.length, 'rule')}`,
    `${settings.mixes.length} jar ${plural(settings.mixes.length, 'test')}`,
  ]
})
</script>

<template>
  <main class="page">
    <h1>Rules</h1>
    <p class="soft small max-w-3xl">
      What is asked of every job before it is planned and before it is run. The label is the law; local rules
      and the house’s own limits stand beside it and are yours to set.
    </p>
    <p class="small mt-2 max-w-3xl">
      <strong>This house:</strong> {{ house.join('; ') }}.
      <NuxtLink to="/settings/house" class="way-out">Settings</NuxtLink>
    </p>
    <div class="filters" role="search"><SearchField v-model="words" label="Rule, limit, source" /></div>
    <p v-if="problem" class="small" role="alert">What was stopped lately can’t be told: {{ problem }}</p>
    <p v-if="families.length === 0" class="soft">No rule says that.</p>
    <section v-for="family in families" :key="family.name" class="mt-5">
      <h2>{{ family.name }}</h2>
      <UTable :data="[...family.rules]" :columns="COLUMNS" :ui="TABLE" :caption="family.name">
        <template #level-cell="{ row }"
          ><span class="soft small sm:hidden">says </span>{{ row.original.level }}</template
        >
        <template #limit-cell="{ row }"
          ><span class="soft small sm:hidden">limit </span>{{ prettyUnits(row.original.limit) }}</template
        >
        <template #source-cell="{ row }"
          ><span class="soft small sm:hidden">source </span>{{ row.original.source }}</template
        >
        <template #stopped-cell="{ row }">
          <span class="soft small sm:hidden">stopped lately </span>
          <template
            v-for="refusal in stoppedBy(row.original.codes)"
            :key="refusal.at + refusal.applicationId"
          >
            <NuxtLink
              v-if="refusal.jobId"
              :to="`/jobs/${refusal.jobId}`"
              :title="refusal.message"
              class="way-out block"
              >{{ refusal.site || 'a job' }}, {{ instantText(refusal.at, crew.organization?.timeZone) }}
            </NuxtLink>
            <span v-else class="block"
              >a job that is gone, {{ instantText(refusal.at, crew.organization?.timeZone) }}</span
            >
          </template>
          <span v-if="stoppedBy(row.original.codes).length === 0" class="soft">none</span>
        </template>
      </UTable>
    </section>
  </main>
</template>
