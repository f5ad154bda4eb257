<script setup lang="ts">
import type { CheckCode } from '#core/rules/check'
import { prettyUnits } from '#core/quantity/systems'
import { RULES } from '#core/rules/registry'
import type { RefusalRow } from '#shared/schemas/refusal'

/**
 * Every rule that can stop, warn or note: what it looks at, its limit, its source, and what it stopped
 * lately.
 */
useHead({ title: 'Rules · Hectarum' })
const crew = useCrewStore()
const words = ref('')
const refusals = shallowRef<readonly RefusalRow[]>([])
const problem = ref<string>()
try {
  refusals.value = await $fetch<readonly RefusalRow[]>(crewUrl('/refusals'))
} catch (error) {
  problem.value = errorText(error)
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
    `${settings.local.length} local ${settings.local.length === 1 ? 'rule' : 'rules'}`,
    `${settings.mixes.length} jar ${settings.mixes.length === 1 ? 'test' : 'tests'}`,
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
      <NuxtLink to="/settings" class="way-out">Settings</NuxtLink>
    </p>
    <div class="filters" role="search"><SearchField v-model="words" label="Rule, limit, source" /></div>
    <p v-if="problem" class="small" role="alert">What was stopped lately can’t be told: {{ problem }}</p>
    <p v-if="families.length === 0" class="soft">No rule says that.</p>
    <section v-for="family in families" :key="family.name" class="mt-5">
      <h2>{{ family.name }}</h2>
      <table class="list">
        <thead>
          <tr>
            <th scope="col">Looks at</th>
            <th scope="col">says</th>
            <th scope="col">limit</th>
            <th scope="col">source</th>
            <th scope="col">stopped lately</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="rule in family.rules" :key="rule.codes.join(' ')">
            <th scope="row">{{ rule.looksAt }}</th>
            <td data-label="says">{{ rule.level }}</td>
            <td data-label="limit">{{ prettyUnits(rule.limit) }}</td>
            <td data-label="source" class="soft small">{{ rule.source }}</td>
            <td data-label="stopped lately" class="small">
              <template v-for="refusal in stoppedBy(rule.codes)" :key="refusal.at + refusal.applicationId">
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
              <span v-if="stoppedBy(rule.codes).length === 0" class="soft">none</span>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </main>
</template>

<style scoped>
.list {
  table-layout: fixed;
}
@media (min-width: 761px) {
  .list th:nth-child(1) {
    width: 26%;
  }
  .list th:nth-child(2) {
    width: 13%;
  }
  .list th:nth-child(3) {
    width: 24%;
  }
}
.list td,
.list th {
  vertical-align: top;
  overflow-wrap: anywhere;
}
</style>
