<script setup lang="ts">
import { nitrogenWanted, type GrassName } from '#core/ground/grasses'
import type { MeasuredGround } from '#core/ground/readFieldNotes'
import { formatFigure, formatGive } from '#core/quantity/format'
import { nutrientIn, nutrientRangeText } from '#core/quantity/nutrientText'
import { prettyUnits } from '#core/quantity/systems'
import { nitrogenLaid, overWanted } from '#core/season/nitrogenLaid'
import type { Area, LedgerRow } from '#shared/schemas/ground'

/**
 * The areas of a site: size with its give or take, grass, and nitrogen this year against what the grass
 * wants.
 */
const props = defineProps<{
  measured: readonly (MeasuredGround & { readonly area: Area })[]
  ledger: readonly LedgerRow[]
  siteId: string
}>()
const crew = useCrewStore()
const shown = useShown()
const year = computed(() => crew.today().slice(0, 4))
const rows = computed(() => props.measured.map((one) => ({ ...one, laid: nitrogen(one.area, one.size) })))
const columns = computed(() => [
  { key: 'area', head: 'Area' },
  { key: 'grass', head: 'Grass', from: 'laptop' as const },
  { key: 'size', head: 'Size', numeric: true },
  { key: 'nitrogen', head: `N in ${year.value}`, numeric: true, from: 'laptop' as const },
])
const total = computed(() =>
  props.measured
    .filter(({ area }) => area.document.use === 'turf')
    .reduce((sum, { size }) => sum + (size ?? 0), 0),
)

const grassWords = (area: Area) =>
  area.document.grass.map(({ species }) => species).join(', ') ||
  (area.document.use === 'turf' ? 'grass not noted' : area.document.use)
function nitrogen(area: Area, size: number | undefined) {
  const species = area.document.grass.map((one): GrassName => one.species)
  const wanted = nitrogenWanted(species)
  if (!size || !wanted) return undefined
  const laid = nitrogenLaid(
    props.ledger.filter(({ areaId }) => areaId === area.id),
    size,
    year.value,
  )
  return { ...laid, wanted, over: overWanted(laid.perArea, wanted) }
}
</script>

<template>
  <div>
    <RowTable
      caption="Areas of this site"
      :rows="rows"
      :columns="columns"
      :key-of="({ area }) => area.id"
      :to="({ area }) => `/sites/${siteId}/areas/${area.id}`"
    >
      <template #area="{ row }">{{ row.area.name || 'Unnamed area' }}</template>
      <template #under="{ row }">{{ grassWords(row.area) }}</template>
      <template #grass="{ row }">{{ grassWords(row.area) }}</template>
      <template #size="{ row }"
        ><FigureText
          v-if="row.size !== undefined"
          :shown="shown.size(row.size)"
          :page="`areas.${row.area.id}.size`"
          :label="row.area.name"
        /><span v-else class="soft">to measure</span
        ><span v-if="row.size && row.sd" class="soft small block"
          >± {{ formatGive((200 * row.sd) / row.size) }} %</span
        ></template
      >
      <template #nitrogen="{ row }"
        ><span v-if="row.laid" :class="{ over: row.laid.over }"
          ><UIcon v-if="row.laid.over" name="i-lucide-triangle-alert" class="me-1 align-[-2px]" /><FigureText
            :shown="{
              figure: formatFigure(nutrientIn(row.laid.perArea, crew.units)),
              unit: `of ${prettyUnits(nutrientRangeText(row.laid.wanted, '', crew.units))}`,
            }"
            :page="`nitrogen.${row.area.id}`"
            :label="`Nitrogen, ${row.area.name}`" /></span
      ></template>
    </RowTable>
    <p class="pt-2 text-end">
      <span class="soft">Turf together </span><strong><FigureText :shown="shown.size(total)" /></strong>
    </p>
  </div>
</template>

<style scoped>
.over {
  color: var(--warn);
  font-weight: 600;
}
</style>
