<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import { dayText } from '#core/calendar/dayText'
import { courseIn } from '#core/job/links/calibrate'
import { MASS_UNITS, SPEED_UNITS, VOLUME_UNITS } from '#core/quantity/units'

/** The equipment of this application and the calibration in force. */
const { document, sheet, set, locked, day } = useSheet()
const library = useLibraryStore()
const { withEquipment } = useFromLibrary()
const listId = useId()
const machines = computed(() =>
  library.equipment.filter(
    ({ document: { kind } }) => kind === (document.value.method === 'spread' ? 'spreader' : 'sprayer'),
  ),
)

const nozzles = computed(() => {
  const machine = machines.value.find(({ id }) => id === document.value.spray.source?.id)?.document
  return machine?.kind === 'sprayer' ? machine.nozzles : undefined
})

const whenLoaded = useWhenLoaded()
/** Naming a saved machine brings its tank, reserve and calibration in force. */
function name(typed: string) {
  const machine = machines.value.find((one) => one.name.toLowerCase() === typed.trim().toLowerCase())
  if (machine && machine.id !== document.value[document.value.method].source?.id)
    return set('', withEquipment(document.value, machine, day.value))
  set(`${document.value.method}.equipment`, typed)
  whenLoaded('equipment', () => name(document.value[document.value.method].equipment))
}
const shown = useShown()
const crew = useCrewStore()
const words = computed(() => (document.value.method === 'spread' ? 'Spreader' : 'Sprayer'))
const passes = [
  ...[1, 2, 3, 4].map((count) => ({
    value: String(count),
    text: count === 1 ? 'one pass' : count === 2 ? 'two, at right angles' : `${count} passes`,
  })),
  { value: 'out', text: 'light ones, until it is out' },
]
const strategy = computed(() =>
  document.value.spread.until === 'out' ? 'out' : String(document.value.spread.passes),
)
const choosePasses = (chosen: string) =>
  set('spread', {
    ...document.value.spread,
    until: chosen === 'out' ? 'out' : '',
    ...(chosen !== 'out' && { passes: Number(chosen) }),
  })
const loadStyles = [
  { value: 'full-then-part', text: 'full loads, then a part' },
  { value: 'equal', text: 'equal loads' },
  { value: 'by-area', text: 'ending where lawns end' },
] as const
const sharing = [
  { value: '', text: 'for this site alone' },
  { value: 'day', text: 'one mix with the day’s others' },
] as const

/** The calibration in one sentence, as somebody would say it at the tailgate. */
const sentence = computed(() => {
  const calibration = sheet.value.calibration
  if (!calibration) return undefined
  const gives =
    document.value.method === 'spread'
      ? shown.rate(calibration.perPass, 'mass')
      : shown.carrier(calibration.perPass)
  const pace = calibration.speedToday ? shown.speed(calibration.speedToday) : undefined
  return {
    gives,
    pace,
    runs: calibration.measured.count,
    within:
      calibration.measured.sd === undefined
        ? undefined
        : `${((100 * calibration.measured.sd) / calibration.measured.mean).toFixed(1)} %`,
  }
})
</script>

