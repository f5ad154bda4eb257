import { planApplication } from '#core/plan/planApplication'
import { openWorkingBook } from '#core/working/working'
import { PlanRequestSchema } from '#shared/schemas/plan'
import { failure } from '../http/failure'
import { readBodyAs } from '../http/readBody'

export default defineEventHandler(async (event) => {
  const request = await readBodyAs(event, PlanRequestSchema)
  const plan = planApplication(request, openWorkingBook())
  if (!plan.ok)
    throw failure(
      plan.error[0]?.code ?? 'invalid',
      plan.error.map(({ path, message }) => ({ path, message })),
    )
  return plan.value
})
