import { SAMPLE_OPENS_AT, SAMPLE_TIME_ZONE } from '../../demo/sampleClock'
import { sampleJobs, type SampleJob } from '../../demo/sampleJobs'
import { sampleId } from '../../demo/typed'
import type { NewRunEvent } from '#shared/schemas/run'
import type { Database } from '../database/connection'
import { forOrganization, type Repositories } from '../repositories/forOrganization'
import { organizationsRepository } from '../repositories/organizations'
import { appendRunEvents } from './appendRunEvents'
import { saveJob } from './saveJob'

const SAMPLE_ORGANIZATION = sampleId(0)

/** Makes the sample crew the first time, all of it or nothing, through the same services the screens use. */
export async function seedSample(database: Database): Promise<void> {
  const organizations = organizationsRepository(database)
  if ((await organizations.all()).some(({ kind }) => kind === 'sample')) return
  await database.sequelize.transaction(async (transaction) => {
    await organizations.createSample({
      id: SAMPLE_ORGANIZATION, name: 'Tamsin Point Grounds', licence: 'TP-0417 (sample)', units: 'us-1000', timeZone: SAMPLE_TIME_ZONE,
      clockShift: Date.parse(SAMPLE_OPENS_AT) - Date.now(),
    }, transaction)
    const repositories = forOrganization(database, SAMPLE_ORGANIZATION, transaction)
    for (const job of sampleJobs()) await seedJob(repositories, job)
  })
}

async function seedJob(repositories: Repositories, { id, applicationId, site, purpose, plannedFor, state, document, run }: SampleJob): Promise<void> {
  const today = SAMPLE_OPENS_AT.slice(0, 10)
  await saveJob(repositories, id, { version: 0, site, purpose, plannedFor, state, application: { id: applicationId, document } }, today)
  if (!run) return
  const base = Number(applicationId.slice(-12)) * 10
  const stamp = (sequence: number, at: string) => ({ id: sampleId(base * 100 + sequence), deviceId: sampleId(1), sequence, counter: sequence, at })
  const events: NewRunEvent[] = [{ kind: 'planned', ...stamp(1, run.startedAt) }, { kind: 'started', ...stamp(2, run.startedAt) }]
  const { used, putIn = [], details, finishedAt } = run
  if (used && details && finishedAt) {
    const amounts = document.products.flatMap((product, i) => (putIn[i] ? [{ productId: product.id, amount: putIn[i] }] : []))
    events.push({ kind: 'used', ...stamp(3, finishedAt), payload: { ...used, putIn: amounts } as Extract<NewRunEvent, { kind: 'used' }>['payload'] })
    events.push({ kind: 'finished', ...stamp(4, finishedAt), payload: details })
  }
  await appendRunEvents(repositories, id, events)
}
