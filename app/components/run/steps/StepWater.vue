<script setup lang="ts">
import { readPositive, type Entered } from '#core/quantity/entered'
import { lengthSi } from '#core/quantity/quantity'
import { depthIn, depthUnitOf, toldDepth } from '#core/quantity/toldDepth'
import type { LengthUnit } from '#core/quantity/units'
import { zonesOf } from '#core/run/aftercare/zonesOf'
import { waterStanding, zoneMinutes } from '#core/run/aftercare/waterIn'
import { openWorkingBook } from '#core/working/working'
import type { EventBody } from '~/composables/run/useRun'

/** Watering in: how long each zone runs, until when, and what a gauge says of it. */
const { frozen, progress, record, document, keep, done } = useRunScreen()
const crew = useCrewStore()
const library = useLibraryStore()
const limits = computed(() => frozen.value.limits)
const depth = computed(() => limits.value?.waterDepth)
const zones = computed(() => zonesOf(document.value, library.areas))
const book = computed(() => {
  const pages = openWorkingBook()
  const minutes = depth.value === undefined ? [] : zoneMinutes(depth.value, zones.value, pages)
  return { minutes, lines: pages.pages().flatMap(({ lines }) => lines) }
})
const standing = computed(() =>
  waterStanding(
    { depth: depth.value, withinHours: limits.value?.waterHours },
    record.value.endedAt ?? record.value.finishedAt ?? crew.now(),
    progress.value.watered.map(({ depth: given }) => lengthSi(given)),
    crew.now(),
  ),
)
const until = computed(() =>
  standing.value.until ? instantText(standing.value.until, crew.organization?.timeZone) : '',
)
const unit = depthUnitOf(crew.units)
/** What is still to come stands there to begin with. */
const toCome = () =>
  depth.value === undefined ? '' : String(Number(depthIn(standing.value.left, crew.units).toFixed(2)))
const entered = ref<Entered<LengthUnit>>({ text: toCome(), unit })
const read = computed(() =>
  entered.value.text.trim() === '' ? undefined : readPositive(entered.value, 'length', 'Water'),
)
async function water(from: 'irrigation' | 'rain') {
  if (!read.value?.ok) return
  await keep([{ kind: 'watered', payload: { from, depth: read.value.value } } as EventBody])
  entered.value = { text: toCome(), unit }
}
const title = computed(() =>
  depth.value === undefined
    ? limits.value?.rainfastHours === undefined
      ? 'Nothing to water in'
      : 'Keep it dry'
    : standing.value.state === 'in'
      ? 'It is watered in'
      : 'Water it in',
)
</script>

<template>
  <RunFrame :title="title" action="On" @act="done()">
    <template v-if="depth !== undefined">
      <RunRow word="by the label" :text="toldDepth(depth, crew.units)" />
      <RunRow v-if="until" word="until" :text="until" />
      <RunRow
        v-for="zone in book.minutes"
        :key="zone.name"
        :word="`zone ${zone.name}`"
        :text="`${Math.round(zone.minutes)} min`"
      />
      <InlineWorking v-if="zones.length > 0" :lines="book.lines" />
      <p v-if="zones.length === 0" class="soft">
        No zone of these lawns says what it gives in an hour: a gauge on the ground tells when it is in.
      </p>
      <RunAnswer
        :level="standing.state === 'in' ? 'good' : 'note'"
        :words="
          standing.state === 'in'
            ? 'All of it is in, by what was confirmed.'
            : `Not yet watered in: ${toldDepth(standing.left, crew.units)} to come by a gauge.`
        "
      />
      <template v-if="standing.state !== 'in'">
        <RunFigure
          path="depth"
          label="In the gauge, or run by a timer"
          kind="length"
          :entered="entered"
          :units="['in', 'mm']"
          :problem="read && !read.ok ? read.error.message : undefined"
          @change="entered = $event"
        />
        <div class="pair">
          <UButton
            size="xl"
            icon="i-lucide-droplets"
            label="Irrigation gave it"
            :disabled="!read?.ok"
            @click="water('irrigation')"
          />
          <UButton
            size="xl"
            icon="i-lucide-cloud-rain"
            label="Rain gave it"
            :disabled="!read?.ok"
            @click="water('rain')"
          />
        </div>
        <p class="soft">It can be confirmed later too, on the record; Today goes on saying that it waits.</p>
      </template>
    </template>
    <template v-else-if="limits?.rainfastHours !== undefined">
      <RunRow word="no rain, no sprinkler for" :text="`${limits.rainfastHours} h`" />
      <p class="soft">Switch off any irrigation run that falls into it.</p>
    </template>
    <p v-else class="soft">No label of this job asks for water behind it.</p>
    <p v-if="document.fate?.water" class="pt-2">Noted with the job: {{ document.fate.water }}</p>
  </RunFrame>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  padding: 12px 0;
}
.pair > * {
  min-height: 56px;
  justify-content: center;
}
</style>
