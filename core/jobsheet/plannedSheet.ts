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

/** @param today the organization's calendar day; null while something is missing or wrong */
export function plannedSheet(document: ApplicationDocument, today: string): PlannedSheet | null {
  const { request, plan, checks, problems } = composeSheet(document, today, openWorkingBook())
  return request && plan && !problems.some(({ kind }) => kind === 'wrong') ? { coreVersion: CORE_VERSION, request, plan, checks } : null
}
