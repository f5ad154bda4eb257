import { anchorFor, type Anchor } from '#core/ground/geodesy'
import type { Ring } from '#core/ground/plane'
import type { Fix, WalkTrack } from '#core/ground/walkTrack'
import { TRIAL_LAWN } from '#core/simulated/simulatedWalk'
import { EMPTY_TRACK, withCorner, withFix, withoutLastCorner } from '#core/ground/walkTrack'
import { phoneSource, simulatedSource, type PositionSource } from './positionSource'

export type WalkState = 'ready' | 'walking' | 'paused'

/**
 * Where a site with no position yet is put when the stand-in walks it; a place in the open sea, so that
 * nobody takes it for theirs.
 */
const NOWHERE: Anchor = { lat: 39, lon: -70, bearing: 0 }
/** Positions a second of the stand-in: eight times life. */
const FASTER = 8

/**
 * A perimeter being walked. The track is kept on the plan's own axes; without an anchor the first position
 * becomes one.
 * @param anchor of the site, if it has one
 * @param outline what the stand-in walks round; a trial lawn when there is none
 */
export function useWalk(anchor: () => Anchor | undefined, outline: () => Ring) {
  const track = shallowRef<WalkTrack>(EMPTY_TRACK)
  const state = ref<WalkState>('ready')
  const words = ref('')
  const found = shallowRef<Anchor>()
  const usedAnchor = computed(() => anchor() ?? found.value)
  let source: PositionSource | undefined

  function take(fix: Fix) {
    words.value = ''
    if (!usedAnchor.value) found.value = anchorFor([fix.place])
    if (usedAnchor.value) track.value = withFix(track.value, fix, usedAnchor.value)
  }
  function walk() {
    state.value = 'walking'
    source?.start(take, (problem) => {
      words.value = problem
      state.value = 'paused'
    })
  }
  function pause() {
    source?.stop()
    state.value = 'paused'
  }
  /** @param from `phone` or the stand-in; @param seed of the stand-in's errors */
  function start(from: 'phone' | 'stand-in', seed: number) {
    source?.stop()
    track.value = EMPTY_TRACK
    found.value = undefined
    const ring = outline().length >= 3 ? outline() : TRIAL_LAWN
    source = from === 'phone' ? phoneSource() : simulatedSource(ring, anchor() ?? NOWHERE, seed, FASTER)
    walk()
  }
  const corner = () => {
    track.value = withCorner(track.value)
  }
  const undo = () => {
    track.value = withoutLastCorner(track.value)
  }
  onScopeDispose(() => source?.stop())
  return { track, state, words, usedAnchor, start, pause, resume: walk, corner, undo }
}
