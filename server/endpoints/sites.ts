import * as v from 'valibot'
import { daysAfter } from '#core/calendar/daysBetween'
import { restedSizes } from '#core/ground/restedSizes'
import { CopySiteSchema, SaveSiteMapSchema } from '#shared/schemas/ground'
import { ATTACHMENT_TYPES, LARGEST_PICTURE } from '#shared/schemas/picture'
import { asFile, defineCrewRoute, found, type Route } from '../http/defineRoute'
import { readBytes } from '../http/readBytes'
import { requestSignal } from '../http/requestSignal'
import { copySite } from '../services/copySite'
import { pageOf, readCursor } from '../services/cursor'
import { groundAhead } from '../services/groundThread'
import { houseOf } from '../services/houseOf'
import { LEDGER_DAYS, plannedOnSite } from '../services/jobContext'
import { keepPicture } from '../services/keepPicture'
import { saveSiteMap } from '../services/saveSiteMap'
import { SITE_FORMATS, siteFile } from '../services/siteExport'
import { After, choiceOf, Words } from './queries'

const PAGE = 50

/** Sites with their maps, pictures and files, and what lies on them. */
export const SITE_ROUTES: readonly Route[] = [
  defineCrewRoute({
    path: 'GET /sites',
    summary: 'Sites by name, a page at a time',
    query: v.object({ q: Words, after: After }),
    handle: async ({ repositories, query: { q, after } }) => {
      const place = { limit: PAGE + 1, after: readCursor(after, 'word') }
      return pageOf(await repositories.sites.page(q, place), PAGE, ({ name }) => name.toLowerCase())
    },
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/ledger',
    summary: 'What was put down on a site, newest first',
    handle: async ({ repositories: { sites, ledger }, id, today }) => {
      found(await sites.find(id), 'site')
      return ledger.ofSite(id, daysAfter(today, -LEDGER_DAYS), today)
    },
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/planned',
    summary: 'What planned jobs are going to put down on a site, but for the job that is named',
    query: v.object({ job: v.optional(v.string(), '') }),
    handle: async ({ repositories, organization, id, query: { job }, today }) => {
      found(await repositories.sites.find(id), 'site')
      return plannedOnSite(repositories, id, job, today, houseOf(organization))
    },
  }),
  defineCrewRoute({
    path: 'POST /sites/:id/map',
    summary: 'Change several areas of a site as one',
    body: SaveSiteMapSchema,
    fails: [409],
    handle: ({ repositories, id, body, today }) => saveSiteMap(repositories, id, body, today),
  }),
  defineCrewRoute({
    path: 'POST /sites/:id/copy',
    summary: 'The site again under another name',
    body: CopySiteSchema,
    handle: ({ repositories, id, body, today }) => copySite(repositories, id, body, today),
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/export',
    summary: 'Its areas as GeoJSON, KML, GPX or CSV',
    query: v.object({ format: choiceOf(SITE_FORMATS) }),
    answer: [
      'application/geo+json',
      'application/vnd.google-earth.kml+xml',
      'application/gpx+xml',
      'text/csv',
    ],
    fails: [422],
    handle: async ({ repositories: { sites, areas }, id, query: { format }, today, event }) => {
      const site = found(await sites.find(id), 'site')
      const rows = await areas.list({ siteId: id })
      await groundAhead(
        rows.map(({ document }) => document),
        today,
        requestSignal(event),
      )
      const { type, text } = siteFile(site, rows, format, today)
      asFile(event, type, `${plainName(site.name)}.${format}`)
      return text
    },
  }),
  defineCrewRoute({
    path: 'GET /areas/:id/sizes',
    summary: 'Sizes an area has had',
    handle: async ({ repositories: { areas }, id }) => {
      found(await areas.find(id), 'area')
      return restedSizes(await areas.sizes(id))
    },
  }),
  defineCrewRoute({
    path: 'GET /attachments/:id',
    summary: 'A picture or paper; it never changes, so a browser may keep it',
    answer: ATTACHMENT_TYPES,
    handle: async ({ repositories, id, event }) => {
      const { type, digest, bytes } = found(await repositories.attachments.bytes(id), 'picture')
      setResponseHeaders(event, {
        'content-type': type,
        'x-content-type-options': 'nosniff',
        etag: `"${digest}"`,
        'cache-control': 'private, max-age=31536000, immutable',
      })
      return bytes
    },
  }),
  defineCrewRoute({
    path: 'PUT /attachments/:id',
    summary: 'Keep a picture or a paper as its bytes',
    deed: 'run',
    takes: ATTACHMENT_TYPES,
    fails: [409, 413],
    handle: async ({ repositories, id, event }) =>
      keepPicture(repositories, id, await readBytes(event, LARGEST_PICTURE)),
  }),
]

/** A name that any disk takes. */
const plainName = (name: string): string =>
  name
    .normalize('NFKD')
    .replaceAll(/[^A-Za-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .toLowerCase() || 'site'
