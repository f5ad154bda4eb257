<script setup lang="ts">
import { COURSE_TABLES } from '#core/calibration/courseFields'
import { fieldsUnder } from '#core/quantity/figureField'
import { v7 as uuid } from 'uuid'
import { errorOfCalibration } from '#core/calibration/calibrationError'
import { readCalibrationDocument } from '#core/calibration/calibrationDocument'
import { courseOf } from '#core/calibration/calibrationInForce'
import { nextSetting } from '#core/calibration/nextCalibration'
import { practiceActs } from '#core/simulated/practiceActs'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'
import type { Calibration, Equipment, SaveCalibration } from '#shared/schemas/equipment'

/**
 * One calibration by whichever method: the procedure on the left, what one pass puts down and the instruments
 * on the right.
 */
const route = useRoute()
const [id, equipmentId] = [String(route.params.calibrationId), String(route.params.id)]
const library = useLibraryStore()
const entry = useEntryForm<Calibration, SaveCalibration, ReturnType<typeof readCalibrationDocument>>(
  'calibrations',
  id,
  {
    draftOf: ({ version, equipmentId: owner, document }) => ({ version, equipmentId: owner, document }),
    fields: ({ document }) => fieldsUnder('course', COURSE_TABLES[document.kind]),
    read: ({ document }, fields) => readCalibrationDocument(document, fields, closedWorkingBook),
  },
)
const { draft, load, result: measured, form } = entry
useWorkingPages(
  () => {
    const book = openWorkingBook()
    const read = draft.value && readCalibrationDocument(draft.value.document, fieldReader(), book)
    if (read) errorOfCalibration(read.measured, read.errors, book)
    return book.pages()
  },
  ref(
    new Map([
      ['calibration', 'What one pass puts down'],
      ['calibration.speed', 'Speed'],
    ]),
  ),
)
const machine = shallowRef<Equipment>()
const crew = useCrewStore()
const begin = useNewRow()
/** Another setting over the same course: its figures wait for the next walk. */
function goOn() {
  if (draft.value?.document.kind !== 'spread') return
  const document = nextSetting(draft.value.document, uuid(), crew.units, crew.today())
  return begin({ equipmentId, document }, (next) => `/equipment/${equipmentId}/calibrations/${next}`)
}
onMounted(() => {
  const { document, version } = draft.value ?? {}
  if (version === 0 && document?.kind === 'spread' && document.course.length.text !== '')
    void form.go('document.course.setting')
})
await load()
await library.load().catch(() => undefined)
machine.value = library.equipment.find((one) => one.id === equipmentId)
useHead({ title: () => `Calibration, ${machine.value?.name ?? ''} · Hectarum` })
const course = computed(() => draft.value && courseOf(draft.value.document))
const nozzles = computed(() =>
  machine.value?.document.kind === 'sprayer' ? machine.value.document.nozzles : undefined,
)
</script>

<template>
  <EntryPage
    :entry="entry"
    what="calibration"
    :title="`Calibration of ${machine?.name ?? 'the equipment'}`"
    :back="machine?.name ?? 'The equipment'"
    :back-to="`/equipment/${equipmentId}`"
    away="Back to the equipment"
  >
    <div v-if="draft && course" class="columns">
      <section aria-labelledby="course-title">
        <h2 id="course-title" class="mb-2">The procedure</h2>
        <CourseFields :course="course" path="document.course" :nozzles="nozzles" />
        <div class="fields">
          <TextField path="document.heldBy" label="What held the speed" placeholder="gear, throttle, pace" />
          <TextField path="document.by" label="Done by" />
        </div>
        <FormNotes path="document.notes" label="Notes" :text="draft.document.notes" class="mt-2" />
      </section>
      <div>
        <CalibrationAnswer :measured="measured" :course="course" />
        <UButton
          v-if="measured && draft.document.kind === 'spread' && course.note.by !== 'job'"
          class="mt-2"
          label="Next setting, same course"
          icon="i-lucide-arrow-right"
          @click="goOn"
        />
        <InstrumentPanel
          :machine-id="equipmentId"
          :offered="practiceActs(course)"
          :document="draft.document"
        />
      </div>
    </div>
  </EntryPage>
</template>
