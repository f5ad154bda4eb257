<script setup lang="ts">
import type { LaneStop } from '#core/lanes/lawns/laneStops'
import type { LawnLanes } from '#core/lanes/lawns/workOutLanes'

/** Where one stops, what should be left there, and what is filled in. */
const props = defineProps<{ stops: readonly LaneStop[]; lawns: readonly Pick<LawnLanes, 'id' | 'name'>[] }>()
const shown = useShown()
const told = useLaneAmount()
const many = computed(() => props.lawns.length > 1)
const nameOf = (id: string) => props.lawns.find((one) => one.id === id)?.name ?? ''
const truck = computed(() => props.stops.some(({ toTruck }) => toTruck !== undefined))
const columns = computed(() => [
  { key: 'after', head: 'After lane' },
  { key: 'left', head: 'left', numeric: true },
  { key: 'fill', head: 'fill in', numeric: true },
  ...(truck.value ? [{ key: 'truck', head: 'to the truck', numeric: true }] : []),
])
const filled = computed(() => props.stops.some(({ fill }) => fill !== undefined))
</script>

<template>
  <RowTable
    v-if="stops.length > 0"
    caption="Where one stops, and what should be left"
    :rows="stops"
    :columns="columns.filter(({ key }) => key !== 'fill' || filled)"
    :key-of="({ lawnId, afterLane, at }) => `${lawnId} ${afterLane} ${at.join(' ')}`"
    stacked
  >
    <template #after="{ row }"
      >{{ row.within ? 'in ' : '' }}<strong>{{ row.afterLane }}</strong
      >{{ ' '
      }}<span class="soft small">
        {{ STOP_WORDS[row.why] }}{{ many ? `, ${nameOf(row.lawnId)}` : '' }}</span
      ></template
    >
    <template #left="{ row }"><FigureText :shown="told(row.left)" page="lanes" label="Left" /></template>
    <template #fill="{ row }"><FigureText v-if="row.fill !== undefined" :shown="told(row.fill)" /></template>
    <template #truck="{ row }"
      ><FigureText v-if="row.toTruck !== undefined" :shown="shown.distance(row.toTruck)"
    /></template>
  </RowTable>
</template>
