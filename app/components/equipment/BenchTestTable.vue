<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { readNozzles, readPattern } from '#core/calibration/readBenchTest'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import type { BenchTest } from '#shared/schemas/benchTest'

/** Tray tests or nozzle checks of one machine, newest first, each with what it said. */
const props = defineProps<{
  benchTests: readonly BenchTest[]
  equipmentId: string
  kind: 'pattern' | 'nozzles'
}>()
const emit = defineEmits<{ begin: [] }>()
const shown = useShown()
function said({ document }: BenchTest): string {
  if (document.kind === 'pattern') {
    const swath = readPattern(document, fieldReader(), closedWorkingBook)?.swath.swath
    if (swath === undefined) return 'not worked out'
    const { figure, unit } = shown.distance(swath)
    return `swath ${figure} ${unit}${document.product ? `, ${document.product}` : ''}`
  }
  const check = readNozzles(document, fieldReader(), closedWorkingBook)?.check
  if (!check) return 'not worked out'
  return check.replace === 'set'
    ? 'replace the set'
    : check.clean.length > 0
      ? `clean ${check.clean.join(', ')}`
      : 'all right'
}
const rows = computed(() =>
  props.benchTests.toReversed().map((trial) => ({ id: trial.id, on: trial.document.on, said: said(trial) })),
)
</script>

<template>
  <section aria-labelledby="benchTests-title" class="mt-6">
    <h2 id="benchTests-title">{{ kind === 'pattern' ? 'Tray tests' : 'Nozzle checks' }}</h2>
    <p v-if="rows.length === 0" class="soft py-1">
      {{
        kind === 'pattern'
          ? 'None yet. A row of trays shows how wide it really throws.'
          : 'None yet. A jug and a watch show which nozzles are worn, and the speed for a carrier.'
      }}
    </p>
    <ul v-else>
      <li v-for="row in rows" :key="row.id" class="rule-b flex flex-wrap justify-between gap-x-4 py-1">
        <NuxtLink :to="`/equipment/${equipmentId}/tests/${row.id}`" class="way-out">{{
          row.on ? dayText(row.on) : 'no day yet'
        }}</NuxtLink><span>{{ row.said }}</span>
      </li>
    </ul>
    <p class="mt-1">
      <UButton variant="link" size="sm" @click="emit('begin')">
        {{ kind === 'pattern' ? 'New tray test' : 'New nozzle check' }}
      </UButton>
    </p>
  </section>
</template>
