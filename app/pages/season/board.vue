<script setup lang="ts">
import { seasonDue } from '#core/season/seasonDue'
import { counted } from '#core/quantity/counting'
import { dayText } from '#core/calendar/dayText'
import type { BoardRow } from '#shared/schemas/program'

/** All lawns at once: what presses, what is open, what opens within two weeks. */
useHead({ title: 'All lawns · Hectarum' })
const crew = useCrewStore()
const person = useSelfStore()
const { planStep } = useIntended()
const { startJobAt } = useNewJob()
const { answer: rows, problem, loading, again } = useAnswers(questions.seasonBoard, refreshWeather)
const priority = ref<'' | BoardRow['priority']>('')
const PRIORITIES = [
  { value: '', text: 'every lawn' },
  { value: 'high', text: 'high priority' },
  { value: 'normal', text: 'normal priority' },
  { value: 'low', text: 'low priority' },
] as const
const shown = computed(() => rows.value.filter((row) => !priority.value || row.priority === priority.value))
const dueOf = (states: readonly string[]) =>
  seasonDue(
    shown.value.map((row) => ({
      ...row,
      next: states.includes('ahead') ? [] : row.next,
      steps: row.due.filter(({ state }) => states.includes(state)),
    })),
    crew.today(),
  )
const now = computed(() => dueOf(['open', 'late']))
const groups = computed(() => [
  { title: 'Can’t wait', rows: now.value.filter(({ presses }) => presses) },
  { title: 'Open now', rows: now.value.filter(({ presses }) => !presses) },
  { title: 'Opens within two weeks', rows: dueOf(['ahead']) },
])
const quiet = computed(
  () => shown.value.filter(({ due, next }) => due.length === 0 && next.length === 0).length,
)
type Due = ReturnType<typeof seasonDue>[number]

/** A job on those lawns: by the step of their program, else as an empty one. */
async function plan({ what, siteId, site, areas }: Due) {
  const ids = areas.map(({ id }) => id)
  const step = rows.value.find(({ areaId }) => areaId === ids[0])?.due.find(({ title }) => title === what)
  if (step) return planStep(step, siteId, site, ids)
  const all = await ask(questions.areas(siteId))
  await startJobAt(
    siteId,
    site,
    all.filter(({ id }) => ids.includes(id)),
  )
}
const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')
</script>

<template>
  <div>
    <SeasonTabs />
    <ListPlace
      name="All lawns"
      :loading="loading"
      :problem="problem"
      :empty="
        rows.length === 0
          ? { words: 'No lawn yet: measure the first one.', action: 'Go to the sites', to: '/sites' }
          : undefined
      "
      @retry="again"
    >
      <template #head>
        <ChoiceField
          bare
          label="Which lawns"
          class="ms-auto w-44"
          :value="priority"
          :choices="PRIORITIES"
          @change="priority = $event"
        />
        <UButton v-if="person.may('work')" label="Plan the week" to="/season/week" icon="i-lucide-route" />
      </template>
      <section v-for="group in groups" :key="group.title" :aria-label="group.title" class="mt-3 mb-5">
        <h2>{{ group.title }}</h2>
        <p v-if="group.rows.length === 0" class="soft">Nothing.</p>
        <ul>
          <li v-for="one in group.rows" :key="`${one.siteId} ${one.what}`" class="rule-b due">
            <UIcon
              :name="one.presses ? 'i-lucide-triangle-alert' : 'i-lucide-calendar-range'"
              class="mt-1 size-[18px]"
            />
            <div class="min-w-0">
              <p>
                <strong class="font-semibold">{{ one.what }}</strong>, {{ one.site }}
              </p>
              <p class="small soft">
                <template v-for="(area, i) in one.areas" :key="area.id"
                  ><template v-if="i > 0">, </template
                  ><NuxtLink :to="`/season/${area.id}`" class="way-out">{{ area.name }}</NuxtLink></template
                ><template v-if="one.reason"> · {{ one.reason }}</template>
              </p>
            </div>
            <span class="small whitespace-nowrap">{{ one.until ? `until ${short(one.until)}` : '' }}</span>
            <UButton
              v-if="person.may('work') && one.asks === 'work'"
              variant="link"
              size="sm"
              @click="plan(one)"
              >Plan it<span class="sr-only">: {{ one.what }}, {{ one.site }}</span></UButton
            >
          </li>
        </ul>
      </section>
      <p class="soft small">
        Nothing to do on {{ counted(quiet, 'lawn') }} of {{ shown.length }}. Models, not measurements: the
        label, your probe and a look at the lawn come first.
      </p>
    </ListPlace>
  </div>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto auto;
  gap: 4px 12px;
  padding: 8px 0;
  align-items: start;
}
@media (max-width: 640px) {
  .due {
    grid-template-columns: 24px minmax(0, 1fr) auto;
  }
  .due > :nth-child(3) {
    grid-area: 2 / 2;
  }
  .due > :nth-child(4) {
    grid-area: 1 / 3;
  }
}
</style>
