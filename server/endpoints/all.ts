import { defineRoute, type Route } from '../http/defineRoute'
import { openApiDocument } from '../http/openApiDocument'
import { COMPUTE_ROUTES } from './compute'
import { EQUIPMENT_ROUTES } from './equipment'
import { JOB_ROUTES } from './jobs'
import { LIBRARY_ROUTES } from './library'
import { ORGANIZATION_ROUTES } from './organizations'
import { PEOPLE_ROUTES } from './people'
import { PRODUCT_ROUTES } from './products'
import { RECORD_ROUTES } from './records'
import { SEASON_ROUTES } from './season'
import { SITE_ROUTES } from './sites'

/** Every address of the API. */
export const ROUTES: readonly Route[] = [
  ...COMPUTE_ROUTES,
  defineRoute({
    path: 'GET /api/openapi.json',
    summary: 'This document',
    computes: 'computes',
    handle: () => openApiDocument(ROUTES, useRuntimeConfig().version),
  }),
  ...PEOPLE_ROUTES,
  ...ORGANIZATION_ROUTES,
  ...LIBRARY_ROUTES,
  ...SITE_ROUTES,
  ...EQUIPMENT_ROUTES,
  ...PRODUCT_ROUTES,
  ...JOB_ROUTES,
  ...RECORD_ROUTES,
  ...SEASON_ROUTES,
]

/** Addresses that only compute and describe: open to any program, no crew, no database. */
export const COMPUTING_PATHS: ReadonlySet<string> = new Set(
  ROUTES.flatMap(({ computes, path }) => (computes ? [path] : [])),
)
