import { isDoor } from '~/composables/shell/doors'

/**
 * Wherever a request is told to sign in first, the page for that opens; what was typed waits on this device,
 * and the way leads back to where one was.
 */
export default defineNuxtPlugin(() => {
  const router = useRouter()
  const { note } = useLastSeen()
  globalThis.$fetch = $fetch.create({
    onResponse: ({ response }) => note(response.headers.get('x-last-seen')),
    onResponseError: async ({ request, response, options }) => {
      const { path, fullPath } = router.currentRoute.value
      const asked = typeof request === 'string' ? request : request.url
      // What a run writes down waits on the device: nobody is called away from it.
      const waits = options.method === 'POST' && asked.endsWith('/events')
      if (response.status !== 401 || waits || isDoor(path) || asked.includes('/api/people/')) return
      await router.push({ path: '/sign-in', query: fullPath === '/' ? {} : { next: fullPath } })
    },
  })
})
