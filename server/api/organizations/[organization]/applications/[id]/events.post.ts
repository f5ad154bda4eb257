import { NewRunEventsSchema } from '#shared/schemas/run'
import { personOf } from '../../../../../http/personOf'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { appendRunEvents } from '../../../../../services/appendRunEvents'
import { dayFor, nowFor } from '../../../../../services/clock'
import { houseOf } from '../../../../../services/houseOf'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const sent = await readBodyAs(event, NewRunEventsSchema)
  const organization = organizationOf(event)
  return appendRunEvents(repositoriesOf(event), id, sent, {
    house: houseOf(organization),
    rules: organization.settings,
    received: nowFor(organization).toISOString(),
    ...personOf(event),
    dayOf: (instant) => dayFor(organization, new Date(instant)),
  })
})
