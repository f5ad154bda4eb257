<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { formatHours } from '#core/quantity/format'
import { dayLoad, dayWorking, fits } from '#core/program/weekPlan'
import type { WeekWork } from '#shared/schemas/season'

/** The week's steps put on days: looked at, moved, given to somebody, made into jobs in one go. */
useHead({ title: 'Plan the week · Hectarum' })
const library = useLibraryStore()
const { makeVisit } = useIntended()
const notice = useNotice()
const person = useSelfStore()
const room = ref({ sites: '4', hours: '8', people: '1' })
/** What was decided otherwise than proposed, by the id of the work: another day, or not this week. */
const moved = ref<Readonly<Record<string, string>>>({})
const given = ref<Readonly<Record<string, string>>>({})
const {
  answer: week,
  problem,
  loading,
  again,
} = useAnswer(() => questions.seasonWeek(room.value), refreshWeather)
const { answer: people } = useAnswers(questions.names)
watch(room, () => {
  moved.value = {}
})
const NOT = 'not this week'
const works = computed(() => [
  ...(week.value?.visits ?? []).flatMap(({ on, works: list }) => list.map((work) => ({ work, on }))),
  ...(week.value?.left ?? []).map((work) => ({ work, on: NOT })),
])
const dayOf = ({ work, on }: { readonly work: WeekWork; readonly on: string }) => moved.value[work.id] ?? on
/** What was moved to a day it was not dealt on goes to the first. */
const handOf = (on: string, siteId: string) =>
  week.value?.visits.find((visit) => visit.on === on && visit.siteId === siteId)?.hand ?? 0
/** Days with their sites as they are decided now; a day keeps the order it was proposed in. */
const days = computed(() =>
  [...(week.value?.days ?? []), NOT].flatMap((on) => {
    const own = works.value.filter((one) => dayOf(one) === on).map(({ work }) => work)
    const bySite = [...new Set(own.map(({ siteId }) => siteId))].map((siteId) => ({
      siteId,
      hand: handOf(on, siteId),
      works: own.filter((work) => work.siteId === siteId),
    }))
    return own.length === 0 ? [] : [{ on, sites: bySite }]
  }),
)
const planned = computed(() => days.value.filter(({ on }) => on !== NOT))
const visits = computed(() => planned.value.reduce((sum, day) => sum + day.sites.length, 0))
const weekday = (on: string) => (on === NOT ? 'Not this week' : weekdayText(on))
const dayChoices = (work: WeekWork) => [
  ...(week.value?.days ?? []).map((on) => {
    const day = work.days.find((one) => one.on === on)
    const told = day ? `, ${Math.round(day.score * 100)} %` : ', no forecast'
    return { value: on, text: `${shortWeekday(on)}${told}` }
  }),
  { value: NOT, text: NOT },
]
const ROOM = {
  sites: ['1', '2', '3', '4', '6', '8'].map((value) => ({ value, text: `${value} sites` })),
  hours: ['2', '4', '6', '8', '10', '12'].map((value) => ({ value, text: `${value} hours` })),
  people: ['1', '2', '3', '4', '6'].map((value) => ({
    value,
    text: value === '1' ? '1 person' : `${value} persons`,
  })),
}
const ROOM_LABELS = { sites: 'Sites a day', hours: 'Hours a day', people: 'Out at the same time' } as const
/** What a day takes as it is decided now, and whether it has room for it. */
function loadWords(list: readonly { readonly works: readonly WeekWork[] }[]) {
  const load = dayLoad(list.flatMap(({ works: own }) => own))
  const full = week.value && !fits(load, week.value.room)
  const unknown = load.unknown > 0 ? `, ${counted(load.unknown, 'work')} of unknown length in it` : ''
  return {
    working: dayWorking(list.flatMap(({ works: own }) => own)),
    words: `about ${formatHours(load.seconds)} h${unknown}`,
    full,
  }
}
const who = computed(() => [
  { value: '', text: 'nobody yet' },
  ...people.value.map((value) => ({ value, text: value })),
])
const handsOf = (list: readonly { readonly hand: number }[]) => [...new Set(list.map(({ hand }) => hand))]
const handLabel = (hand: number, list: readonly { readonly hand: number }[]) =>
  handsOf(list).length > 1 ? `Round ${hand + 1} given to` : 'Given to'
const hoursOf = (work: WeekWork, on: string) => work.days.find((one) => one.on === on)?.words ?? ''

