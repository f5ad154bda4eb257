import { DEFAULT_HOUSE, type House } from '../house'
import { composeSheet } from './applicationSheet'
import type { ApplicationDocument } from './document'
import type { SheetCheck } from './sheetCheck'
import type { Plan } from '../plan/plan'
import type { PlanRequest } from '../plan/planRequest'
import { CORE_VERSION } from '../version'
import { openWorkingBook } from '../working/working'

/** What was computed from a document when it was saved, and which core computed it. */
export interface PlannedSheet {
  readonly coreVersion: string
  readonly request: PlanRequest
  readonly plan: Plan
  readonly checks: readonly SheetCheck[]
}

/** @param day the day it is worked out for, YYYY-MM-DD; null while something is missing or wrong */
export function plannedSheet(
  document: ApplicationDocument,
  day: string,
  house: House = DEFAULT_HOUSE,
): PlannedSheet | null {
  const { request, plan, checks, problems } = composeSheet(document, day, openWorkingBook(), house)
  return request && plan && !problems.some(({ kind }) => kind === 'wrong')
    ? { coreVersion: CORE_VERSION, request, plan, checks }
    : null
}
