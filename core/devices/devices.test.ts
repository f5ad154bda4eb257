import fc from 'fast-check'
import { expect, test } from 'vitest'
import { DEVICE_STATES, readLine, writeLine, type DeviceQuantity } from './deviceLine'
import { lineReader } from './lineReader'

test('a reading written is read back, and one changed character is noticed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e9 }),
      fc.constantFrom<DeviceQuantity>('weight', 'volume', 'distance', 'elapsed'),
      fc.integer({ min: -1e6, max: 1e8 }),
      fc.constantFrom(...DEVICE_STATES),
      fc.nat(),
      (clock, quantity, hundredths, state, place) => {
        const reading = { clock, quantity, value: hundredths / 100, state }
        const line = writeLine(reading)
        expect(readLine(line)).toEqual({ ok: true, value: reading })
        const at = place % line.length
        expect(readLine(`${line.slice(0, at)}#${line.slice(at + 1)}`).ok).toBe(false)
      },
    ),
  )
})

// Checksums summed by hand from the character codes, modulo 256.
test.each([
  ['R1 1200 weight 1653.2 g steady*8E', 'ok'],
  ['R1 1200 weight 1653.2 g steady*8F', 'badChecksum'],
  ['', 'notALine'],
  ['ST,GS,+001653.2g', 'notALine'],
  ['R1 1 weight 5 kg steady*6D', 'unknownQuantity'],
  ['R1 1 weight abc g steady*F3', 'notANumber'],
  ['R1 1 weight 5 g asleep*F2', 'unknownState'],
  [`R1 1 ${'x'.repeat(200)}*00`, 'tooLong'],
])('%s is %s', (line, expected) => {
  const read = readLine(line)
  expect(read.ok ? 'ok' : read.error).toBe(expected)
})

test('lines come out the same wherever the stream was cut; an endless line does not fill the memory', () => {
  fc.assert(
    fc.property(
      fc.array(fc.string({ unit: fc.constantFrom('a', '1', ' ', '*') }), { maxLength: 12 }),
      fc.array(fc.nat({ max: 30 })),
      (lines, cuts) => {
        const text = `${lines.join('\r\n')}\n`
        const reader = lineReader()
        const places = [...new Set([0, ...cuts.filter((cut) => cut < text.length), text.length])].toSorted(
          (a, b) => a - b,
        )
        expect(places.slice(1).flatMap((end, i) => reader.push(text.slice(places[i], end)))).toEqual(
          lines.filter((line) => line !== ''),
        )
      },
    ),
  )
  const reader = lineReader()
  const parts = Array.from({ length: 100 }, () => reader.push('x'.repeat(100))).flat()
  expect(parts.length).toBeGreaterThan(20)
  expect(parts.every((part) => !readLine(part).ok)).toBe(true)
})
