import { createRouter, type RouterMethod } from 'h3'
import { ROUTES } from '../endpoints/all'
import { failure } from '../http/failure'

/** The one door of the API; without it an unknown address would be answered with the page. */
const router = createRouter()
for (const { method, path, handler } of ROUTES)
  router.add(path, handler, method.toLowerCase() as RouterMethod)
router.use(
  '/**',
  defineEventHandler(() => {
    throw failure('not-found', 'There is nothing at this address.')
  }),
)

export default router.handler
