<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { showQuantity } from '#core/quantity/systems'
import { gateWeather } from '#core/run/gate/gateWeather'
import type { RunRecord } from '#core/run/foldRun'
import type { LookEntry } from '#core/run/carriedShape'
import { planDifferences } from '#core/run/seenPlan'
import type { Quantity } from '#core/quantity/quantity'

/** What was written down on the way and afterwards, beside the outcome. */
const { record } = defineProps<{ record: RunRecord }>()
const crew = useCrewStore()
const progress = computed(() => record.progress)
const light = computed(() => progress.value.light ?? [])
const when = (instant: string) => instantText(instant, crew.organization?.timeZone)
const told = (quantity: Quantity) => `${showQuantity(quantity).figure} ${showQuantity(quantity).unit}`
const WAYS = { weighed: 'weighed', read: 'read off a mark', eye: 'judged by eye' } as const
const TAKES = { mix: 'the rest mixed for it', pace: 'the pace changed', plan: 'left as planned' } as const
const RESULTS = {
  '': '',
  worked: 'worked',
  partly: 'worked in part',
  failed: 'broke through',
  harmed: 'harmed the turf',
} as const

interface Line {
  readonly at: string
  readonly words: string
  readonly more?: string
}
/** All notes in the order in which they were made. */
const lines = computed((): readonly Line[] => {
  const { gates, checked, covered, settings, pauses, mishaps, watered, notes } = progress.value
  return [
    ...gates.map(({ at, decision, readings, findings, reason }) => ({
      at,
      words: `${decision === 'go' ? 'Go' : 'Waited'}: ${gateWeather(readings) || 'nothing was read'}`,
      more: [...findings.map(({ message }) => message), reason ? `Went all the same: ${reason}` : '']
        .filter(Boolean)
        .join(' '),
    })),
    ...checked.map(({ at, pass, share, left, way }) => ({
      at,
      words: `Pass ${pass}, ${Math.round(100 * share)} % of it: ${told(left)} left, ${WAYS[way]}`,
    })),
    ...covered.map(({ at, load, covered: ground, take }) => ({
      at,
      words: `Load ${load} covered ${told(ground)}: ${TAKES[take]}`,
    })),
    ...settings.map(({ at, dial, pace }) => ({
      at,
      words: [dial ? `dial ${dial}` : '', pace ? `pace ${told(pace)}` : ''].filter(Boolean).join(', '),
    })),
    ...pauses.map(({ from, to, reason }) => ({
      at: from,
      words: `Paused${to ? ` until ${when(to)}` : ''}${reason ? `: ${reason}` : ''}`,
    })),
    ...mishaps.map(({ at, what, words }) => ({ at, words: `${what}${words ? `: ${words}` : ''}` })),
    ...watered.map(({ at, from, depth }) => ({ at, words: `${told(depth)} of water by ${from}` })),
    ...notes.map(({ at, words }) => ({ at, words })),
  ].toSorted((a, b) => (a.at < b.at ? -1 : 1))
})
const lookWords = ({ result, rating, untreated, patch, words }: LookEntry) =>
  [
    RESULTS[result],
    rating === undefined ? '' : `turf ${rating} of 9`,
    untreated === undefined ? '' : `untreated ${untreated}`,
    patch ? `patch ${told(patch)}` : '',
    words,
  ]
    .filter(Boolean)
    .join(', ')
const common = computed(() => record.frozen.common)
const differences = computed(() => planDifferences(record.frozen, crew.units))
const signature = computed(() => progress.value.signed.at(-1))
</script>

<template>
  <section v-if="differences.length > 0">
    <h2>Begun without a network</h2>
    <ul>
      <li v-for="(words, i) in differences" :key="i">{{ words }}</li>
    </ul>
  </section>
  <section v-if="lines.length > 0">
    <h2>On the way</h2>
    <ol>
      <li v-for="(line, i) in lines" :key="i" class="rule-b py-1">
        {{ line.words }} <span class="soft small">{{ when(line.at) }}</span>
        <span v-if="line.more" class="block small">{{ line.more }}</span>
      </li>
    </ol>
  </section>
  <section v-if="common">
    <h2>One mix for several sites</h2>
    <p v-if="common.from">
      {{ progress.tank ? '' : 'As planned: ' }}{{ told(progress.tank?.found ?? common.arrives) }} came along
      from {{ common.from.site }}.
    </p>
    <p v-if="common.to && record.used">{{ told(record.used.left) }} drove on to {{ common.to.site }}.</p>
  </section>
  <section v-if="progress.strips.length > 0">
    <h2>Extra strips</h2>
    <ul>
      <li v-for="strip in progress.strips" :key="strip.id">
        {{ strip.name || 'A strip' }}: {{ told(strip.amount) }} on {{ told(strip.size) }}, booked there
      </li>
    </ul>
  </section>
  <section v-if="light.length > 0">
    <h2>What lacked behind</h2>
    <ul>
      <li v-for="(pass, i) in light" :key="i">
        {{ told(pass.amount) }} on {{ Math.round(100 * pass.from) }} to {{ Math.round(100 * pass.to) }} % of
        the last pass: {{ pass.done === 'yes' ? 'made up in a light pass' : 'left, that ground is short' }}
        <template v-if="pass.dial"> at dial {{ pass.dial }}</template>
      </li>
    </ul>
  </section>
  <section v-if="progress.photos.length > 0">
    <h2>Photos</h2>
    <div class="photos">
      <figure v-for="photo in progress.photos" :key="photo.attachmentId">
        <img :src="crewUrl(`/attachments/${photo.attachmentId}`)" :alt="photo.words || 'Photo of the run'" />
        <figcaption class="small">
          {{ photo.words }} <span class="soft">{{ when(photo.at) }}</span>
        </figcaption>
      </figure>
    </div>
  </section>
  <section v-if="progress.looks.length > 0">
    <h2>Looked at afterwards</h2>
    <ul>
      <li v-for="(look, i) in progress.looks" :key="i" class="rule-b py-1">
        <strong>{{ dayText(look.on) }}</strong>: {{ lookWords(look) }}
        <span class="soft small"
          >Actual rate
          {{ record.outcomes.map(({ actualRate }) => told(actualRate)).join(', ') || 'not known' }}</span
        >
      </li>
    </ul>
  </section>
  <p v-if="signature">
    Signed {{ signature.name }}, {{ when(signature.at) }}
    <svg
      v-if="signature.mark"
      class="mark"
      viewBox="0 0 360 120"
      role="img"
      :aria-label="`Mark of ${signature.name}`"
    >
      <path :d="signature.mark" fill="none" stroke="currentColor" stroke-width="2.5" stroke-linecap="round" />
    </svg>
  </p>
</template>

<style scoped>
.photos {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 12px;
}
.photos img {
  width: 100%;
}
.mark {
  width: 180px;
  height: 60px;
  display: block;
}
</style>
