<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { probeDepth, showTemperature, temperatureSpanIn } from '#core/quantity/toldTemperature'
import { toldIndex } from '#core/weather/diseaseIndices'
import { counted } from '#core/quantity/counting'
import { yearRows } from '#core/season/yearRows'
import type { Figure } from '#core/working/figures'

/** One lawn's year: its soil, what protects and feeds it, the windows, and what is next. */
useHead({ title: 'Season · Hectarum' })
const crew = useCrewStore()
const person = useSelfStore()
const route = useRoute()
const { startJobAt } = useNewJob()
const { answer: places, problem: placesProblem } = useAnswer(questions.seasonPlaces, refreshWeather)
const areaId = computed(() => {
  const asked = String(route.params.areaId ?? '')
  return places.value?.some((place) => place.areaId === asked) ? asked : places.value?.[0]?.areaId
})
const {
  answer: page,
  problem: pageProblem,
  again,
} = useAnswer(() => (areaId.value === undefined ? undefined : questions.season(areaId.value)))
const problem = computed(() => placesProblem.value ?? pageProblem.value)
const choices = computed(() =>
  (places.value ?? []).map((place) => ({ value: place.areaId, text: `${place.site}, ${place.area}` })),
)
const choose = (id: string) => navigateTo(`/season/${id}`)

const season = computed(() => page.value?.season)
const today = computed(() => season.value?.soil.find(({ on }) => on === page.value?.today))
/** The soil of today with its give or take. */
const soilToday = computed(() => {
  const { soil, give } = today.value ?? {}
  return soil === undefined || give === undefined
    ? undefined
    : {
        shown: showTemperature(soil, crew.temperatureUnit),
        give: temperatureSpanIn(give, crew.temperatureUnit).toFixed(1),
      }
})
const NO_PLACE =
  'Where this lawn lies is not known: its seasons are those of the northern half. Give its plan a place, ' +
  'or its station a latitude.'
const depth = computed(() => {
  const { text, unit } = probeDepth(crew.units)
  return `${text} ${unit}`
})
const source = computed(() => {
  if (!page.value?.station) return 'no weather station yet'
  const { readings } = page.value.season.fit
  const fitted = readings === 0 ? 'no probe read yet' : `fitted to ${counted(readings, 'probe reading')}`
  return `${page.value.today.slice(0, 4)} · soil at ${depth.value} by ${page.value.station.name}, ${fitted}`
})
const rows = computed(() =>
  page.value ? yearRows(page.value.season, page.value.today, page.value.area.overseeding) : [],
)

useWorkingPages(
  () => (page.value?.working ?? []).map(({ figure, lines }) => ({ figure: figure as Figure, lines })),
  computed(
    () =>
      new Map(
        (season.value?.regulators ?? []).map(({ product }, i): [Figure, string] => [
          `heatUnits.${i}`,
          `Heat units since ${product}`,
        ]),
      ),
  ),
)
const working = useWorkingStore()

/** A job on this lawn, as the library has it now. */
async function planHere() {
  const { site, area } = page.value ?? {}
  if (!site || !area) return
  const areas = await ask(questions.areas(site.id))
  await startJobAt(
    site.id,
    site.name,
    areas.filter(({ id }) => id === area.id),
  )
}
</script>

