import { asWritten } from '#core/quantity/format'
import { areaIn, areaSi } from '#core/quantity/quantity'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { EARLIER_COLUMNS } from '#core/run/earlier/readEarlierRows'
import type { RunRecord } from '#core/run/foldRun'
import { reentryEnds } from '#core/run/reentry'
import { treatedFeatures } from '#core/run/treatedGround'
import type { Organization } from '#shared/schemas/organization'
import type { RecordQuery, RecordRow } from '#shared/schemas/run'
import type { Repositories } from '../repositories/forOrganization'
import { localText } from './clock'
import { allRecords } from './recordList'
import { csvOf } from './csv'

/** What a table of earlier records may have, so that the file can be taken in again, and what we add. */
const COLUMNS = [
  ...EARLIER_COLUMNS,
  'actual_rate',
  'off_by_percent',
  'verdict',
  'corrections',
  'time_zone',
  'address',
  'wind_from',
  'reentry',
  'mix',
  'mix_unit',
  'counter_signer',
  'entered_by',
] as const

/**
 * The records asked for as CSV: a line for each product of each record, figures and units in columns of their
 * own, days and times by the crew's clock, ground in the crew's unit.
 */
export async function* recordsCsv(
  repositories: Repositories,
  organization: Organization,
  asked: RecordQuery,
): AsyncGenerator<string> {
  yield `${COLUMNS.join(',')}\r\n`
  const places = new Map((await repositories.sites.list()).map(({ id, place }) => [id, place]))
  for await (const rows of allRecords(repositories, organization, asked)) {
    const documents = await repositories.records.documents(rows.map(({ id }) => id))
    const lines = rows.flatMap((row) =>
      linesOf(row, documents.get(row.id), organization, places.get(row.siteId ?? '') ?? ''),
    )
    if (lines.length > 0) yield csvOf(lines, { columns: COLUMNS, heading: 'none' })
  }
}

/** The records asked for as one JSON array, each whole as it is kept. */
export async function* recordsJson(
  repositories: Repositories,
  organization: Organization,
  asked: RecordQuery,
): AsyncGenerator<string> {
  let open = '['
  for await (const rows of allRecords(repositories, organization, asked)) {
    const documents = await repositories.records.documents(rows.map(({ id }) => id))
    yield open + rows.map((row) => JSON.stringify({ ...row, record: documents.get(row.id) })).join(',\n')
    open = ',\n'
  }
  yield open === '[' ? '[]\n' : ']\n'
}

/**
 * The ground the records asked for treated, as one GeoJSON collection; lawns without a place on the earth are
 * named beside it.
 */
export async function* recordsGeoJson(
  repositories: Repositories,
  organization: Organization,
  asked: RecordQuery,
): AsyncGenerator<string> {
  const anchors = new Map(
    (await repositories.sites.list()).map(({ id, document }) => [id, document.anchor] as const),
  )
  const unplaced: string[] = []
  let before = ''
  yield '{"type":"FeatureCollection","features":[\n'
  for await (const rows of allRecords(repositories, organization, asked)) {
    const documents = await repositories.records.documents(rows.map(({ id }) => id))
    for (const { id, siteId } of rows) {
      const record = documents.get(id)
      if (!record) continue
      const ground = treatedFeatures(id, record, siteId === null ? undefined : anchors.get(siteId))
      unplaced.push(...ground.unplaced.map((lawn) => `${record.frozen.site}: ${lawn}`))
      for (const feature of ground.features) {
        yield before + JSON.stringify(feature)
        before = ',\n'
      }
    }
  }
  yield `\n],"unplaced":${JSON.stringify([...new Set(unplaced)])}}\n`
}

function linesOf(
  row: RecordRow,
  record: RunRecord | undefined,
  organization: Organization,
  address: string,
): readonly Readonly<Record<(typeof COLUMNS)[number], string | number>>[] {
  if (!record) return []
  const { frozen, used, details, outcomes } = record
  const { timeZone, units } = organization
  const { size: sizeUnit } = SYSTEM_UNITS[units]
  const local = (instant: string | undefined) => (instant ? localText(instant, timeZone) : '')
  const reentry = reentryEnds(frozen.labels, row.finishedAt)
  const went = record.progress.gates.findLast(({ decision }) => decision === 'go')
  const carrier = frozen.request.method.kind === 'spray' ? frozen.request.method.carrier : undefined
  return frozen.labels.map((label) => {
    const outcome = outcomes.find(({ productId }) => productId === label.productId)
    return {
      record: row.id,
      started: local(record.startedAt),
      finished: row.only === 'day' ? local(row.finishedAt).slice(0, 10) : local(row.finishedAt),
      site: row.site,
      lawns: frozen.request.areas.map(({ name }) => name ?? '').join('; '),
      treated: asWritten(used && areaIn(areaSi(used.treated), sizeUnit).value),
      treated_unit: used ? sizeUnit : '',
      product: label.name,
      registration: label.registration,
      active: label.active ?? '',
      group: label.group ?? '',
      used: asWritten(outcome?.used.value),
      used_unit: outcome?.used.unit ?? '',
      planned_rate: asWritten(outcome?.plannedRate?.value),
      actual_rate: asWritten(outcome?.actualRate.value),
      rate_unit: outcome?.actualRate.unit ?? '',
      rate_basis: frozen.request.products.find(({ id }) => id === label.productId)?.basis ?? 'product',
      off_by_percent: asWritten(outcome?.deviation && outcome.deviation * 100),
      verdict: outcome?.verdict ?? '',
      carrier: asWritten(carrier?.value),
      carrier_unit: carrier?.unit ?? '',
      equipment: frozen.equipment,
      calibration: frozen.calibration,
      done_by: details?.by ?? '',
      licence: details?.licence ?? '',
      target: details?.target ?? '',
      weather: details?.weather ?? '',
      remarks: details?.remarks ?? '',
      corrections: record.corrections.length,
      time_zone: timeZone,
      address,
      wind_from: went?.readings.windFrom ?? '',
      reentry: local(reentry),
      mix: asWritten(used?.made?.value),
      mix_unit: used?.made?.unit ?? '',
      counter_signer: record.counterSigned?.name ?? '',
      entered_by: record.person?.name ?? '',
    }
  })
}
