/** A short tone, and a tap of the phone where it can: heard and felt while the eyes are on the nozzle. */
export function useTone() {
  let context: AudioContext | undefined
  const TONE = { hertz: 880, seconds: 0.35, loud: 0.4 }
  return {
    /** Sound is allowed only after somebody pressed something: call it from a press. */
    ready: () => {
      context ??= new AudioContext()
      void context.resume()
    },
    sound: () => {
      navigator.vibrate?.(300)
      if (!context) return
      const [oscillator, gain] = [context.createOscillator(), context.createGain()]
      oscillator.frequency.value = TONE.hertz
      gain.gain.setValueAtTime(TONE.loud, context.currentTime)
      gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + TONE.seconds)
      oscillator.connect(gain).connect(context.destination)
      oscillator.start()
      oscillator.stop(context.currentTime + TONE.seconds)
    },
    end: () => {
      void context?.close()
      context = undefined
    },
  }
}
