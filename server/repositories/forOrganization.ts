import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { attachmentsRepository, type AttachmentsRepository } from './attachments'
import {
  calibrationsRepository,
  equipmentRepository,
  benchTestsRepository,
  type CalibrationsRepository,
  type EquipmentRepository,
  type BenchTestsRepository,
} from './equipment'
import { finderRepository, type FinderRepository } from './finder'
import { jobsRepository, type JobsRepository } from './jobs'
import { ledgerRepository, type LedgerRepository } from './ledger'
import {
  productsRepository,
  stockRepository,
  type ProductsRepository,
  type StockRepository,
} from './products'
import { recordsRepository, type RecordsRepository } from './records'
import { refusalsRepository, type RefusalsRepository } from './refusals'
import { runsRepository, type RunsRepository } from './runs'
import { historyRepository, type HistoryRepository } from './history'
import { membersRepository, type MembersRepository } from './members'
import type { Actor, Scope } from './scope'
import { settingsRepository, type SettingsRepository } from './settings'
import { wholeCrewRepository, type WholeCrewRepository } from './wholeCrew'
import { calendarsRepository, type CalendarsRepository } from './calendars'
import {
  areaProgramsRepository,
  probesRepository,
  programsRepository,
  stationsRepository,
  weatherRepository,
  type AreaProgramsRepository,
  type ProbesRepository,
  type ProgramsRepository,
  type StationsRepository,
  type WeatherRepository,
} from './weather'
import { withRetries } from './withRetries'
import { areasRepository, sitesRepository, type AreasRepository, type SitesRepository } from './sites'

/**
 * All queries, every one scoped to one organization; inside `transaction` they share one connection and one
 * fate. Its work may be run more than once: it asks and writes by these repositories alone.
 */
export interface Repositories {
  readonly transaction: <T>(work: (repositories: Repositories) => Promise<T>) => Promise<T>
  readonly sites: SitesRepository
  readonly areas: AreasRepository
  readonly equipment: EquipmentRepository
  readonly calibrations: CalibrationsRepository
  readonly benchTests: BenchTestsRepository
  readonly products: ProductsRepository
  readonly stations: StationsRepository
  readonly probes: ProbesRepository
  readonly weather: WeatherRepository
  readonly programs: ProgramsRepository
  readonly areaPrograms: AreaProgramsRepository
  readonly calendars: CalendarsRepository
  readonly stock: StockRepository
  readonly jobs: JobsRepository
  readonly runs: RunsRepository
  readonly records: RecordsRepository
  readonly ledger: LedgerRepository
  readonly finder: FinderRepository
  readonly attachments: AttachmentsRepository
  readonly refusals: RefusalsRepository
  readonly settings: SettingsRepository
  readonly members: MembersRepository
  readonly history: HistoryRepository
  readonly wholeCrew: WholeCrewRepository
}

export function forOrganization(
  database: Database,
  organizationId: string,
  transaction?: Transaction,
  actor?: Actor,
): Repositories {
  const scope: Scope = { database, organizationId, options: { transaction: transaction ?? null }, actor }
  return {
    transaction: (work) =>
      transaction
        ? work(forOrganization(database, organizationId, transaction, actor))
        : withRetries(() =>
            database.sequelize.transaction((inner) =>
              work(forOrganization(database, organizationId, inner, actor)),
            ),
          ),
    sites: sitesRepository(scope),
    areas: areasRepository(scope),
    equipment: equipmentRepository(scope),
    calibrations: calibrationsRepository(scope),
    benchTests: benchTestsRepository(scope),
    products: productsRepository(scope),
    stations: stationsRepository(scope),
    probes: probesRepository(scope),
    weather: weatherRepository(scope),
    programs: programsRepository(scope),
    areaPrograms: areaProgramsRepository(scope),
    calendars: calendarsRepository(scope),
    stock: stockRepository(scope),
    jobs: jobsRepository(scope),
    runs: runsRepository(scope),
    records: recordsRepository(scope),
    ledger: ledgerRepository(scope),
    finder: finderRepository(scope),
    attachments: attachmentsRepository(scope),
    refusals: refusalsRepository(scope),
    settings: settingsRepository(scope),
    members: membersRepository(scope),
    history: historyRepository(scope),
    wholeCrew: wholeCrewRepository(scope),
  }
}
