import { Readable } from 'node:stream'
import * as v from 'valibot'
import { PRACTICE_DEVICES } from '#core/practice/practiceDevice'
import { PracticeActsSchema } from '#shared/schemas/device'
import { failure } from '../../../http/failure'
import { deviceLines } from '../../../services/deviceStream'

/** An instrument's readings as lines of text for as long as somebody listens. */
export default defineEventHandler((event) => {
  const device = PRACTICE_DEVICES.find(({ id }) => id === event.context.params?.device)
  if (!device) throw failure('not-found', 'There is no such instrument.')
  const { seed, acts, cable } = getQuery(event)
  const number = Number(seed ?? 1)
  if (!Number.isInteger(number) || number < 1 || number > 1e9)
    throw failure('invalid', [{ path: 'seed', message: 'must be a whole number from 1' }])
  const done = v.safeParse(PracticeActsSchema, parsed(acts))
  if (!done.success)
    throw failure('invalid', [
      { path: 'acts', message: 'must be a list of what was done with the practice machines' },
    ])
  setResponseHeaders(event, {
    'content-type': 'text/plain; charset=utf-8',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  })
  return sendStream(
    event,
    Readable.from(deviceLines(device, number, done.output, cable === 'bad' ? 'bad' : 'good')),
  )
})

function parsed(acts: unknown): unknown {
  if (acts === undefined) return []
  try {
    return JSON.parse(String(acts))
  } catch {
    return undefined
  }
}
