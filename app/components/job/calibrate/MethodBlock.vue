<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import { dayText } from '#core/calendar/dayText'
import { inForceFor, whyInForceFor } from '#core/draft/fromLibrary'
import { courseIn } from '#core/job/links/calibrate'

/** The equipment of this application and the calibration in force. */
const { document, sheet, set, locked, day, whenLoaded } = useSheet()
const library = useLibraryStore()
const { withEquipment } = useFromLibrary()
const machines = computed(() =>
  library.equipment.filter(
    ({ document: { kind } }) => kind === (document.value.method === 'spread' ? 'spreader' : 'sprayer'),
  ),
)

const machine = computed(() =>
  machines.value.find(({ id }) => id === document.value[document.value.method].source?.id),
)
const nozzles = computed(() =>
  machine.value?.document.kind === 'sprayer' ? machine.value.document.nozzles : undefined,
)
const own = computed(() =>
  library.calibrations.filter(({ equipmentId }) => equipmentId === machine.value?.id).toReversed(),
)
/** Why this one of several: only of the one that was taken by itself. */
const why = computed(() => {
  const { house } = crew.organization?.settings ?? {}
  const inForce = house && inForceFor(own.value, document.value, day.value, house)
  return inForce && inForce.id === document.value[document.value.method].calibration.source?.id
    ? whyInForceFor(own.value, document.value, day.value, house)
    : undefined
})
/** What it was calibrated with; the job's own product goes without saying. */
function calibratedWith(product: string | undefined, kind: 'spread' | 'spray'): string {
  if (document.value.products.some(({ name: own }) => own !== '' && own === product)) return ''
  return product || (kind === 'spray' ? 'water' : '')
}
/** The calibrations of the machine, newest first; what was typed into this job alone stands before them. */
const others = computed(() => [
  ...(document.value[document.value.method].calibration.source
    ? []
    : [{ value: '', text: 'typed for this job' }]),
  ...own.value.map(({ id, document: { kind, course } }) => ({
    value: id,
    text: [
      'setting' in course && course.setting && `Setting ${course.setting}`,
      dayText(course.on) || 'no date',
      calibratedWith(course.product, kind),
    ]
      .filter(Boolean)
      .join(', '),
  })),
])
function take(id: string) {
  const calibration = own.value.find((one) => one.id === id)
  if (machine.value && calibration)
    set('', withEquipment(document.value, machine.value, day.value, calibration))
}

/** Naming a saved machine brings its tank, reserve and calibration in force. */
function name(typed: string) {
  const called = machines.value.find((one) => one.name.toLowerCase() === typed.trim().toLowerCase())
  if (called && called.id !== machine.value?.id)
    return set('', withEquipment(document.value, called, day.value))
  set(`${document.value.method}.equipment`, typed)
  whenLoaded('equipment', () => name(document.value[document.value.method].equipment))
}
const shown = useShown()
const crew = useCrewStore()
const words = computed(() => (document.value.method === 'spread' ? 'Spreader' : 'Sprayer'))
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
    <h2 id="method-title" class="sr-only">{{ words }}</h2>
    <div class="fields items-end">
      <NameField
        class="machine"
        :label="words"
        :text="document[document.method].equipment"
        :names="machines"
        :path="`${document.method}.equipment`"
        :locked="locked"
        @change="name"
      />
      <QuantityField :path="`${document.method}.speedToday`" />
    </div>

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
            ><UIcon :name="ground.holds ? 'i-lucide-check' : 'i-lucide-triangle-alert'" class="sign" />{{
              ground.words
            }}</span
          ><span v-if="why" class="soft">{{ why }}</span>
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
    <ChoiceField
      v-if="others.length > 1"
      label="Calibration in use"
      class="max-w-[460px]"
      :value="document[document.method].calibration.source?.id ?? ''"
      :choices="others"
      :locked="locked"
      @change="take"
    />
    <CalibrationPicture v-if="machine" :machine="machine" />
    <UButton
      v-if="machine"
      variant="link"
      size="sm"
      icon="i-lucide-wrench"
      :label="`Go to ${machine.name}`"
      :to="`/equipment/${machine.id}`"
    />
    <UButton
      v-if="!locked && document[document.method].calibration.on === '' && sheet.calibration"
      variant="link"
      size="sm"
      @click="set(`${document.method}.calibration.on`, crew.today())"
    >
      Calibrated today
    </UButton>
  </section>
</template>

<style scoped>
.trust {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
.trust .sign {
  margin-right: 4px;
  vertical-align: -2px;
}
.against {
  color: var(--warn);
  font-weight: 600;
}
.machine {
  flex: 2 1 260px;
}
</style>