<template>
  <div>
    <SeasonTabs />
    <main v-if="places">
      <header class="rule-b head">
        <h1>Season</h1>
        <ChoiceField
          v-if="areaId"
          bare
          label="Lawn"
          class="place"
          :value="areaId"
          :choices="choices"
          @change="choose"
        />
        <p v-if="page" class="soft source">{{ source }}</p>
        <span class="ms-auto flex gap-2">
          <CueEntry v-if="page && person.may('work')" :site-id="page.site.id" @saved="again" />
          <WeatherEntry v-if="person.may('work')" :station="page?.station" @saved="again" />
          <ProbeEntry v-if="page && person.may('work')" :area-id="page.area.id" @saved="again" />
        </span>
      </header>
      <p v-if="problem" role="alert" class="px-6 py-3">{{ problem }}</p>
      <EmptyState
        v-if="places.length === 0"
        words="No lawn yet. A season is told lawn by lawn: measure the first one."
        action="Go to the sites"
        to="/sites"
      />
      <template v-else-if="page && season">
        <section class="year" aria-labelledby="soil-title">
          <div class="side">
            <h2 id="soil-title">Soil today</h2>
            <p v-if="soilToday" class="today">
              <FigureText :shown="soilToday.shown" page="soil" label="Soil today" /><span class="unit"
                >± {{ soilToday.give }}</span
              >
            </p>
            <p v-else class="soft small">not known</p>
            <p class="soft small">
              line: from the weather<br />dots: your probe<br />dashes: as years usually are
            </p>
          </div>
          <SoilChart v-if="season.soil.length > 0" :season="season" :today="page.today" />
          <p v-else class="soft py-6">
            {{
              page.station
                ? `${page.station.name} has no days of this year yet: type the highs and lows under Weather.`
                : 'No weather yet: make a station under Weather, or type highs and lows.'
            }}
          </p>
        </section>
        <p v-for="hole in season.holes" :key="hole.from" class="px-6 py-1">
          <StateMark
            level="warn"
            :words="`No weather ${dayText(hole.from)} to ${dayText(hole.to)}: nothing counts across it.`"
          />
        </p>
        <p v-if="page.latitudeFrom === 'nowhere'" class="px-6 py-1">
          <StateMark level="warn" :words="NO_PLACE" />
        </p>
        <YearLines :rows="rows" :today="page.today" />
        <div class="columns">
          <section aria-labelledby="next-title">
            <h2 id="next-title">Next on this lawn</h2>
            <ul v-if="page.next.length > 0">
              <li v-for="one in page.next" :key="one.what + one.reason" class="rule-b next">
                <UIcon :name="one.presses ? 'i-lucide-triangle-alert' : 'i-lucide-info'" class="sign" />
                <div class="min-w-0">
                  <p>
                    <strong>{{ one.what }}</strong>
                  </p>
                  <p class="soft small">{{ one.reason }}</p>
                </div>
                <UButton
                  v-if="person.may('work') && one.asks === 'work'"
                  variant="link"
                  label="Plan it"
                  @click="planHere"
                />
              </li>
            </ul>
            <p v-else class="soft mt-2">Nothing is open on this lawn today.</p>
            <GapRepeats
              :lines="season.lines"
              :today="page.today"
              :area-id="page.area.id"
              :site="page.site"
              class="mt-2"
            />
            <AreaProgram :area-id="page.area.id" :site="page.site" class="mt-5" @changed="again" />
          </section>
          <section aria-labelledby="windows-title">
            <h2 id="windows-title">Windows</h2>
            <WindowList :page="page" />
            <p v-for="index in season.indices" :key="index.name" class="small mt-2">
              {{ index.name === 'dollar spot' ? 'Dollar spot' : 'Brown patch' }} on {{ dayText(index.on) }}:
              <strong>{{ toldIndex(index).value }}</strong> (act at {{ toldIndex(index).actAt }})
            </p>
            <GrowthCurve v-for="one in season.regulators" :key="one.product" :count="one" class="mt-3" />
            <UButton variant="link" size="sm" @click="working.show()">Show working</UButton>
          </section>
        </div>
        <p class="soft small px-6 pb-6">
          Models, not measurements: the label, your probe and a look at the lawn come first.
        </p>
      </template>
    </main>
    <p v-else-if="problem" role="alert" class="p-6">{{ problem }}</p>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  padding: 12px 24px;
}
.place {
  min-width: 200px;
  max-width: 320px;
}
.year {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  padding: 8px 24px 0;
}
.side {
  padding-top: 10px;
}
.today {
  font-size: 22px;
}
.next {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  align-items: start;
  padding: 10px 0;
}
.sign {
  width: 18px;
  height: 18px;
  margin-top: 3px;
}
@media (max-width: 760px) {
  .head {
    padding: 8px 16px;
  }
  .source {
    display: none;
  }
  .year {
    display: block;
    padding: 0 16px;
  }
}
</style>
