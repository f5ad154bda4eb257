import { writeLine } from '#core/devices/deviceLine'
import type { PracticeAct } from '#core/simulated/practiceActShape'
import { practiceStand } from '#core/simulated/practiceMachine'
import { practiceReadings, type PracticeDevice } from '#core/simulated/practiceDevice'

/** How often an instrument speaks, and how long one connection lasts before it has to be opened again, ms. */
const EVERY_MS = 150
const LONGEST_MS = 600_000
/** With a bad cable: every so many lines one is garbled, and after so many the line drops. */
const GARBLED_EVERY = 6
const DROPS_AFTER = 25

/**
 * Lines of a simulated instrument (docs/device-lines.md) until the reader goes away. A bridge to a real one
 * gives the same lines.
 */
export async function* deviceLines(
  device: PracticeDevice,
  seed: number,
  acts: readonly PracticeAct[],
  cable: 'good' | 'bad',
): AsyncGenerator<string> {
  const stand = practiceStand(seed, acts)
  let sent = 0
  for (let at = 0; at < LONGEST_MS; at += EVERY_MS) {
    for (const reading of practiceReadings(device, stand, at, seed)) {
      const line = writeLine(reading)
      sent += 1
      yield cable === 'bad' && sent % GARBLED_EVERY === 0
        ? `${line.slice(0, 5)}~#${line.slice(9)}\n`
        : `${line}\n`
    }
    if (cable === 'bad' && sent >= DROPS_AFTER) return
    await new Promise((resolve) => {
      setTimeout(resolve, EVERY_MS)
    })
  }
}
