<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { Anchor } from '#core/ground/geodesy'
import { crossings } from '#core/ground/crossings'
import { withoutSmallLoops } from '#core/ground/cutLoops'
import { ringArea, type Point, type Ring } from '#core/ground/plane'
import { simplify } from '#core/ground/simplify'
import { meanPointError, outlineOf, WORST_ACCURACY } from '#core/ground/walkTrack'
import { ringToMillimetre } from '#core/ground/editOutline'

/**
 * Walking the edge: one large button for what comes next, within reach of a thumb; the way grows on the plan.
 */
export interface WalkedOutline {
  readonly points: Ring
  readonly pointError: number
  readonly origin: string
  readonly anchor: Anchor
}

const props = defineProps<{ anchor: Anchor | undefined; outline: Ring }>()
const emit = defineEmits<{
  way: [points: readonly Point[], corners: readonly Point[]]
  done: [outline: WalkedOutline]
  stop: []
}>()
const shown = useShown()
const { track, state, words, usedAnchor, start, pause, resume, corner, undo } = useWalk(
  () => props.anchor,
  () => props.outline,
)
/** Wobbles smaller than this are the position's, not the lawn's, m. */
const SMOOTH_M = 0.5
const by = ref<'track' | 'corners'>('track')
const WAYS = [
  { value: 'corners', text: 'straight between corners' },
  { value: 'track', text: 'as walked' },
] as const
const tidied = computed(() =>
  withoutSmallLoops(simplify(outlineOf(track.value, by.value), by.value === 'track' ? SMOOTH_M : 0)),
)
const ring = computed(() => ringToMillimetre(tidied.value.ring))
const enough = computed(() => ring.value.length >= 3)
const crossed = computed(() => (enough.value ? crossings(ring.value).length : 0))
const error = computed(() => meanPointError(track.value))

watch(track, ({ points, corners }) =>
  emit(
    'way',
    points,
    corners.map((index) => points[index]!),
  ),
)
function finish() {
  if (!enough.value || !usedAnchor.value || error.value === undefined) return
  pause()
  emit('done', {
    points: ring.value,
    pointError: error.value,
    anchor: usedAnchor.value,
    origin:
      by.value === 'corners'
        ? `${ring.value.length} corners walked`
        : `${track.value.points.length} positions walked, wobbles under ${SMOOTH_M} m left ` +
          'out' +
          (tidied.value.cut > 0
            ? `, ${tidied.value.cut} small ${plural(tidied.value.cut, 'loop')} cut off`
            : ''),
  })
}
</script>

<template>
  <section class="walk" aria-label="Walk the edge">
    <p v-if="state === 'ready'" class="small">
      Stand at a corner of the edge. Walk it once round at an even pace; mark corners where you turn.
    </p>
    <p v-else class="figures" role="status">
      <strong class="figure"
        ><template v-if="enough"><FigureText :shown="shown.size(ringArea(ring))" /></template
        ><template v-else>walk on …</template></strong
      >
      <span class="soft small ml-2"
        >{{ track.points.length }} positions, {{ track.corners.length }}
        {{ plural(track.corners.length, 'corner')
        }}<template v-if="error !== undefined"
          >, each off by about {{ shown.distance(error).figure }} {{ shown.distance(error).unit }}</template
        ></span
      >
    </p>
    <p v-if="words" class="small astray" role="alert">{{ words }}</p>
    <p v-if="track.refused > 0" class="small soft">
      {{ track.refused }} positions were worse than {{ WORST_ACCURACY }} m and not taken.
    </p>
    <p v-if="crossed > 0 && state === 'paused'" class="small astray">
      The way crosses itself: undo back to where it went wrong, or move its corners afterwards.
    </p>
    <div class="buttons">
      <template v-if="state === 'ready'">
        <UButton
          class="big"
          color="primary"
          variant="solid"
          label="Walk with this phone"
          @click="start('phone', 1)"
        />
        <UButton class="big" label="Walk with the stand-in" @click="start('stand-in', 1)" />
      </template>
      <template v-else>
        <UButton
          v-if="state === 'walking'"
          class="big"
          color="primary"
          variant="solid"
          label="Corner here"
          :disabled="track.points.length === 0"
          @click="corner"
        />
        <UButton
          v-else
          class="big"
          color="primary"
          variant="solid"
          label="Take this outline"
          :disabled="!enough"
          @click="finish"
        />
        <UButton v-if="state === 'walking'" class="big" label="Pause" @click="pause" />
        <UButton v-else class="big" label="Walk on" @click="resume" />
        <UButton class="big" label="Undo last corner" :disabled="track.points.length === 0" @click="undo" />
      </template>
    </div>
    <p class="small row">
      <RadioField
        v-if="track.corners.length >= 3"
        label="Between the corners"
        :value="by"
        :choices="WAYS"
        @change="by = $event"
      />
      <UButton variant="link" size="sm" @click="emit('stop')">
        {{ state === 'ready' ? 'Not now' : 'Leave it' }}
      </UButton>
      <span v-if="state === 'ready'" class="soft"
        >The stand-in plays a walk with a phone’s usual error, to try it without a lawn.</span
      >
    </p>
  </section>
</template>

<style scoped>
.walk {
  padding: 8px 10px;
  border: var(--rule-width) solid var(--rule-strong);
  border-top: 0;
  background: var(--sheet);
}
.buttons {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 8px;
  margin: 6px 0;
}
.big {
  min-height: 44px;
  justify-content: center;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
.astray {
  color: var(--warn);
  font-weight: 600;
}
@media (pointer: coarse) {
  .big {
    min-height: 56px;
    font-size: 17px;
  }
}
</style>
