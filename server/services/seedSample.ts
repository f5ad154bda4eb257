import { DEFAULT_HOUSE } from '#core/house'
import { CEMETERY_PNG } from '../../demo/cemeteryPicture'
import { CEMETERY_PICTURE } from '../../demo/sampleGround'
import { sampleCrew, type SampleJob } from '../../demo/sampleCrew'
import { SAMPLE_OPENS_AT, SAMPLE_TIME_ZONE } from '../../demo/sampleClock'
import { sampleStations } from '../../demo/sampleWeather'
import { SAMPLE_RULES } from '../../demo/sampleRules'
import { sampleId } from '../../demo/typed'
import type { NewRunEvent } from '#shared/schemas/run'
import { SettingsSchema } from '#shared/schemas/organization'
import * as v from 'valibot'
import { v7 as uuid } from 'uuid'
import type { Transaction } from '../repositories/scope'
import type { Database } from '../database/connection'
import { forOrganization, type Repositories } from '../repositories/forOrganization'
import { organizationsRepository } from '../repositories/organizations'
import { appendRunEvents, type RunHouse } from './appendRunEvents'
import { dayFor } from './clock'
import { keepPicture } from './keepPicture'
import { LIBRARY } from './library'
import { saveJob } from './saveJob'

/** Makes the sample crew the first time, all of it or nothing, through the same services the screens use. */
export async function seedSample(database: Database): Promise<void> {
  if (await organizationsRepository(database).hasSample()) return
  await database.sequelize.transaction((transaction) => makeSample(database, sampleId(0), transaction))
}

/**
 * Makes the sample anew on its morning; the old one is retired in the same transaction, so that there is
 * always just one.
 */
export async function reopenSample(database: Database): Promise<void> {
  await database.sequelize.transaction(async (transaction) => {
    await organizationsRepository(database).retireSample(transaction)
    await makeSample(database, uuid(), transaction)
  })
}

async function makeSample(database: Database, id: string, transaction: Transaction): Promise<void> {
  await organizationsRepository(database).createSample(
    {
      id,
      name: 'Tamsin Point Grounds',
      licence: 'TP-0417 (sample)',
      units: 'us-1000',
      timeZone: SAMPLE_TIME_ZONE,
      clockShift: Date.parse(SAMPLE_OPENS_AT) - Date.now(),
      settings: v.parse(SettingsSchema, {
        poisonCentre: 'sample: ask your own centre for its number',
        local: SAMPLE_RULES,
      }),
    },
    transaction,
  )
  const repositories = forOrganization(database, id, transaction)
  const of: RunHouse = {
    house: DEFAULT_HOUSE,
    received: SAMPLE_OPENS_AT,
    dayOf: (instant) => dayFor({ timeZone: SAMPLE_TIME_ZONE }, new Date(instant)),
  }
  const crew = sampleCrew()
  await keepPicture(repositories, CEMETERY_PICTURE, Buffer.from(CEMETERY_PNG, 'base64'))
  for (const { id: stationId, row, days, hours } of sampleStations()) {
    await LIBRARY.stations.save(repositories, stationId, { version: 0, ...row }, '')
    await repositories.weather.save(stationId, days)
    await repositories.weather.saveHours(stationId, hours)
  }
  for (const { room, id: rowId, row, on } of crew.rows)
    await LIBRARY[room].save(repositories, rowId, { version: 0, ...row }, on)
  for (const { productId, movements } of crew.stock) await repositories.stock.append(productId, movements)
  for (const job of crew.jobs) await seedJob(repositories, job, of)
}

async function seedJob(
  repositories: Repositories,
  { id, day, applications, ...job }: SampleJob,
  of: RunHouse,
): Promise<void> {
  await saveJob(
    repositories,
    id,
    {
      version: 0,
      ...job,
      applications: applications.map(({ id: applicationId, document }) => ({ id: applicationId, document })),
    },
    { today: day, house: of.house },
  )
  for (const application of applications) {
    const events = application.events as readonly NewRunEvent[]
    if (events.length > 0) await appendRunEvents(repositories, application.id, { events }, of)
  }
}
