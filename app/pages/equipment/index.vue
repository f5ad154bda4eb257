<script setup lang="ts">
import { readTapedCourse, toolWords } from '#core/ground/toolCourse'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import { dayText } from '#core/calendar/dayText'
import { calibrationAge, newestDay } from '#core/calibration/calibrationAge'
import { blankEquipment } from '#core/calibration/blankEquipment'
import { walkedTool } from '#core/calibration/equipmentDocument'
import { EQUIPMENT_KINDS, type EquipmentKind } from '#core/calibration/equipmentKinds'
import type { ToolDocument } from '#core/calibration/equipmentShape'
import { DEFAULT_HOUSE } from '#core/house'
import type { Equipment } from '#shared/schemas/equipment'

/** What the crew works with, and how far its calibrations can be trusted. */
useHead({ title: 'Equipment · Hectarum' })
const crew = useCrewStore()
const library = useLibraryStore()
const begin = useNewRow()
const { answer: benchTests } = useAnswers(questions.benchTests)
const read = () => library.load().catch(() => undefined)
void read()
const HEADS: Readonly<Record<EquipmentKind, string>> = {
  spreader: 'Spreaders',
  sprayer: 'Sprayers',
  tool: 'Measuring tools',
}
const ofKind = (kind: EquipmentKind) => library.equipment.filter(({ document }) => document.kind === kind)
const columns = [
  { key: 'name', head: 'Name' },
  { key: 'what', head: 'What it is', from: 'laptop' },
  { key: 'picture', head: 'Its picture', from: 'laptop' },
  { key: 'calibrated', head: 'Calibrated' },
] as const
const limit = computed(
  () => crew.organization?.settings.house.calibrationDays ?? DEFAULT_HOUSE.calibrationDays,
)

function standing({ id, document }: Equipment) {
  if (document.kind === 'tool') return undefined
  const own = library.calibrations.filter(({ equipmentId }) => equipmentId === id)
  const newest = newestDay(
    own.map((one) => one.document.course.on),
    crew.today(),
  )
  const { days, state } = calibrationAge(newest, crew.today(), limit.value)
  return {
    days,
    on: days === undefined ? '' : dayText(newest),
    words: days === undefined ? 'not calibrated' : days === 0 ? 'today' : `${days} days ago`,
    state,
  }
}
function what({ document }: Equipment): string {
  switch (document.kind) {
    case 'spreader':
      return (
        document.type +
        (document.hopper.text ? `, hopper ${document.hopper.text} ${document.hopper.unit}` : '')
      )
    case 'sprayer':
      return (
        `${document.type}${document.tank.text ? `, ${document.tank.text} ${document.tank.unit}` : ''}` +
        (document.fillTo.text ? `, filled to ${document.fillTo.text} ${document.fillTo.unit}` : '')
      )
    case 'tool':
      return (
        document.type +
        (document.step.text ? `, steps of ${document.step.text} ${document.step.unit}` : '') +
        toolText(document)
      )
    default:
      return document satisfies never
  }
}
const add = (kind: EquipmentKind) =>
  begin({ name: '', document: blankEquipment(kind, crew.units) }, (id) => `/equipment/${id}`)
useScreenCommands(() =>
  EQUIPMENT_KINDS.map((kind) => ({
    id: `new-${kind}`,
    label: `Add a ${kind === 'tool' ? 'measuring tool' : kind}`,
    run: () => add(kind),
  })),
)

function toolText({ type, course }: ToolDocument): string {
  const kind = walkedTool(type)
  const read =
    kind && course && course.runs.length > 0
      ? readTapedCourse(course, kind, '', fieldReader(), '', closedWorkingBook)
      : undefined
  return read && course ? `, ${toolWords(read, course.distance.unit)}` : ''
}
</script>

<template>
  <main class="page">
    <div class="page-head"><h1>Equipment</h1></div>
    <EmptyState v-if="library.problem" :words="library.problem" action="Try again" @act="read" />
    <div v-else-if="!library.loaded" role="status" class="space-y-4 py-6">
      <span class="sr-only">Opening</span>
      <USkeleton v-for="row in 6" :key="row" class="h-6" />
    </div>
    <template v-else>
      <p v-if="library.equipment.length === 0" class="py-2">
        Nothing here yet. A spreader or sprayer with one calibration lets a job say its setting, loads and
        lanes.
      </p>
      <section v-for="kind in EQUIPMENT_KINDS" :key="kind" :aria-label="HEADS[kind]" class="mt-4">
        <div class="flex items-baseline gap-4">
          <h2>{{ HEADS[kind] }}</h2>
          <UButton variant="link" size="sm" @click="add(kind)">
            Add a {{ kind === 'tool' ? 'measuring tool' : kind }}
          </UButton>
        </div>
        <RowTable
          pictured
          v-if="ofKind(kind).length > 0"
          :caption="HEADS[kind]"
          :rows="ofKind(kind)"
          :columns="kind === 'tool' ? columns.slice(0, 2) : columns"
          :key-of="({ id }) => id"
          :to="({ id }) => `/equipment/${id}`"
        >
          <template #name="{ row }">{{ row.name }}</template>
          <template #under="{ row }">{{ what(row) }}</template>
          <template #what="{ row }">{{ what(row) }}</template>
          <template #picture="{ row }"
            ><CurveMark
              v-if="row.document.kind === 'spreader'"
              :calibrations="library.calibrations.filter(({ equipmentId }) => equipmentId === row.id)"
              :today="crew.today()" /><NozzleMark
              v-else
              :tests="benchTests.filter(({ equipmentId }) => equipmentId === row.id)"
          /></template>
          <template #calibrated="{ row }"
            ><AgeBar
              v-if="standing(row)?.days !== undefined"
              class="mr-3"
              :days="standing(row)!.days!"
              :limit="limit"
            /><StateMark
              v-if="standing(row)"
              :level="standing(row)!.state === 'stale' ? 'warn' : 'good'"
              :words="standing(row)!.words"
            /><span class="soft ml-3 hidden sm:inline">{{ standing(row)?.on }}</span
            ><span v-if="standing(row)?.state === 'stale'" class="sr-only">, stale</span></template
          >
        </RowTable>
      </section>
      <p class="soft small mt-4">A calibration older than {{ limit }} days is not trusted (house limit).</p>
    </template>
  </main>
</template>
