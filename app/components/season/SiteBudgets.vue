<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { counted } from '#core/quantity/counting'
import type { SectionShare } from '#core/program/sectionBudget'
import { leavingOut, withChanges } from '#core/program/stepChanges'
import type { Figure } from '#core/working/figures'
import type { Purchases } from '#shared/schemas/program'

/** Sites with a budget: what the year costs section by section, and what the money does not reach. */
defineProps<{ budgets: Purchases['budgets'] }>()
const emit = defineEmits<{ changed: [] }>()
const crew = useCrewStore()
const person = useSelfStore()
const notice = useNotice()
const currency = computed(() => crew.organization?.settings.currency ?? '')
const money = (figure: number) => figure.toFixed(2)
const pageOf = (siteId: string): Figure => `budget.${siteId}`
const STATES = { within: 'good', over: 'warn', unknown: 'open' } as const
const STATE_WORDS = { within: 'within it', over: 'over it', unknown: 'not all of it is known' } as const
const missing = ({ unpriced }: Purchases['budgets'][number]) =>
  unpriced.length > 0 ? `No price for ${unpriced.join(', ')}: not counted.` : ''
const beyondWords = ({ beyond }: SectionShare) =>
  beyond.map(({ title, on, cost }) => `${title} on ${dayText(on)}, ${money(cost)}`).join('; ')

/** What the money does not reach is left out of this lawn's program; there it can be brought back. */
async function leaveOut({ areaId, area, beyond }: SectionShare) {
  try {
    const [applied] = await ask(questions.areaProgramsOf(areaId))
    if (!applied) return
    const { id, version, programId, document } = applied
    const kept = [...withChanges(document.changes, beyond.map(leavingOut))]
    await tell('PUT', `/library/areaPrograms/${id}`, {
      version,
      areaId,
      programId,
      document: { ...document, changes: kept },
    })
    notice.say(`Left out on ${area}: ${counted(beyond.length, 'step')}. Its season brings them back.`)
  } catch (error) {
    notice.say('The program was not changed.', errorText(error))
  }
  emit('changed')
}
</script>

<template>
  <section v-for="one in budgets" :key="one.siteId" class="mt-5" :aria-label="`Budget of ${one.site}`">
    <h2>{{ one.site }}: the year against its budget</h2>
    <p class="flex flex-wrap items-baseline gap-x-3">
      <span
        ><FigureText
          :shown="{ figure: money(one.whole), unit: currency }"
          :page="pageOf(one.siteId)"
          label="Cost of the year"
        />
        of {{ money(one.budget) }}</span
      >
      <StateMark :level="STATES[one.state]" :words="STATE_WORDS[one.state]" />
      <span class="soft small">{{ missing(one) }}</span>
    </p>
    <ul>
      <li v-for="section in one.sections" :key="section.areaId" class="rule-b section">
        <span class="min-w-0">
          <NuxtLink :to="`/season/${section.areaId}`" class="way-out">{{ section.area }}</NuxtLink>
          <span class="soft"> · priority {{ section.priority }}</span>
          <span class="small soft block"
            >{{ money(section.spent) }} laid or in jobs, {{ money(section.ahead) }} to come</span
          >
          <span v-if="section.beyond.length > 0" class="small block"
            >the money does not reach: {{ beyondWords(section) }}</span
          >
        </span>
        <UButton
          v-if="section.beyond.length > 0 && person.may('work')"
          size="sm"
          label="Leave them out"
          :aria-label="`Leave them out on ${section.area}`"
          @click="leaveOut(section)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.section {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
  padding: 8px 0;
}
</style>
