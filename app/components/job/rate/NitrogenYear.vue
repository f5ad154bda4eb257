<script setup lang="ts">
import { NUTRIENT_NAMES } from '#core/label/label'
import type { LawnNitrogen } from '#core/rules/nutrientYear'

/**
 * Nitrogen of the year on each lawn: what lies there, what this application adds, what its grass wants. Only
 * where there is any.
 */
const { sheet } = useSheet()
const nitrogen = computed(() => sheet.value.nitrogen)
const shown = useShown()
const rows = computed(() =>
  nitrogen.value.filter(
    ({ now, wanted, others }) => (now > 0 && wanted) || others.some((one) => one.now > 0),
  ),
)
/** What was applied, what is planned and what comes now, in one unit. */
function both({ laid, planned, now }: Record<'laid' | 'planned' | 'now', number>) {
  const { figures, unit } = shown.rates([laid - planned, planned, now], 'mass')
  return { figure: figures.filter((_, i) => i !== 1 || planned > 0).join(' + '), unit }
}
/** Slow and quick nitrogen in the unit of the whole; what lies is told only where the labels tell it. */
function release({ laid, now, slow, quick }: LawnNitrogen) {
  const {
    figures: [, , slowLaid, slowNow, quickLaid, quickNow],
  } = shown.rates([laid, now, slow.laid ?? 0, slow.now, quick.laid ?? 0, quick.now], 'mass')
  return slow.laid === undefined
    ? `now slow ${slowNow}, quick ${quickNow}`
    : `slow ${slowLaid} + ${slowNow}, quick ${quickLaid} + ${quickNow}`
}
const aloud = ({ laid, planned, now, wanted: [from, to] = [0, 0] }: LawnNitrogen) => {
  const {
    figures: [applied, plans, comes, least, most],
    unit,
  } = shown.rates([laid - planned, planned, now, from, to], 'mass')
  const stands = planned > 0 ? `${applied} applied, ${plans} planned` : `${applied} applied`
  return `${stands}, ${comes} now, the grass wants ${least} to ${most} ${unit}`
}
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="nitrogen-title" class="mt-4">
    <h2 id="nitrogen-title">Nitrogen this year</h2>
    <ul>
      <li v-for="row in rows" :key="row.lawn.area.id" class="py-1">
        <p class="small flex justify-between gap-2">
          <span>{{ row.lawn.area.name }}</span><FigureText
            :shown="both(row)"
            :page="`nitrogen.${row.lawn.area.id}`"
            :label="`Nitrogen of the year, ${row.lawn.area.name}`"
          />
        </p>
        <YearBar
          :laid="row.laid"
          :now="row.now"
          :frame="row.wanted ?? [0, 0]"
          :over="row.state === 'over'"
          :label="aloud(row)"
        />
        <p v-if="row.now > 0" class="soft small line">
          <FigureText
            :shown="{ figure: release(row), unit: '' }"
            :page="`nitrogen.${row.lawn.area.id}`"
            :label="`Slow and quick nitrogen, ${row.lawn.area.name}`"
          />
        </p>
        <p v-if="row.others.some(({ now }) => now > 0)" class="soft small line">
          <template v-for="one in row.others.filter(({ now }) => now > 0)" :key="one.nutrient"
            >{{ NUTRIENT_NAMES[one.nutrient] }}
            <FigureText
              :shown="both(one)"
              :page="`${one.nutrient}.${row.lawn.area.id}`"
              :label="`${NUTRIENT_NAMES[one.nutrient]} of the year, ${row.lawn.area.name}`"
            />{{ ' ' }}</template
          >
        </p>
      </li>
    </ul>
    <p class="soft small">The frame is what the grass wants in a year.</p>
  </section>
</template>

<style scoped>
/* Lines of figures that open their working: far enough apart for a finger. */
.line {
  padding: 4px 0;
}
</style>
