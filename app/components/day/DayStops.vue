<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { MixStop, CommonMix } from '#core/job/route/commonMix'
import { formatFigure } from '#core/quantity/format'
import { prettyUnits } from '#core/quantity/systems'
import type { Job } from '#shared/schemas/job'

/** The stops of a day in driving order; what each takes out of a common tank. */
const props = defineProps<{
  jobs: readonly Job[]
  mixes: readonly CommonMix[]
  unready: readonly Job[]
  stopped: ReadonlyMap<string, readonly string[]>
}>()
const emit = defineEmits<{ move: [from: number, to: number] }>()
const list = useTemplateRef('list')
useDragOrder(list, (from, to) => emit('move', from, to))
const stopsOf = (jobId: string) =>
  props.mixes.flatMap(({ stops, unit }) =>
    stops.filter((stop) => stop.jobId === jobId).map((stop) => ({ stop, unit })),
  )
const told = (value: number) => (value < 5e-4 ? '0' : formatFigure(value))
const words = ({ arrives, takes, makes }: MixStop, unit: string) =>
  `arrives with ${told(arrives)} ${unit}, ` +
  (makes.length === 0
    ? 'makes none'
    : `makes ${plural(makes.length, 'load')} ${makes.map(({ number }) => number).join(', ')}`) +
  ', ' +
  `takes ${told(takes)} ${unit}, drives on with`
</script>

<template>
  <section aria-labelledby="stops-title">
    <h2 id="stops-title">Stops, in driving order</h2>
    <ol ref="list">
      <li v-for="(job, i) in jobs" :key="job.id" class="rule-b stop">
        <strong class="figure flex items-center gap-1"><DragGrip v-if="jobs.length > 1" />{{ i + 1 }}</strong>
        <div class="min-w-0">
          <p>
            <NuxtLink :to="`/jobs/${job.id}`" class="way-out">{{ job.site || 'Unnamed site' }}</NuxtLink>
            <span class="soft">{{ job.purpose }}</span>
          </p>
          <p class="small soft">
            {{
              job.applications
                .map(
                  ({ document }) =>
                    document.products
                      .map(({ name }) => name)
                      .filter(Boolean)
                      .join(' + ') || 'nothing chosen yet',
                )
                .join('; then ')
            }}
          </p>
        </div>
        <StateMark class="small" :level="JOB_MARKS[job.state]" :words="job.state" />
        <span class="no-print small flex gap-3 moves">
          <UButton variant="link" size="sm" :disabled="i === 0" @click="emit('move', i, i - 1)">
            Earlier<span class="sr-only">, {{ job.site }}</span>
          </UButton>
          <UButton variant="link" size="sm" :disabled="i === jobs.length - 1" @click="emit('move', i, i + 1)">
            Later<span class="sr-only">, {{ job.site }}</span>
          </UButton>
        </span>
        <div class="along">
          <p v-for="{ stop, unit } in stopsOf(job.id)" :key="stop.applicationId" class="small">
            ≈ {{ words(stop, unit) }}
            <FigureText
              :shown="{ figure: told(stop.leaves), unit }"
              :page="`mix.${stop.applicationId}`"
              :label="`Drives on from ${job.site}`"
            />
          </p>
          <p v-if="unready.some(({ id }) => id === job.id)" class="small">
            <StateMark level="warn" words="Something on its sheet is still missing: it is not in the sums." />
          </p>
          <p v-for="message in stopped.get(job.id)" :key="message" class="small">
            <StateMark level="stop" :words="prettyUnits(message)" />
          </p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.stop {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 4px 14px;
  padding: 8px 0;
  align-items: baseline;
}
.along {
  grid-column: 2 / -1;
}
.stop button:disabled {
  opacity: 0.45;
  cursor: default;
}
@media (max-width: 760px) {
  .stop {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }
  .moves {
    grid-column: 2 / -1;
    min-height: 32px;
  }
}
</style>
