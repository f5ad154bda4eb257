<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { calibrationAge } from '#core/calibration/calibrationAge'
import { DEFAULT_HOUSE } from '#core/house'
import { spreadMethodOf, sprayMethodOf } from '#core/calibration/courseNote'
import { readSpeed } from '#core/calibration/readSpeed'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import type { Calibration } from '#shared/schemas/equipment'

/** The calibrations of one machine, newest first, each with what it came to and whether it still holds. */
const props = defineProps<{ calibrations: readonly Calibration[]; equipmentId: string }>()
const crew = useCrewStore()
const shown = useShown()
const columns = [
  { key: 'day', head: 'Day' },
  { key: 'with', head: 'With', from: 'laptop' },
  { key: 'gives', head: 'One pass gives', numeric: true },
  { key: 'speed', head: 'Speed', numeric: true, from: 'laptop' },
] as const
const limit = computed(
  () => crew.organization?.settings.house.calibrationDays ?? DEFAULT_HOUSE.calibrationDays,
)
const rows = computed(() =>
  props.calibrations.toReversed().map(({ id, perPass, document }) => {
    const { on } = document.course
    const speed = readSpeed(document.course, '', fieldReader(), closedWorkingBook)
    const { days, state } = calibrationAge(on, crew.today(), limit.value)
    return {
      id,
      on,
      speed: speed === undefined ? undefined : shown.speed(speed),
      fresh: state === 'fresh',
      age: days === undefined ? 'no date' : days === 0 ? 'today' : `${days} days ago`,
      with:
        document.kind === 'spread'
          ? (document.course.product || 'product not noted') +
            (document.course.setting ? `, setting ${document.course.setting}` : '')
          : document.course.product || 'water',
      how:
        document.kind === 'spread'
          ? SPREAD_WORDS[spreadMethodOf(document.course)].text
          : SPRAY_WORDS[sprayMethodOf(document.course)].text,
      gives:
        perPass === null
          ? undefined
          : document.kind === 'spread'
            ? shown.rate(perPass, 'mass')
            : document.course.by === 'hose-end'
              ? shown.rate(perPass, 'volume')
              : shown.carrier(perPass),
    }
  }),
)
</script>

<template>
  <section aria-labelledby="calibrations-title">
    <h2 id="calibrations-title">Calibrations</h2>
    <p v-if="rows.length === 0" class="soft py-2">
      None yet. A taped course and two or three runs tell what one pass puts down.
    </p>
    <RowTable
      v-else
      caption="Calibrations, newest first"
      :rows="rows"
      :columns="columns"
      :key-of="({ id }) => id"
      :to="({ id }) => `/equipment/${equipmentId}/calibrations/${id}`"
    >
      <template #day="{ row }"
        ><span class="whitespace-nowrap">{{ dayText(row.on) }}</span
        ><span class="small block font-normal whitespace-nowrap"
          ><StateMark :level="row.fresh ? 'good' : 'warn'" :words="row.age" /></span
      ></template>
      <template #under="{ row }">{{ row.with }}</template>
      <template #with="{ row }"
        >{{ row.with }}<span class="soft small block">{{ row.how }}</span></template
      >
      <template #gives="{ row }"
        ><FigureText v-if="row.gives" :shown="row.gives" /><span v-else class="soft"
          >not worked out</span
        ></template
      >
      <template #speed="{ row }"><FigureText v-if="row.speed" :shown="row.speed" /></template>
    </RowTable>
  </section>
</template>
