import { QueryTypes } from 'sequelize'
import type { Area, AreaSize, SaveArea, SaveSite, Site, SiteRow } from '#shared/schemas/ground'
import type { FieldNotes } from '#core/ground/areaShape'
import type { AreaModel, SiteModel } from '../database/libraryModels'
import { editableRows, plainRow, type EditableRows } from './editableRows'
import { prefixSearch, type PageWanted, type Scope } from './scope'

type SiteFields = Omit<SaveSite, 'version'>
interface AreaFields extends Omit<SaveArea, 'version'> {
  readonly sizeM2: number | null
  readonly sdM2: number | null
}

export interface SitesRepository extends EditableRows<Site, SiteFields> {
  /** By name, after a place in the list; words are prefixes of what stands in name or place. */
  readonly page: (words: string, page: PageWanted) => Promise<readonly SiteRow[]>
}

export interface AreasRepository extends EditableRows<Area, AreaFields> {
  readonly sizes: (areaId: string) => Promise<readonly AreaSize[]>
  readonly addSize: (size: {
    readonly id: string
    readonly areaId: string
    readonly on: string
    readonly sizeM2: number
    readonly sdM2: number
    readonly notes: FieldNotes
  }) => Promise<void>
}

export function sitesRepository(scope: Scope): SitesRepository {
  const { database, organizationId, options } = scope
  return {
    ...editableRows<SiteModel, Site, SiteFields>(
      scope,
      database.models.sites,
      plainRow('name', 'place', 'document'),
      ['name'],
    ),
    page: async (words, { limit, after }) => {
      const search = prefixSearch(words)
      // Written out: Sequelize has no words for a keyset over an expression, nor for the sums beside it.
      const rows = await database.sequelize.query<{
        id: string
        name: string
        place: string
        areas: string
        size: number | null
        last: string | null
      }>(
        `SELECT s.id, s.name, s.place, a.areas, a.size, l.last::text
         FROM (SELECT id, name, place FROM sites WHERE organization_id = :organizationId AND
           deleted_at IS NULL
               ${search ? `AND search @@ to_tsquery('simple', :search)` : ''}
               ${after ? 'AND (lower(name), id) > (:name, :id)' : ''}
               ORDER BY lower(name), id LIMIT :limit) s
         CROSS JOIN LATERAL (SELECT count(*) AS areas, sum(size_m2) FILTER (WHERE
           document->>'use' = 'turf') AS size FROM areas
               WHERE organization_id = :organizationId AND site_id = s.id AND deleted_at IS NULL) a
         CROSS JOIN LATERAL (SELECT max(on_day) AS last FROM laid_down WHERE organization_id =
           :organizationId AND site_id = s.id) l
         ORDER BY lower(s.name), s.id`,
        {
          type: QueryTypes.SELECT,
          replacements: {
            organizationId,
            limit,
            search: search ?? '',
            name: after?.at ?? '',
            id: after?.id ?? '',
          },
          ...options,
        },
      )
      return rows.map(({ id, name, place, areas, size, last }) => ({
        id,
        name,
        place,
        areas: Number(areas),
        sizeM2: size ?? 0,
        lastOn: last ?? '',
      }))
    },
  }
}

export function areasRepository(scope: Scope): AreasRepository {
  const {
    database: { models },
    organizationId,
    options,
  } = scope
  return {
    ...editableRows<AreaModel, Area, AreaFields>(
      scope,
      models.areas,
      plainRow('siteId', 'name', 'position', 'sizeM2', 'sdM2', 'document'),
      ['position'],
    ),
    sizes: async (areaId) =>
      (
        await models.areaSizes.findAll({
          where: { organizationId, areaId },
          order: [['at', 'DESC']],
          ...options,
        })
      ).map(({ id, onDay, sizeM2, sdM2, at }) => ({ id, on: onDay, sizeM2, sdM2, at: at.toISOString() })),
    addSize: async ({ on, ...size }) => {
      await models.areaSizes.create({ organizationId, ...size, onDay: on }, options)
    },
  }
}
