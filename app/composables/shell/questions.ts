import type { GapRepeat } from '#core/program/gapRepeat'
import type { HeldByMachine } from '#core/rules/reading'
import type { PlannedRow } from '#core/season/ledger'
import type { DayConditions } from '#core/weather/dayConditions'
import type { BenchTest } from '#shared/schemas/benchTest'
import type { CalendarRow, ClientProgram } from '#shared/schemas/calendar'
import type { Device } from '#shared/schemas/device'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Area, AreaSize, LedgerRow, Site, SitePage } from '#shared/schemas/ground'
import type { Job } from '#shared/schemas/job'
import type { OrganizationChoice } from '#shared/schemas/organization'
import type { CrewPeople, HistoryLine, Self } from '#shared/schemas/people'
import type { PlannedUse, Product, Stock } from '#shared/schemas/product'
import type { AreaProgram, AreaProgramPage, BoardRow, Program, Purchases } from '#shared/schemas/program'
import type { RefusalRow } from '#shared/schemas/refusal'
import type { MachineOutcome, RecordPage, Run } from '#shared/schemas/run'
import type { JobDays, SeasonPage, SeasonPlace, SeasonWeek } from '#shared/schemas/season'
import type { Found, Today } from '#shared/schemas/today'
import type { Use } from '#shared/schemas/use'
import type { SiteHours, Station, StationRow, StationWeather } from '#shared/schemas/weather'

export type Query = Readonly<Record<string, string | readonly string[]>>

/** What the server can be asked, by its address; `T` is what it answers. */
export interface Question<T> {
  readonly url: string
  readonly query: Query
  /** Never there: it holds the type of the answer. */
  readonly answer?: T
}

const asked = <T>(url: string, query: Query = {}): Question<T> => ({ url, query })
const ofCrew = <T>(path: string, query: Query = {}): Question<T> => ({ url: crewUrl(path), query })

/** What pages and the device's stock for no network ask, each in one way, so that one answer serves all. */
export const questions = {
  me: () => asked<Self>('/api/people/me'),
  organizations: () => asked<OrganizationChoice>('/api/organizations'),
  health: () => asked<{ readonly version?: string }>('/api/health'),
  devices: () => asked<readonly Device[]>('/api/devices'),
  weatherServices: () =>
    asked<readonly { readonly id: string; readonly name: string }[]>('/api/weather-services'),

  equipment: () => ofCrew<readonly Equipment[]>('/library/equipment'),
  machine: (id: string) => ofCrew<Equipment>(`/library/equipment/${id}`),
  held: () => ofCrew<readonly HeldByMachine[]>('/equipment/held'),
  outcomes: (equipmentId: string) => ofCrew<readonly MachineOutcome[]>(`/equipment/${equipmentId}/outcomes`),
  calibrations: () => ofCrew<readonly Calibration[]>('/library/calibrations'),
  calibrationsOf: (equipmentId: string) =>
    ofCrew<readonly Calibration[]>('/library/calibrations', { equipmentId }),
  benchTests: () => ofCrew<readonly BenchTest[]>('/library/benchTests'),
  benchTestsOf: (equipmentId: string) => ofCrew<readonly BenchTest[]>('/library/benchTests', { equipmentId }),

  products: () => ofCrew<readonly Product[]>('/library/products'),
  stock: (productId: string) => ofCrew<Stock>(`/products/${productId}/stock`),
  plannedUse: (productId: string) => ofCrew<readonly PlannedUse[]>(`/products/${productId}/planned`),

  sites: (q = '') => ofCrew<SitePage>('/sites', { q }),
  site: (id: string) => ofCrew<Site>(`/library/sites/${id}`),
  areas: (siteId: string | readonly string[]) => ofCrew<readonly Area[]>('/library/areas', { siteId }),
  areaSizes: (areaId: string) => ofCrew<readonly AreaSize[]>(`/areas/${areaId}/sizes`),
  ledger: (siteId: string) => ofCrew<readonly LedgerRow[]>(`/sites/${siteId}/ledger`),
  /** @param job whose own work is not that of another; blank for none */
  planned: (siteId: string, job = '') => ofCrew<readonly PlannedRow[]>(`/sites/${siteId}/planned`, { job }),
  siteHours: (siteId: string) => ofCrew<SiteHours>(`/sites/${siteId}/hours`),
  siteWeather: (siteId: string, on: string) =>
    ofCrew<DayConditions | null>(`/sites/${siteId}/weather`, { on }),
  clientProgram: (siteId: string) => ofCrew<ClientProgram>(`/sites/${siteId}/program`),

  job: (id: string) => ofCrew<Job>(`/jobs/${id}`),
  jobDays: (id: string) => ofCrew<JobDays>(`/jobs/${id}/days`, { units: useCrewStore().units }),
  /** As the list asks when nothing is searched for. */
  jobs: () => ofCrew<unknown>('/jobs', { q: '', state: '' }),
  day: (on: string) => ofCrew<readonly Job[]>(`/days/${on}`),
  run: (applicationId: string) => ofCrew<Run>(`/applications/${applicationId}/events`),
  record: (id: string) => ofCrew<Run>(`/records/${id}`),
  newestRecord: () => ofCrew<RecordPage>('/records', { limit: '1' }),
  use: (query: Query) => ofCrew<Use>('/records/use', query),
  attachment: (id: string) => ofCrew<unknown>(`/attachments/${id}`),

  today: () => ofCrew<Today>('/today'),
  seasonPlaces: () => ofCrew<readonly SeasonPlace[]>('/season'),
  season: (areaId: string) => ofCrew<SeasonPage>(`/areas/${areaId}/season`, { units: useCrewStore().units }),
  seasonBoard: () => ofCrew<readonly BoardRow[]>('/season/board', { units: useCrewStore().units }),
  seasonWeek: (room: Query) => ofCrew<SeasonWeek>('/season/week', { ...room, units: useCrewStore().units }),
  purchases: () => ofCrew<Purchases>('/season/purchases'),
  programs: () => ofCrew<readonly Program[]>('/library/programs'),
  areaPrograms: () => ofCrew<readonly AreaProgram[]>('/library/areaPrograms'),
  areaProgramsOf: (areaId: string) => ofCrew<readonly AreaProgram[]>('/library/areaPrograms', { areaId }),
  areaProgram: (areaId: string) =>
    ofCrew<AreaProgramPage | null>(`/areas/${areaId}/program`, { units: useCrewStore().units }),
  repeats: (areaId: string, what: string, from: string) =>
    ofCrew<readonly GapRepeat[]>(`/areas/${areaId}/repeats`, { what, from, units: useCrewStore().units }),

  stationLibrary: () => ofCrew<readonly Station[]>('/library/stations'),
  stations: () => ofCrew<readonly StationRow[]>('/stations'),
  stationWeather: (id: string) => ofCrew<StationWeather>(`/stations/${id}/weather`),

  names: () => ofCrew<readonly string[]>('/names'),
  find: (q: string) => ofCrew<readonly Found[]>('/find', { q }),
  people: () => ofCrew<CrewPeople>('/people'),
  history: (rowId: string) => ofCrew<readonly HistoryLine[]>(`/history/${rowId}`),
  calendars: () => ofCrew<readonly CalendarRow[]>('/calendars'),
  refusals: () => ofCrew<readonly RefusalRow[]>('/refusals'),
}
