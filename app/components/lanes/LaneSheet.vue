<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'
import { laneProblemWords } from '#core/lanes/lawns/laneWords'
import type { SheetLanes } from '~/composables/job/useLanes'
import type { JobDraft } from '~/composables/job/useJobDraft'

/** Lanes on paper: the plan of each pass, where one stops, and room to write down what was left. */
const props = defineProps<{ worked: SheetLanes; job: JobDraft }>()
const { document, sheet } = useSheet()
const shown = useShown()
const told = useLaneAmount()
const nameOf = (id: string) => props.worked.lanes.lawns.find((one) => one.id === id)?.name ?? ''
const fills = computed(() => props.worked.lanes.stops.some(({ fill }) => fill !== undefined))
const shapesOf = (id: string) => props.worked.layout.shapes.filter(({ lawnId }) => lawnId === id)
</script>

<template>
  <article class="space-y-3">
    <header class="flex items-baseline justify-between gap-4 border-b-2 border-(--ink) pb-1">
      <h1>Lanes · {{ job.site || 'Unnamed site' }}</h1>
      <p>{{ document[document.method].equipment }}</p>
    </header>
    <p>
      Lanes
      <FigureText v-if="sheet.calibration" :shown="shown.distance(sheet.calibration.width)" /> apart<template
        v-if="sheet.calibration?.speedToday"
        >, at <FigureText :shown="shown.speed(sheet.calibration.speedToday)" /></template
      ><template v-if="sheet.dial"
        >, dial at <strong>{{ sheet.dial.setting }}</strong></template
      >; <FigureText :shown="shown.distance(worked.lanes.metres)" />, {{ worked.lanes.turns }} turns,
      {{ formatMinutes(worked.lanes.seconds) }} min on foot. Broken lines are laps;
      {{ worked.question.shutSide ?? 'right' }} side to the edge.
    </p>
    <template v-for="lawn in worked.lanes.lawns" :key="lawn.id">
      <p v-if="lawn.problem">▲ {{ laneProblemWords(lawn.problem, lawn.name) }}</p>
      <figure v-for="(pass, i) in lawn.plan?.passes ?? []" :key="i" class="one-pass">
        <figcaption>
          <strong>{{ lawn.name }}</strong>, pass {{ i + 1 }}: lanes {{ pass.lanes[0]?.number }} to
          {{ pass.lanes.at(-1)?.number }}
        </figcaption>
        <LaneDrawing :lawn="lawn" :shapes="shapesOf(lawn.id)" :stops="worked.lanes.stops" :pass="i + 1" />
      </figure>
    </template>
    <table v-if="worked.lanes.stops.length > 0" class="on-paper">
      <thead>
        <tr>
          <th scope="col">Stop after lane</th>
          <th scope="col" class="num">should be left</th>
          <th v-if="fills" scope="col" class="num">fill in</th>
          <th scope="col" class="was">was left</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="stop in worked.lanes.stops" :key="`${stop.lawnId} ${stop.afterLane} ${stop.at.join(' ')}`">
          <td>
            {{ stop.within ? 'in ' : '' }}<strong>{{ stop.afterLane }}</strong> {{ STOP_WORDS[stop.why] }},
            {{ nameOf(stop.lawnId) }}
          </td>
          <td class="num"><FigureText :shown="told(stop.left)" /></td>
          <td v-if="fills" class="num">
            <FigureText v-if="stop.fill !== undefined" :shown="told(stop.fill)" /><template
              v-if="stop.fill !== undefined && stop.toTruck !== undefined"
              >, <FigureText :shown="shown.distance(stop.toTruck)" /> to the truck</template
            >
          </td>
          <td class="was"><i class="blank" /></td>
        </tr>
      </tbody>
    </table>
    <ul class="small list-disc ps-4">
      <li v-for="reason in worked.lanes.lawns.flatMap((lawn) => lawn.reasons)" :key="reason">
        {{ reason }}
      </li>
    </ul>
    <p class="soft small">
      The label is the law. Keep granules and spray off paving, beds and water; sweep what lands there back.
    </p>
  </article>
</template>

<style scoped>
.blank {
  display: inline-block;
  width: 110px;
  border-bottom: 1.5px solid var(--ink);
  height: 1.2em;
}
.was {
  padding-left: 28px;
}
.one-pass {
  break-inside: avoid;
}
</style>
