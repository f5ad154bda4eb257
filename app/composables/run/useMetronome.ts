import { useIntervalFn } from '@vueuse/core'

const CLICK_HZ = 880
const CLICK_SECONDS = 0.05

/** A beat one can walk by: heard, and seen as `beats` counts up. */
export function useMetronome(seconds: () => number | undefined) {
  const beats = ref(0)
  const loud = ref(true)
  let audio: AudioContext | undefined

  function click() {
    beats.value += 1
    if (!loud.value || !audio) return
    const tone = audio.createOscillator()
    const volume = audio.createGain()
    tone.frequency.value = CLICK_HZ
    volume.gain.setValueAtTime(0.4, audio.currentTime)
    volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + CLICK_SECONDS)
    tone.connect(volume).connect(audio.destination)
    tone.start()
    tone.stop(audio.currentTime + CLICK_SECONDS)
  }
  const { isActive, pause, resume } = useIntervalFn(click, () => Math.max(200, 1000 * (seconds() ?? 1)), {
    immediate: false,
  })
  function toggle() {
    if (isActive.value) return pause()
    // Browsers let a page be heard only after a press.
    audio ??= new AudioContext()
    void audio.resume()
    resume()
  }
  onScopeDispose(() => {
    pause()
    void audio?.close()
  })
  return { beats, loud, running: isActive, toggle }
}