<template>
  <section aria-labelledby="method-title" class="space-y-2">
    <FormFold :section="document.method" :words="words">
      <template #line>
        <h2 id="method-title" class="sr-only">{{ words }}</h2>
        <input
          class="machine"
          :value="document[document.method].equipment"
          :aria-label="words"
          :placeholder="words"
          :list="listId"
          :data-path="`${document.method}.equipment`"
          :disabled="locked"
          maxlength="200"
          autocomplete="off"
          @input="name(($event.target as HTMLInputElement).value)"
        />
        <datalist :id="listId">
          <option v-for="machine in machines" :key="machine.id" :value="machine.name" />
        </datalist>
      </template>
      <div class="grid grid-cols-2 gap-2 pb-2">
        <template v-if="document.method === 'spread'">
          <ChoiceField
            path="spread.passes"
            label="Passes"
            :value="strategy"
            :choices="passes"
            :locked="locked"
            @change="choosePasses"
          />
          <FormQuantity
            path="spread.reserve"
            label="Reserve in the hopper"
            kind="mass"
            :entered="document.spread.reserve"
            :units="MASS_UNITS"
          />
          <FormText path="spread.dial" label="Dial today, if other" :text="document.spread.dial ?? ''" />
          <FormQuantity
            path="spread.speedToday"
            label="Speed today, if other"
            kind="speed"
            :entered="document.spread.speedToday"
            :units="SPEED_UNITS"
          />
        </template>
        <template v-else>
          <FormQuantity
            path="spray.dead"
            label="Stays in hose, boom"
            kind="volume"
            :entered="document.spray.dead"
            :units="VOLUME_UNITS"
          />
          <FormQuantity
            path="spray.agitate"
            label="Agitates from"
            kind="volume"
            :entered="document.spray.agitate"
            :units="VOLUME_UNITS"
          />
          <FormChoice path="spray.loads" label="Loads" :value="document.spray.loads" :choices="loadStyles" />
          <FormChoice
            path="spray.shared"
            label="The mix is"
            :value="document.spray.shared ?? ''"
            :choices="sharing"
          />
          <FormQuantity
            path="spray.speedToday"
            label="Speed today, if other"
            kind="speed"
            :entered="document.spray.speedToday"
            :units="SPEED_UNITS"
          />
        </template>
      </div>
    </FormFold>
    <FormQuantity
      v-if="document.method === 'spray'"
      path="spray.tank"
      :label="document.spray.calibration.by === 'hose-end' ? 'Bottle, filled to' : 'Tank, filled to'"
      kind="volume"
      :entered="document.spray.tank"
      :units="VOLUME_UNITS"
    />

    <FormFold :section="`${document.method}.calibration`" words="calibration">
      <template #line>
        <p v-if="sentence">
          <strong><FigureText :shown="sentence.gives" page="calibration" label="Calibration" /></strong>
          <template v-if="document.method === 'spread'">
            a pass<template v-if="document.spread.calibration.setting">
              at setting {{ document.spread.calibration.setting }}</template
            ></template
          >
          <template v-if="sentence.pace"> at {{ sentence.pace.figure }} {{ sentence.pace.unit }}</template
          >, {{ sentence.runs }} {{ plural(sentence.runs, 'run')
          }}<template v-if="sentence.within">, within {{ sentence.within }}</template
          >.
          <span class="soft">{{ dayText(document[document.method].calibration.on) }}</span>
        </p>
        <p v-if="sentence && sheet.trust.length > 0" class="small trust">
          <span class="sr-only">Whether it can be trusted: </span
          ><span v-for="ground in sheet.trust" :key="ground.about" :class="ground.holds ? 'soft' : 'against'"
            ><span aria-hidden="true">{{ ground.holds ? '●' : '▲' }} </span>{{ ground.words }}</span
          >
        </p>
        <p v-if="!sentence" class="soft">
          Not calibrated yet: spread or spray a taped course and say what it took.
        </p>
      </template>
      <CourseFields
        :course="courseIn(document)"
        :path="`${document.method}.calibration`"
        :product="document.products[0]?.name"
        :nozzles="nozzles"
      />
    </FormFold>
    <button
      v-if="!locked && document[document.method].calibration.on === '' && sheet.calibration"
      type="button"
      class="plain-button way-out small"
      @click="set(`${document.method}.calibration.on`, crew.today())"
    >
      Calibrated today
    </button>
  </section>
</template>

<style scoped>
.trust {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
.trust [aria-hidden] {
  margin-right: 4px;
}
.against {
  color: var(--warn);
  font-weight: 600;
}
.machine {
  background: transparent;
  border: 0;
  border-bottom: 1px dashed transparent;
  width: 100%;
  font-weight: 600;
  min-height: 28px;
  text-overflow: ellipsis;
}
.machine::placeholder {
  color: var(--soft);
  opacity: 1;
  font-weight: 400;
}
.machine:hover:not(:disabled),
.machine:placeholder-shown {
  border-bottom-color: var(--rule-strong);
}
</style>
