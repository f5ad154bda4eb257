<script setup lang="ts">
import { readCalibrationDocument } from '#core/calibration/calibrationDocument'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'
import type { Calibration, Equipment, SaveCalibration } from '#shared/schemas/equipment'

/** One calibration by known area: the course, its runs, and what one pass puts down. */
const route = useRoute()
const [id, equipmentId] = [String(route.params.calibrationId), String(route.params.id)]
const rooms = useRoomsStore()
const { draft, saveState, loadProblem, load, keepMine, takeTheirs, remove, result: measured } = useRoomForm<Calibration, SaveCalibration, ReturnType<typeof readCalibrationDocument>>('calibrations', id, {
  draftOf: ({ version, equipmentId: owner, document }) => ({ version, equipmentId: owner, document }),
  read: ({ document }, fields) => readCalibrationDocument(document, fields, closedWorkingBook),
})
useWorkingPages(() => {
  const book = openWorkingBook()
  if (draft.value) readCalibrationDocument(draft.value.document, fieldReader(), book)
  return book.pages()
}, ref(new Map([['calibration', 'What one pass puts down']])))
const machine = shallowRef<Equipment>()
await load()
await rooms.load().catch(() => undefined)
machine.value = rooms.equipment.find((one) => one.id === equipmentId)
useHead({ title: () => `Calibration, ${machine.value?.name ?? ''} · Hectarum` })
const course = computed(() => {
  const document = draft.value?.document
  if (!document) return undefined
  return document.kind === 'spread' ? { kind: 'spread' as const, note: document.course } : { kind: 'spray' as const, note: document.course }
})
</script>

<template>
  <main v-if="draft && course">
    <RoomHead
      :name="`Calibration of ${machine?.name ?? 'the equipment'}`" placeholder="" what="calibration" :fresh="false" :save-state="saveState" :draft="draft"
      :back="machine?.name ?? 'The equipment'" :back-to="`/equipment/${equipmentId}`" @remove="remove(`/equipment/${equipmentId}`, `/equipment/${equipmentId}/calibrations/${id}`)" @keep="keepMine" @take="takeTheirs"
    />
    <div class="columns">
      <section aria-labelledby="course-title">
        <h2 id="course-title" class="mb-2">By known area</h2>
        <CourseFields :course="course" path="document.course" />
        <div class="grid grid-cols-2 gap-2">
          <FormText path="document.heldBy" label="What held the speed" :text="draft.document.heldBy" placeholder="gear, throttle, pace" />
          <FormText path="document.by" label="Done by" :text="draft.document.by" />
        </div>
        <FormNotes path="document.notes" label="Notes" :text="draft.document.notes" class="mt-2" />
      </section>
      <CalibrationAnswer :measured="measured" :kind="course.kind" />
    </div>
  </main>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="Back to the equipment" :to="`/equipment/${equipmentId}`" />
</template>
