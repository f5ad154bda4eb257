<script setup lang="ts">
import { nitrogenWanted, type GrassName } from '#core/ground/grasses'
import type { MeasuredGround } from '#core/ground/readFieldNotes'
import { formatFigure, formatGive } from '#core/quantity/format'
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
  return { ...laid, wanted, over: overWanted(laid.units, wanted) }
}
</script>

<template>
  <table class="list">
    <thead>
      <tr>
        <th scope="col">Area</th>
        <th scope="col">Grass</th>
        <th scope="col" class="num">Size</th>
        <th scope="col" class="num">give or take</th>
        <th scope="col" class="num">N in {{ year }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ area, size, sd } in measured" :key="area.id">
        <th scope="row">
          <NuxtLink :to="`/sites/${siteId}/areas/${area.id}`" class="way-out">{{
            area.name || 'Unnamed area'
          }}</NuxtLink>
        </th>
        <td>{{ grassWords(area) }}</td>
        <td class="num" data-label="size">
          <FigureText
            v-if="size !== undefined"
            :shown="shown.size(size)"
            :page="`areas.${area.id}.size`"
            :label="area.name"
          /><span v-else class="soft">to measure</span>
        </td>
        <td class="num soft" data-label="give or take">
          <template v-if="size && sd">± {{ formatGive((200 * sd) / size) }} %</template>
        </td>
        <td class="num" data-label="N this year">
          <template v-if="nitrogen(area, size)">
            <span :class="{ over: nitrogen(area, size)!.over }"
              ><span v-if="nitrogen(area, size)!.over" aria-hidden="true">▲ </span
              ><FigureText
                :shown="{
                  figure: formatFigure(nitrogen(area, size)!.units),
                  unit: `of ${nitrogen(area, size)!.wanted.join('–')} lb / 1,000 ft²`,
                }"
                :page="`nitrogen.${area.id}`"
                :label="`Nitrogen, ${area.name}`"
            /></span>
          </template>
        </td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td colspan="2">Turf together</td>
        <td class="num">
          <strong><FigureText :shown="shown.size(total)" /></strong>
        </td>
        <td />
        <td />
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
.over {
  color: var(--warn);
  font-weight: 600;
}
</style>
