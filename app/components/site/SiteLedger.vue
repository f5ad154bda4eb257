<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { groundRate } from '#core/season/groundRate'
import type { Area, LedgerRow } from '#shared/schemas/ground'

/** What was put down on the site, newest visit first, with each product's rate over the ground it went on. */
const props = defineProps<{ ledger: readonly LedgerRow[]; areas: readonly Area[] }>()
const shown = useShown()
const turf = computed(() => props.areas.filter(({ document }) => document.use === 'turf').length)

interface Visit {
  readonly id: string
  readonly on: string
  readonly areas: ReadonlySet<string>
  readonly products: readonly { readonly name: string; readonly rate: ReturnType<typeof shown.rate> }[]
}
const visits = computed<readonly Visit[]>(() =>
  [...Map.groupBy(props.ledger, ({ applicationId }) => applicationId)].map(([id, rows]) => ({
    id,
    on: rows[0]?.on ?? '',
    areas: new Set(rows.map(({ areaId }) => areaId)),
    products: [...Map.groupBy(rows, ({ product }) => product)].map(([name, own]) => ({
      name,
      rate: shown.rate(groundRate(own), own[0]?.dimension ?? 'mass'),
    })),
  })),
)
const seasons = computed(() => [...new Set(visits.value.map(({ on }) => on.slice(0, 4)))])
function where(areas: ReadonlySet<string>): string {
  if (areas.size === turf.value && turf.value > 1) return 'all turf'
  return [...areas]
    .map((id) => props.areas.find((area) => area.id === id)?.name ?? 'an area since removed')
    .join(', ')
}
</script>

<template>
  <section aria-labelledby="ledger-title">
    <h2 id="ledger-title">Put down here</h2>
    <p v-if="visits.length === 0" class="soft py-2">Nothing yet. Each finished run adds its lines here.</p>
    <template v-for="season in seasons" :key="season">
      <h3 class="soft small mt-2">{{ season }}</h3>
      <ul>
        <li v-for="visit in visits.filter(({ on }) => on.startsWith(season))" :key="visit.id" class="rule-b">
          <NuxtLink :to="`/records/${visit.id}`" class="way-out">{{
            dayText(visit.on).replace(/ \d{4}$/, '')
          }}</NuxtLink>
          <div>
            <p v-for="product in visit.products" :key="product.name" class="line">
              <span>{{ product.name }}</span><span class="num"><FigureText :shown="product.rate" /></span>
            </p>
            <p class="soft small">{{ where(visit.areas) }}</p>
          </div>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 100px minmax(0, 1fr);
  gap: 10px;
  padding: 5px 0;
  align-items: baseline;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.num {
  white-space: nowrap;
}
</style>
