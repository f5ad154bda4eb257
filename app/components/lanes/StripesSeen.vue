<script setup lang="ts">
import { typedFigure } from '#core/quantity/entered'
import { fromNorth } from '#core/lanes/plan/lanePlan'
import { typedDirection } from '#core/job/lanes/readLanes'
import { stripeCause } from '#core/lanes/stripes/stripeCause'
import { fieldReader } from '#core/quantity/fieldReader'
import { figureField } from '#core/quantity/figureField'
import { lengthSi } from '#core/quantity/quantity'
import type { Entered } from '#core/quantity/entered'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { LENGTH_UNITS, type LengthUnit } from '#core/quantity/units'
import { openWorkingBook } from '#core/working/working'
import type { SheetLanes } from '~/composables/job/useLanes'

/** Stripes seen on a lawn afterwards, against its lanes: what was noted stays in the address. */
const props = defineProps<{ worked: SheetLanes }>()
const { document } = useSheet()
const crew = useCrewStore()
const library = useLibraryStore()
const shown = useShown()
const route = useRoute()
const { machine, pattern } = useThrow(() => props.worked.question.width)
const query = (name: string) => String(route.query[name] ?? '')
const put = (fields: Readonly<Record<string, string>>) =>
  navigateTo({ query: { ...route.query, ...fields } }, { replace: true })
const spacing = computed((): Entered<LengthUnit> => ({
  text: query('spacing'),
  unit: LENGTH_UNITS.find((unit) => unit === query('unit')) ?? SYSTEM_UNITS[crew.units].length,
}))
const lawn = computed(
  () => props.worked.lanes.lawns.find(({ id }) => id === query('lawn')) ?? props.worked.lanes.lawns[0],
)
const nozzles = computed(() => {
  const own = machine.value
  const read = own?.kind === 'sprayer' && typedFigure(own.nozzles.spacing, 'length')
  return read ? lengthSi(read) : undefined
})
const bearing = computed(() => library.anchor?.bearing ?? 0)
const directions = computed(() =>
  (lawn.value?.plan?.passes ?? []).map(({ direction }) => fromNorth(direction, bearing.value)),
)
const SPACING = figureField('length', 'above-zero', 'Spacing of the stripes')
const answer = computed(() => {
  const fields = fieldReader()
  const read = fields.optional('spacing', spacing.value, SPACING)
  if (!read) return { problems: fields.problems, cause: undefined, lines: [] }
  const book = openWorkingBook()
  const { method } = document.value
  const { width } = props.worked.question
  const cause = stripeCause(
    { spacing: lengthSi(read), direction: typedDirection(query('direction')) },
    {
      method,
      width,
      directions: directions.value,
      nozzleSpacing: nozzles.value,
      skewed: pattern.value.skewed,
    },
    book,
  )
  return { problems: fields.problems, cause, lines: book.pages().flatMap(({ lines }) => lines) }
})
</script>

<template>
  <div class="beside">
    <div class="space-y-3">
      <p class="soft">
        Measure from the middle of one stripe to the middle of the next, over several of them if you can, and
        see which way they run.
      </p>
      <div class="fields">
        <ChoiceField
          v-if="worked.lanes.lawns.length > 1"
          label="Lawn"
          :value="lawn?.id ?? ''"
          :choices="worked.lanes.lawns.map(({ id, name }) => ({ value: id, text: name }))"
          @change="put({ lawn: $event })"
        />
        <QuantityField
          label="Stripes apart"
          path="spacing"
          kind="length"
          :entered="spacing"
          :units="LENGTH_UNITS"
          :problem="answer.problems[0]?.message"
          @change="put({ spacing: $event.text, unit: $event.unit })"
        />
        <TextField
          label="They run, ° from north"
          path="direction"
          :text="query('direction')"
          @change="put({ direction: $event })"
        />
      </div>
      <p class="small">
        Lanes lie <FigureText :shown="shown.distance(worked.question.width)" /> apart<template
          v-for="(direction, i) in directions"
          :key="i"
          >, pass {{ i + 1 }} at {{ direction }}°</template
        ><template v-if="nozzles !== undefined"
          >, nozzles <FigureText :shown="shown.distance(nozzles)" /></template
        >.
      </p>
    </div>
    <div class="space-y-2" aria-live="polite">
      <p v-if="answer.cause" class="cause">{{ answer.cause.words }}</p>
      <p v-else class="soft">Type how far they lie apart: lanes, throw and nozzles answer first.</p>
      <InlineWorking :lines="answer.lines" />
    </div>
  </div>
</template>

<style scoped>
.cause {
  font-size: 18px;
  font-weight: 600;
  border-left: 3px solid var(--action);
  padding-left: 12px;
}
</style>
