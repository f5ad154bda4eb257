import { v7 as uuid } from 'uuid'
import { areaSi } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import type { RunRecord } from '#core/run/foldRun'
import { laidDown, ledgerChange } from '#core/run/laidDown'
import { reentryEnds } from '#core/run/reentry'
import { worstVerdict } from '#core/run/verdict'
import { stillToBook } from '#core/stock/stillToBook'
import type { Job, JobApplication } from '#shared/schemas/job'
import type { Repositories } from '../repositories/forOrganization'
import type { RecordFields } from '../repositories/records'

/** Keeps job, record, ledger and stock in step with what a run folds to. */
export async function keepInStep(
  repositories: Repositories,
  job: Job,
  application: JobApplication,
  record: RunRecord,
  of: { readonly dayOf: (instant: string) => string },
): Promise<void> {
  const states = job.applications.map(({ id, state }) => (id === application.id ? record.state : state))
  const state = states.every((one) => one === 'done')
    ? 'done'
    : states.some((one) => one !== 'planned')
      ? 'running'
      : job.state === 'draft'
        ? 'planned'
        : job.state
  if (state !== job.state) await repositories.jobs.setState(job.id, state)
  if (record.state !== 'done' || !record.finishedAt) return
  await repositories.records.put({
    ...recordRow(job, application, record, record.finishedAt),
    document: record,
  })
  await book(repositories, job, application.id, record, of.dayOf(record.finishedAt))
}

/** Appends to ledger and stock what makes them say what the record says; a correction adds the difference. */
async function book(
  { ledger, stock, products }: Repositories,
  job: Job,
  applicationId: string,
  record: RunRecord,
  on: string,
): Promise<void> {
  const change = ledgerChange(await ledger.totalsOf(applicationId), laidDown(record))
  const labelOf = (id: string) => record.frozen.labels.find(({ productId }) => productId === id)
  await ledger.append(
    change.map((row) => {
      const label = labelOf(row.productId)
      return {
        ...row,
        id: uuid(),
        applicationId,
        siteId: job.siteId,
        sourceId: label?.sourceId ?? null,
        product: label?.name ?? '',
        active: label?.active ?? '',
        groups: label?.group ?? '',
        on,
        repeatDays: label?.repeatDays ?? null,
        lastsDays: label?.lastsDays ?? null,
      }
    }),
  )
  // What was used up before the shelf was counted is not on it.
  if (record.frozen.earlier) return
  for (const { productId, sourceId } of record.frozen.labels) {
    const used = record.outcomes.find((outcome) => outcome.productId === productId)?.used
    // What another shelf holds, or none any more, is not booked on this one.
    if (
      sourceId === undefined ||
      !used ||
      !((await products.find(sourceId)) ?? (await products.findDeleted(sourceId)))
    )
      continue
    const booked = (await stock.movements(sourceId)).filter(
      (movement) => movement.applicationId === applicationId && movement.dimension === dimensionOf(used.unit),
    )
    const amount = stillToBook(used, booked)
    if (amount === undefined) continue
    await stock.append(sourceId, [
      {
        id: uuid(),
        kind: 'used',
        dimension: dimensionOf(used.unit),
        amount,
        entered: { text: String(used.value), unit: used.unit },
        lot: '',
        remarks: job.site,
        applicationId,
        on,
      },
    ])
  }
}

function recordRow(
  job: Job,
  { id, document: { method, ...draft } }: JobApplication,
  record: RunRecord,
  finishedAt: string,
): Omit<RecordFields, 'document'> {
  return {
    id,
    jobId: job.id,
    site: job.site,
    siteId: job.siteId,
    finishedAt,
    by: record.details?.by ?? '',
    target: record.details?.target ?? '',
    products: record.frozen.labels.map(({ name }) => name).join(', '),
    sizeM2: record.used ? areaSi(record.used.treated) : 0,
    verdict: worstVerdict(record.outcomes) ?? 'unknown',
    equipmentId: draft[method].source?.id ?? null,
    reentryUntil: reentryEnds(record.frozen.labels, finishedAt) ?? null,
  }
}