const busy = ref(false)
/** A visit is one job: what is done on a site that day, in its order. */
async function make() {
  busy.value = true
  let made = 0
  try {
    await library.load()
    for (const { on, sites: list } of planned.value)
      for (const { siteId, hand, works: own } of list) {
        await makeVisit(on, siteId, own, given.value[`${on} ${hand}`] ?? '')
        made += 1
      }
  } catch (error) {
    notice.say(`${counted(made, 'job')} made; then it stopped.`, errorText(error))
    await again()
    moved.value = {}
    busy.value = false
    return
  }
  busy.value = false
  notice.say(`${counted(made, 'job')} made, as drafts.`)
  await navigateTo('/jobs')
}
</script>

<template>
  <div>
    <SeasonTabs />
    <ListPlace
      name="Plan the week"
      :loading="loading"
      :problem="problem"
      :empty="
        works.length === 0
          ? {
              words: 'No program asks for anything within a week that is not planned already.',
              action: 'See all lawns',
              to: '/season/board',
            }
          : undefined
      "
      @retry="again"
    >
      <template #head>
        <span class="ms-auto flex flex-wrap gap-2">
          <ChoiceField
            v-for="(label, name) in ROOM_LABELS"
            :key="name"
            bare
            :label="label"
            class="w-28"
            :value="room[name]"
            :choices="ROOM[name]"
            @change="room = { ...room, [name]: $event }"
          />
        </span>
        <UButton
          v-if="person.may('work')"
          :label="`Make ${counted(visits, 'job')}`"
          color="primary"
          variant="solid"
          :disabled="visits === 0"
          :loading="busy"
          @click="make"
        />
      </template>
      <section v-for="{ on, sites: list } in days" :key="on" class="mb-4" :aria-label="weekday(on)">
        <div class="flex flex-wrap items-end gap-x-4">
          <h2>{{ weekday(on) }}</h2>
          <template v-if="on !== NOT">
            <StateMark
              v-if="loadWords(list).full"
              level="warn"
              :words="`${loadWords(list).words}: more than the day has room for`"
            />
            <span v-else class="soft small">{{ loadWords(list).words }}</span>
            <InlineWorking :lines="loadWords(list).working" />
          </template>
          <template v-if="on !== NOT && people.length > 0">
            <ChoiceField
              v-for="hand in handsOf(list)"
              :key="hand"
              :bare="handsOf(list).length === 1"
              :label="handLabel(hand, list)"
              class="w-44"
              :value="given[`${on} ${hand}`] ?? ''"
              :choices="who"
              @change="given = { ...given, [`${on} ${hand}`]: $event }"
            />
          </template>
        </div>
        <ol>
          <li v-for="(visit, i) in list" :key="visit.siteId" class="rule-b visit">
            <strong class="figure">{{ on === NOT ? '' : i + 1 }}</strong>
            <div>
              <p class="font-semibold">
                {{ visit.works[0]?.site
                }}<span v-if="handsOf(list).length > 1" class="soft small font-normal">
                  · {{ given[`${on} ${visit.hand}`] || `round ${visit.hand + 1}` }}</span
                >
              </p>
              <div v-for="work in visit.works" :key="work.id" class="work">
                <span class="min-w-0">
                  {{ work.what }} <span class="soft">· {{ work.product }}</span>
                  <span class="small soft block"
                    >{{ work.areas.map(({ name }) => name).join(', ')
                    }}<template v-if="work.machine"> · {{ work.machine }}</template
                    ><template v-if="hoursOf(work, on)"> · {{ hoursOf(work, on) }}</template></span
                  >
                </span>
                <ChoiceField
                  bare
                  :label="`Day of ${work.what}, ${work.site}`"
                  class="w-44"
                  :value="on"
                  :choices="dayChoices(work)"
                  @change="moved = { ...moved, [work.id]: $event }"
                />
              </div>
            </div>
          </li>
        </ol>
      </section>
      <template #after>
        <div v-if="week && week.open.length > 0" class="mb-4">
          <h2>Of these no job is made</h2>
          <ul class="small soft">
            <li v-for="words in week.open" :key="words">{{ words }}</li>
          </ul>
        </div>
        <p class="soft small">
          Days by window, weather, hours, machines and the sites near each other; half an hour a site is
          counted for the way, weighing and mixing; the jobs are drafts, and each is held against its labels
          before it is planned.
        </p>
      </template>
    </ListPlace>
  </div>
</template>

<style scoped>
.visit {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  padding: 3px 0;
}
@media (max-width: 640px) {
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
