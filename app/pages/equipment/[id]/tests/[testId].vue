<script setup lang="ts">
import { BENCH_TEST_TABLES } from '#core/calibration/benchTestFields'
import { v7 as uuid } from 'uuid'
import { courseOf } from '#core/calibration/calibrationInForce'
import { calibrationFromBenchTest } from '#core/calibration/calibrationFromBenchTest'
import { practiceActs } from '#core/simulated/practiceActs'
import { readNozzles, readPattern } from '#core/calibration/readBenchTest'
import { formatFigure } from '#core/quantity/format'
import { fieldReader } from '#core/quantity/fieldReader'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { METRES_PER } from '#core/quantity/units'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'
import type { Equipment } from '#shared/schemas/equipment'
import type { SaveBenchTest, BenchTest } from '#shared/schemas/benchTest'

/**
 * The bench: the procedure with its readings on the left, what it says and the pictures behind it on the
 * right.
 */
const route = useRoute()
const [id, equipmentId] = [String(route.params.testId), String(route.params.id)]
const crew = useCrewStore()
const notice = useNotice()
const machine = shallowRef<Equipment>()
const read = (
  { document }: Pick<SaveBenchTest, 'document'>,
  fields = fieldReader(),
  book = closedWorkingBook,
) =>
  document.kind === 'pattern'
    ? { pattern: readPattern(document, fields, book) }
    : { nozzles: readNozzles(document, fields, book) }
const entry = useEntryForm<
  BenchTest,
  SaveBenchTest,
  { pattern?: ReturnType<typeof readPattern>; nozzles?: ReturnType<typeof readNozzles> }
>('benchTests', id, {
  draftOf: ({ version, equipmentId: owner, document }) => ({ version, equipmentId: owner, document }),
  fields: ({ document }) => BENCH_TEST_TABLES[document.kind],
  read,
})
const { draft, load, result } = entry
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (draft.value) read(draft.value, fieldReader(), book)
    return book.pages()
  },
  ref(
    new Map([
      ['swath', 'Effective swath'],
      ['half', 'Half-rate width'],
      ['pattern.rate', 'What one pass puts down'],
      ['speed', 'Speed'],
      ['carrier', 'Carrier'],
      ['asked', 'What is asked of the boom'],
      ['fan', 'Width and overlap of a fan'],
    ]),
  ),
)
await load()
machine.value = await ask(questions.machine(equipmentId)).catch(() => undefined)
const what = computed(() => (draft.value?.document.kind === 'pattern' ? 'Tray test' : 'Nozzle check'))
useHead({ title: () => `${what.value}, ${machine.value?.name ?? ''} · Hectarum` })
const unit = computed(() => SYSTEM_UNITS[crew.units].length)
const asText = (metres: number) => formatFigure(metres / METRES_PER[unit.value])
const taken = computed(() => {
  const swath = result.value?.pattern?.lane
  return (
    machine.value?.document.kind === 'spreader' &&
    swath !== undefined &&
    machine.value.document.swath.text === asText(swath) &&
    machine.value.document.swath.unit === unit.value
  )
})
/** The tested width becomes the machine's own: jobs that draw on it from now on take it. */
async function take(metres: number) {
  if (machine.value?.document.kind !== 'spreader') return
  const { name, version, document } = machine.value
  try {
    machine.value = await tell<Equipment>('PUT', `/library/equipment/${equipmentId}`, {
      version,
      name,
      document: { ...document, swath: { text: asText(metres), unit: unit.value } },
    })
  } catch (error) {
    notice.say('Not taken.', errorText(error))
  }
}
const nozzleSet = computed(() =>
  machine.value?.document.kind === 'sprayer' ? machine.value.document.nozzles.what : '',
)
const offered = computed(() =>
  draft.value?.document.kind === 'nozzles'
    ? practiceActs(courseOf(calibrationFromBenchTest(draft.value.document, nozzleSet.value, '')))
    : [],
)
const keepCalibration = useKeepCalibration()
/** What was caught and timed here, as a calibration that jobs work by. */
const keep = () =>
  draft.value?.document.kind === 'nozzles'
    ? keepCalibration(equipmentId, calibrationFromBenchTest(draft.value.document, nozzleSet.value, uuid()))
    : undefined
</script>

<template>
  <EntryPage
    :entry="entry"
    what="test"
    :title="`${what} of ${machine?.name ?? 'the equipment'}`"
    :back="machine?.name ?? 'The equipment'"
    :back-to="`/equipment/${equipmentId}`"
    away="Back to the equipment"
  >
    <div v-if="draft" class="columns even">
      <section aria-label="Procedure">
        <PatternTest v-if="draft.document.kind === 'pattern'" :trial="draft.document" /><NozzleTest
          v-else
          :trial="draft.document"
          :read="result?.nozzles"
        />
      </section>
      <PatternAnswer
        v-if="draft.document.kind === 'pattern'"
        :read="result?.pattern"
        :trial="draft.document"
        :taken="taken"
        @take="take"
      />
      <div v-else>
        <NozzleAnswer :read="result?.nozzles" :trial="draft.document" />
        <p v-if="result?.nozzles?.carrier !== undefined" class="mt-3">
          <UButton color="primary" variant="solid" label="Keep as a calibration" @click="keep" />
        </p>
        <InstrumentPanel :machine-id="equipmentId" :offered="offered" :document="draft.document" />
      </div>
    </div>
  </EntryPage>
</template>
