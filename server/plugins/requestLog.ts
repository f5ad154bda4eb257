import type { H3Event } from 'h3'

const started = new WeakMap<H3Event, number>()

/** One line a request to the API: method, path, status, milliseconds. No bodies, no query. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    started.set(event, performance.now())
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const begin = started.get(event)
    const path = event.path.split('?')[0] ?? ''
    if (begin === undefined || !path.startsWith('/api/')) return
    console.info(
      `${event.method} ${path} ${event.node.res.statusCode} ${(performance.now() - begin).toFixed(1)} ms`,
    )
  })
})
