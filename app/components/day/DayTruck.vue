<script setup lang="ts">
import { packageSetWords } from '#core/stock/bestSet'
import type { RouteNeed } from '#core/job/route/routeNeeds'
import type { CommonMix } from '#core/job/route/commonMix'
import type { Job } from '#shared/schemas/job'

/** The truck's loading list, and what must be bought before it drives. */
const props = defineProps<{
  needs: readonly RouteNeed[]
  spray: number
  jobs: readonly Job[]
  mixes: readonly CommonMix[]
}>()
const shown = useShown()
const machines = computed(() => [
  ...new Set(
    props.jobs
      .flatMap(({ applications }) =>
        applications.map(({ document }) => document[document.method].equipment.trim()),
      )
      .filter(Boolean),
  ),
])
const COLUMNS = [
  { key: 'product', head: 'Product' },
  { key: 'take', head: 'take', numeric: true },
  { key: 'hand', head: 'on hand', numeric: true },
] as const
const short = computed(() => props.needs.filter((need) => need.short > 0))
const takeWords = (need: RouteNeed) => {
  const { open = 0, full = 0, pack } = need.take ?? {}
  const told = of(need, open)
  return [
    open > 0 ? `the open one with ${told.figure} ${told.unit}` : '',
    full > 0 && pack ? `${full} full of ${pack.size.text} ${pack.size.unit}` : '',
  ]
    .filter(Boolean)
    .join(', then ')
}
const of = ({ dimension }: RouteNeed, amount: number) => shown.stock({ dimension, amount })
</script>

<template>
  <div class="space-y-5">
    <section aria-labelledby="truck-title">
      <h2 id="truck-title">On the truck</h2>
      <RowTable
        caption="What goes on the truck"
        :rows="needs"
        :columns="COLUMNS"
        :key-of="({ name, dimension }) => `${name}-${dimension}`"
      >
        <template #product="{ row }"
          >{{ row.name }}<span v-if="row.take" class="soft small block">{{ takeWords(row) }}</span></template
        >
        <template #take="{ row }"
          ><strong class="figure"
            ><FigureText
              :shown="of(row, row.amount)"
              :page="`day.${row.sourceId ?? row.name}`"
              :label="row.name" /></strong
        ></template>
        <template #hand="{ row }"
          ><FigureText v-if="row.onHand !== undefined" :shown="of(row, row.onHand)" /><span
            v-else
            class="soft"
            >not booked</span
          ></template
        >
      </RowTable>
      <p v-if="spray > 0" class="mt-2">
        Finished spray of the day
        <strong
          ><FigureText
            :shown="shown.stock({ dimension: 'volume', amount: spray })"
            page="day.spray"
            label="Spray of the day" /></strong
        >: that much water, less the liquid products.
      </p>
      <p v-if="machines.length > 0" class="small mt-2">
        <span class="soft">Equipment:</span> {{ machines.join(', ') }}
      </p>
      <p class="small soft">
        Reserve and dead volume are in it. Labels, protective equipment and what measures it go along.
      </p>
    </section>
    <section v-if="short.length > 0" aria-labelledby="buy-title">
      <h2 id="buy-title">To buy first</h2>
      <ul>
        <li v-for="need in short" :key="need.name" class="rule-b py-1">
          <UIcon name="i-lucide-triangle-alert" class="short" /> {{ need.name }}:
          <strong
            ><FigureText
              :shown="of(need, need.short)"
              :page="`day.${need.sourceId ?? need.name}`"
              :label="`Short of ${need.name}`"
          /></strong>
          short<template v-if="need.buy">: buy {{ packageSetWords(need.buy) }}</template>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.short {
  color: var(--warn);
}
</style>
