import { SaveJobSchema } from '#shared/schemas/job'
import { readBodyAs, readId } from '../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { requestSignal } from '../../../../http/requestSignal'
import { todayFor } from '../../../../services/clock'
import { saveJob } from '../../../../services/saveJob'
import { houseOf } from '../../../../services/houseOf'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const input = await readBodyAs(event, SaveJobSchema)
  const organization = organizationOf(event)
  const { local, mixes } = organization.settings
  return saveJob(repositoriesOf(event), id, input, {
    today: todayFor(organization),
    house: houseOf(organization),
    rules: { local, mixes },
    request: requestSignal(event),
  })
})
