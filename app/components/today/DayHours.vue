<script setup lang="ts">
import { dayLine } from '#core/calendar/dayLine'
import { dayText } from '#core/calendar/dayText'
import type { Today } from '#shared/schemas/today'

/** The day as a line with its hours: what runs since when, who may go back when, and where now is. */
const props = defineProps<{ today: Today }>()
const crew = useCrewStore()
const zone = computed(() => crew.organization?.timeZone ?? 'UTC')
const clock = (instant: string) => instantText(instant, zone.value).split(', ')[1] ?? ''
/** Today's hour alone; another day with its date. */
const untilWords = (instant: string) => {
  const words = instantText(instant, zone.value)
  return words.startsWith(`${dayText(props.today.day)},`) ? clock(instant) : words.replace(/ \d{4}/, '')
}
const spans = computed(() => [
  ...props.today.running.map(({ applicationId, site, startedAt }) => ({
    key: `run ${applicationId}`,
    kind: 'run' as const,
    words: `${site || 'Unnamed site'}, running since ${clock(startedAt)}`,
    from: startedAt,
    to: props.today.now,
  })),
  ...props.today.reentry.map(({ applicationId, site, until }) => ({
    key: `off ${applicationId}`,
    kind: 'off' as const,
    words: `${site || 'Unnamed site'}, keep off until ${untilWords(until)}`,
    from: props.today.now,
    to: until,
  })),
])
const line = computed(() => dayLine(spans.value, props.today.day, props.today.now, zone.value))
const STEP = 2
const hours = computed(() =>
  Array.from(
    { length: Math.floor((line.value.to - line.value.from) / STEP) + 1 },
    (_, i) => line.value.from + i * STEP,
  ),
)
const percent = (share: number) => `${(100 * share).toFixed(2)}%`
const at = (hour: number) => percent((hour - line.value.from) / (line.value.to - line.value.from))
</script>

<template>
  <section v-if="spans.length > 0" aria-label="The day by its hours" class="day-hours">
    <ul>
      <li v-for="(span, i) in spans" :key="span.key">
        <span class="small words">{{ span.words }}</span>
        <span class="track" aria-hidden="true"
          ><span
            class="bar"
            :class="[span.kind, { beyond: line.bars[i]?.beyond }]"
            :style="{
              left: percent(line.bars[i]?.from ?? 0),
              width: percent((line.bars[i]?.to ?? 0) - (line.bars[i]?.from ?? 0)),
            }"
        /></span>
      </li>
    </ul>
    <div class="scale" aria-hidden="true">
      <span v-for="hour in hours" :key="hour" class="soft hour" :style="{ left: at(hour) }">{{ hour }}</span>
      <span class="now" :style="{ left: percent(line.now) }" />
    </div>
  </section>
</template>

<style scoped>
.day-hours {
  position: relative;
  padding: 8px 24px 0;
}
.words {
  display: block;
}
.track {
  position: relative;
  display: block;
  height: 12px;
  margin: 1px 0 5px;
  border-bottom: 1px solid var(--rule);
}
.bar {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 4px;
}
.run {
  background: var(--action);
}
.off {
  border: 1.5px solid var(--stop);
  background: repeating-linear-gradient(135deg, transparent 0 4px, var(--stop) 4px 5.5px);
}
.beyond {
  border-right-style: dashed;
}
.scale {
  position: relative;
  height: 22px;
}
.hour {
  position: absolute;
  transform: translateX(-50%);
  font-size: 13px;
  font-variant-numeric: tabular-nums;
}
.now {
  position: absolute;
  top: -6px;
  width: 0;
  height: 0;
  border: 6px solid transparent;
  border-bottom-color: var(--ink);
  border-top: 0;
  transform: translateX(-50%);
}
@media (max-width: 760px) {
  .day-hours {
    padding: 8px 16px 0;
  }
}
</style>
