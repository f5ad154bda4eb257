<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { walkedTool } from '#core/calibration/equipmentDocument'
import { asInstrumentUnits, inInstrumentUnits, lengthsToAsk } from '#core/ground/instrumentUnits'
import { INSTRUMENTS } from '#core/ground/instruments'
import { counted } from '#core/quantity/counting'
import type { FieldNotes, MeasuredWith } from '#core/ground/areaShape'
import { readTapedCourse, toolWords } from '#core/ground/toolCourse'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'

/**
 * What the lengths were taken with, and which calibration of a stride or wheel turned them into true ones.
 */
const props = defineProps<{ notes: FieldNotes; path: string }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const library = useLibraryStore()
const instruments = INSTRUMENTS.map((value) => ({
  value,
  text: { tape: 'tape', wheel: 'measuring wheel', paced: 'paces' }[value],
}))
const kind = computed(
  () => (({ tape: undefined, wheel: 'wheel', paced: 'stride' }) as const)[props.notes.instrument],
)
const tools = computed(() =>
  library.equipment.flatMap(({ id, version, name, document }) =>
    document.kind === 'tool' &&
    document.course &&
    document.course.runs.length > 0 &&
    walkedTool(document.type) === kind.value
      ? [{ id, version, name, course: document.course }]
      : [],
  ),
)
const choices = computed(() => [
  { value: '', text: 'none calibrated' },
  ...tools.value.map(({ id, name }) => ({ value: id, text: name })),
  ...(props.notes.tool && !tools.value.some(({ id }) => id === props.notes.tool?.id)
    ? [{ value: props.notes.tool.id, text: props.notes.tool.name }]
    : []),
])
const read = computed(() =>
  props.notes.tool && kind.value
    ? readTapedCourse(props.notes.tool.course, kind.value, '', fieldReader(), '', closedWorkingBook)
    : undefined,
)
const newer = computed(() =>
  tools.value.find(
    ({ id, version }) => id === props.notes.tool?.id && version > (props.notes.tool?.version ?? 0),
  ),
)

/** Instrument and tool change together: a wheel's factor is nothing to a tape. */
function put({ instrument, tool }: MeasuredWith) {
  const { instrument: _, tool: __, ...rest } = props.notes
  const notes = { ...rest, instrument, ...(tool && { tool }) }
  set(props.path, inInstrumentUnits(notes, crew.units))
}
/** Asked when the instrument is chosen: lengths that were typed before in a unit it does not show. */
const chosen = ref(false)
const asked = computed(() => (chosen.value ? lengthsToAsk(props.notes, crew.units) : undefined))
const question = computed(() => {
  if (!asked.value) return ''
  const { count, typed, instead } = asked.value
  return `${counted(count, 'length')} in ${typed}: ${count === 1 ? 'is it' : 'are these'} ${instead}?`
})
function choose(instrument: MeasuredWith['instrument']) {
  chosen.value = true
  put({ instrument })
}
const keepAsTyped = () => {
  chosen.value = false
}
const takeAsRead = () => set(props.path, asInstrumentUnits(props.notes, crew.units))
const changeTool = (id: string) =>
  put({ instrument: props.notes.instrument, tool: tools.value.find((tool) => tool.id === id) })
</script>

<template>
  <div class="fields">
    <QuantityField :path="`${path}.slope`" />
    <ChoiceField
      label="Measured with"
      :path="`${path}.instrument`"
      :value="notes.instrument"
      :choices="instruments"
      :locked="locked"
      @change="choose($event)"
    />
    <ChoiceField
      v-if="kind"
      :label="kind === 'stride' ? 'Whose stride' : 'Which wheel'"
      :value="notes.tool?.id ?? ''"
      :choices="choices"
      :locked="locked"
      @change="changeTool"
    />
    <UAlert
      v-if="asked"
      class="whole"
      color="neutral"
      variant="outline"
      :title="question"
      :actions="[
        { label: `They are ${asked.instead}`, onClick: takeAsRead },
        { label: `They are ${asked.typed}`, onClick: keepAsTyped },
      ]"
    />
    <p v-if="kind" class="soft small whole">
      <template v-if="read && notes.tool"
        >{{ toolWords(read, notes.tool.course.distance.unit)
        }}{{ notes.tool.course.on ? `, ${dayText(notes.tool.course.on)}` : '' }}.</template
      >
      <template v-else-if="tools.length > 0"
        >A guessed {{ kind }} is the commonest source of error: name the calibrated one.</template
      >
      <template v-else
        ><NuxtLink to="/equipment" class="way-out">Calibrate a {{ kind }}</NuxtLink> over a taped length: a
        guessed one is the commonest source of error.</template
      >
      <UButton v-if="newer && !locked" variant="link" size="sm" @click="changeTool(newer.id)">
        Calibrated anew since: use the newer
      </UButton>
    </p>
  </div>
</template>

<style scoped>
.whole {
  grid-column: 1 / -1;
}
</style>
