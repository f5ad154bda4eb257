import type { Anchor } from '#core/ground/geodesy'
import type { Ring } from '#core/ground/plane'
import type { Fix } from '#core/ground/walkTrack'
import { simulatedWalk } from '#core/simulated/simulatedWalk'

/** Something that tells positions while somebody walks: the phone's own, or the stand-in. */
export interface PositionSource {
  readonly start: (onFix: (fix: Fix) => void, onProblem: (words: string) => void) => void
  readonly stop: () => void
}

/** A slow walk, m/s. */
const PACE = 1.3

/**
 * Plays a walk round an outline with the error of a phone, faster than life. It goes on where it was stopped.
 * @param faster positions a second
 */
export function simulatedSource(ring: Ring, anchor: Anchor, seed: number, faster: number): PositionSource {
  const walk = simulatedWalk(ring, anchor, PACE, seed)
  let at = 0
  let timer: ReturnType<typeof setInterval> | undefined
  const stop = () => clearInterval(timer)
  return {
    stop,
    start: (onFix, onProblem) => {
      stop()
      timer = setInterval(() => {
        const fix = walk[at++]
        if (fix) return onFix(fix)
        stop()
        onProblem('The stand-in has come all the way round.')
      }, 1000 / faster)
    },
  }
}

const PROBLEMS: Readonly<Record<number, string>> = {
  1: 'This page may not see where you are: allow it in the browser, or walk with the stand-in.',
  2: 'No position right now: stand clear of walls and trees.',
  3: 'No position came in time: stand clear of walls and trees.',
}

/** The browser's own position; it needs a safe connection (https, or this machine). */
export function phoneSource(): PositionSource {
  let watching: number | undefined
  const stop = () => {
    if (watching !== undefined) navigator.geolocation.clearWatch(watching)
    watching = undefined
  }
  return {
    stop,
    start: (onFix, onProblem) => {
      stop()
      if (!window.isSecureContext || !('geolocation' in navigator))
        return onProblem(
          'This browser tells positions only over https: open the address with https, or walk with the ' +
            'stand-in.',
        )
      watching = navigator.geolocation.watchPosition(
        ({ coords, timestamp }) =>
          onFix({
            place: [coords.longitude, coords.latitude],
            accuracy: coords.accuracy,
            at: timestamp / 1000,
          }),
        ({ code }) => onProblem(PROBLEMS[code] ?? 'No position right now.'),
        { enableHighAccuracy: true, maximumAge: 0, timeout: 20_000 },
      )
    },
  }
}
