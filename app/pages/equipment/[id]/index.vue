<script setup lang="ts">
import { EQUIPMENT_TABLE } from '#core/calibration/equipmentFields'
import { v7 as uuid } from 'uuid'
import { nextCalibration } from '#core/calibration/nextCalibration'
import { readEquipment } from '#core/calibration/equipmentDocument'
import type { ToolReading } from '#core/ground/toolCourse'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook, openWorkingBook, type WorkingBook } from '#core/working/working'
import { blankNozzles, blankPattern } from '#core/calibration/benchTest'
import type { Equipment, SaveEquipment } from '#shared/schemas/equipment'

/** One piece of equipment: its figures, and the calibrations made with it. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const begin = useNewRow()
const entry = useEntryForm<Equipment, SaveEquipment, ToolReading | undefined>('equipment', id, {
  draftOf: ({ version, name, document }) => ({ version, name, document }),
  fields: () => EQUIPMENT_TABLE,
  read: ({ document }, fields) => {
    return readEquipment(document, fields, closedWorkingBook)
  },
})
const { draft, stored, load, result: tool } = entry
const asking = useTemplateRef<{ note: (book: WorkingBook) => unknown }>('asking')
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (draft.value) readEquipment(draft.value.document, fieldReader(), book)
    asking.value?.note(book)
    return book.pages()
  },
  computed(
    () =>
      new Map([
        ['tool', `${draft.value?.name ?? 'This tool'} over a taped length`],
        ['ask', 'What the curve answers'],
      ]),
  ),
)
/** A machine that has not reached the server has nothing there yet. */
const ofStored = <T,>(question: (equipmentId: string) => Question<readonly T[]>) =>
  useAnswers(() => ((draft.value?.version ?? 0) > 0 ? question(id) : undefined))
const { answer: calibrations, again: reload } = ofStored(questions.calibrationsOf)
const { answer: benchTests } = ofStored(questions.benchTestsOf)
const { answer: outcomes } = ofStored(questions.outcomes)
await load()
useHead({ title: () => `${draft.value?.name || 'New equipment'} · Hectarum` })
const WORDS = { spreader: 'spreader', sprayer: 'sprayer', tool: 'measuring tool' } as const
const files = calibrationFormat(id, () => (draft.value?.document.kind === 'spreader' ? 'spread' : 'spray'))
const kind = computed(() => draft.value?.document.kind ?? 'tool')

function calibrate() {
  const machine = draft.value?.document
  if (!machine || machine.kind === 'tool') return
  const document = nextCalibration(machine, calibrations.value, uuid(), crew.units, crew.today())
  return begin(
    { equipmentId: id, document },
    (calibrationId) => `/equipment/${id}/calibrations/${calibrationId}`,
  )
}
function test() {
  const { document } = draft.value ?? {}
  if (!document || document.kind === 'tool') return
  const fresh =
    document.kind === 'spreader'
      ? blankPattern(crew.units, document.type === 'drop' ? 'drop' : 'broadcast')
      : {
          ...blankNozzles(crew.units, Number(document.nozzles.count) || 1),
          ...(document.nozzles.spacing.text && { spacing: document.nozzles.spacing }),
        }
  return begin(
    { equipmentId: id, document: { ...fresh, on: crew.today() } },
    (testId) => `/equipment/${id}/tests/${testId}`,
  )
}
useScreenCommands(() =>
  kind.value === 'tool'
    ? []
    : [
        { id: 'calibrate', label: 'New calibration', key: 'ctrl+enter', run: calibrate },
        { id: 'test', label: kind.value === 'spreader' ? 'New tray test' : 'New nozzle check', run: test },
      ],
)
</script>

<template>
  <EntryPage
    :entry="entry"
    :what="WORDS[kind]"
    :placeholder="`Name of the ${WORDS[kind]}`"
    back="All equipment"
    back-to="/equipment"
    away="See all equipment"
  >
    <template #actions>
      <UButton
        v-if="kind !== 'tool'"
        label="New calibration"
        color="primary"
        variant="solid"
        :disabled="!stored"
        aria-keyshortcuts="Control+Enter"
        @click="calibrate"
      />
    </template>
    <div v-if="draft" class="columns even">
      <section aria-label="Figures" class="space-y-3">
        <EquipmentFields :document="draft.document" :tool="tool" />
        <MachineHeld
          v-if="stored && draft.document.kind !== 'tool'"
          :machine-id="id"
          :cleaned="draft.document.cleaned"
        />
        <FormNotes path="document.notes" label="Notes" :text="draft.document.notes" />
        <SettingAsk
          v-if="draft.document.kind === 'spreader' && calibrations.length > 0"
          :calibrations="calibrations"
          :spreader="draft.document"
          ref="asking"
        />
      </section>
      <div v-if="kind !== 'tool'">
        <OutcomeChart v-if="outcomes.length > 0" class="mb-5" :outcomes="outcomes" />
        <CalibrationTable :calibrations="calibrations" :equipment-id="id" />
        <FileExchange
          v-if="stored"
          :address="crewUrl(`/equipment/${id}/calibrations`)"
          :format="files"
          :say="calibrationsFound"
          @taken="reload"
        />
        <BenchTestTable
          v-if="stored"
          :bench-tests="benchTests"
          :equipment-id="id"
          :kind="kind === 'spreader' ? 'pattern' : 'nozzles'"
          @begin="test"
        />
      </div>
    </div>
  </EntryPage>
</template>
