import type { H3Event } from 'h3'

const started = new WeakMap<H3Event, number>()
/** Lines go out together, this long after the first: a write to the console holds up every request. */
const TOGETHER_MS = 50

/** One line a request to the API: method, path, status, milliseconds. No bodies, no query. */
export default defineNitroPlugin((nitro) => {
  let lines: string[] = []
  const write = () => {
    if (lines.length > 0) console.info(lines.join('\n'))
    lines = []
  }
  nitro.hooks.hook('request', (event) => {
    started.set(event, performance.now())
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const begin = started.get(event)
    const path = event.path.split('?')[0] ?? ''
    if (begin === undefined || !path.startsWith('/api/')) return
    if (lines.length === 0) setTimeout(write, TOGETHER_MS)
    lines.push(
      `${event.method} ${path} ${event.node.res.statusCode} ${(performance.now() - begin).toFixed(1)} ms`,
    )
  })
  nitro.hooks.hook('close', write)
})
