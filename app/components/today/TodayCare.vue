<script setup lang="ts">
import { licenceStanding } from '#core/people/licence'
import { dayText } from '#core/calendar/dayText'
import { toldDepth } from '#core/quantity/toldDepth'
import type { Today } from '#shared/schemas/today'

/** Who may go back when, and what needs looking after: calibrations, stock. */
const props = defineProps<{ today: Today }>()
const crew = useCrewStore()
const own = useSelfStore()
const shown = useShown()
/** Reminded of before it ends, and from then on. */
const licence = computed(() => {
  if (!own.person || own.open) return undefined
  const standing = licenceStanding(own.person.licence, own.person.licenceEnds, crew.today())
  return standing === 'ends-soon' ? 'ends on' : standing === 'ended' ? 'ended on' : undefined
})
const until = (instant: string) => instantText(instant, crew.organization?.timeZone).replace(/ \d{4}/, '')
const hours = (instant: string) => {
  const minutes = Math.max(0, Math.round((Date.parse(instant) - Date.parse(props.today.now)) / 60_000))
  return `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
</script>

<template>
  <div class="space-y-6">
    <section aria-labelledby="back-title">
      <h2 id="back-title">Back on the lawn</h2>
      <p v-if="today.reentry.length === 0" class="soft">No re-entry time is running.</p>
      <ul>
        <li v-for="row in today.reentry" :key="row.applicationId" class="rule-b py-1.5">
          <NuxtLink :to="`/records/${row.applicationId}`" class="way-out">{{ row.site }}</NuxtLink>: nobody
          before <strong>{{ until(row.until) }}</strong>
          <span class="small soft block"
            >{{ row.products }}, {{ hours(row.until) }} to go, and not before it is dry</span
          >
        </li>
      </ul>
    </section>
    <section v-if="today.water.length > 0" aria-labelledby="water-title">
      <h2 id="water-title">Not yet watered in</h2>
      <ul>
        <li v-for="row in today.water" :key="row.applicationId" class="rule-b py-1.5">
          <UIcon v-if="row.state === 'late'" name="i-lucide-triangle-alert" class="warn" />
          <NuxtLink :to="`/records/${row.applicationId}`" class="way-out">{{ row.site }}</NuxtLink>:
          {{ toldDepth(row.left, crew.units) }} to come<template v-if="row.until"
            >, {{ row.state === 'late' ? 'was due' : 'until' }}
            <strong>{{ until(row.until) }}</strong></template
          >
          <span class="small soft block">{{ row.products }}; a gauge or a timer says when it is in</span>
        </li>
      </ul>
    </section>
    <section v-if="today.looks.length > 0" aria-labelledby="looks-title">
      <h2 id="looks-title">Lawns to look at</h2>
      <ul>
        <li v-for="row in today.looks" :key="row.applicationId" class="rule-b py-1.5">
          <NuxtLink :to="`/records/${row.applicationId}`" class="way-out">{{ row.site }}</NuxtLink>
          <span class="soft"> since {{ dayText(row.due).replace(/ \d{4}$/, '') }}</span>
          <span class="small soft block">{{ row.products }}</span>
        </li>
      </ul>
    </section>
    <section v-if="licence" aria-labelledby="licence-title">
      <h2 id="licence-title">Your licence</h2>
      <p>
        <UIcon name="i-lucide-triangle-alert" class="warn" /> It {{ licence }}
        <NuxtLink to="/you" class="way-out">{{ dayText(own.person?.licenceEnds ?? '') }}</NuxtLink>
      </p>
    </section>
    <section aria-labelledby="stale-title">
      <h2 id="stale-title">Calibrations to renew</h2>
      <p v-if="today.stale.length === 0" class="soft">Every calibration is fresh.</p>
      <ul>
        <li v-for="row in today.stale" :key="row.equipmentId" class="rule-b py-1.5">
          <UIcon name="i-lucide-triangle-alert" class="warn" />
          <NuxtLink :to="`/equipment/${row.equipmentId}`" class="way-out">{{ row.equipment }}</NuxtLink>{{
            ' '
          }}
          <span class="soft">{{
            row.on === ''
              ? 'never calibrated'
              : `${row.days} days old, ${dayText(row.on).replace(/ \d{4}$/, '')}`
          }}</span>
        </li>
      </ul>
    </section>
    <section aria-labelledby="low-title">
      <h2 id="low-title">To be bought</h2>
      <p v-if="today.low.length === 0" class="soft">Nothing is low.</p>
      <ul>
        <li v-for="row in today.low" :key="`${row.productId} ${row.dimension}`" class="rule-b low py-1.5">
          <span
            ><UIcon name="i-lucide-triangle-alert" class="warn" />
            <NuxtLink :to="`/products/${row.productId}`" class="way-out">{{ row.product }}</NuxtLink></span
          >
          <span><FigureText :shown="shown.stock(row)" /> left</span>
        </li>
      </ul>
    </section>
    <p class="soft small">Re-entry, notices and what may go out: the label and local rules decide.</p>
  </div>
</template>

<style scoped>
.warn {
  color: var(--warn);
  vertical-align: -2px;
}
.low {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
</style>
