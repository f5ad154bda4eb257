import { daysAfter } from '#core/calendar/daysBetween'
import type { UnitSystem } from '#core/quantity/systems'
import type { AreaSeason } from '#core/season/areaSeason'
import { besideProgram, nextOnLawn, type NextOnLawn } from '#core/season/nextOnLawn'
import type { LawnDue } from '#core/season/seasonDue'
import type { Organization } from '#shared/schemas/organization'
import type { BoardRow } from '#shared/schemas/program'
import type { Repositories } from '../../repositories/forOrganization'
import { readSeason, seasonAt, type PlaceSeason } from './readSeason'

/** Steps are shown on the board from so many days before they open. */
const SOON_DAYS = 14

const nextAt = ({ season, ground, program }: PlaceSeason, today: string): readonly NextOnLawn[] => {
  const next = nextOnLawn(season, ground, today)
  return program ? besideProgram(next) : next
}

/** Every lawn of the crew with what opens, closes or is late. */
export async function seasonBoard(
  repositories: Repositories,
  organization: Organization,
  units: UnitSystem = organization.units,
): Promise<readonly BoardRow[]> {
  const crew = await readSeason(repositories, organization, units)
  const { today } = crew.source
  const soon = daysAfter(today, SOON_DAYS)
  const rows: BoardRow[] = []
  for (const place of crew.places) {
    const own = await seasonAt(crew, place)
    rows.push({
      areaId: place.area.id,
      area: place.area.name,
      siteId: place.site.id,
      site: place.site.name,
      priority: place.area.document.priority,
      program: own.program?.name ?? '',
      next: nextAt(own, today),
      due: own.intended.filter(
        ({ state, from = '' }) => state === 'open' || state === 'late' || (state === 'ahead' && from <= soon),
      ),
    })
  }
  return rows
}

/** A lawn as Today sees it: what it asks for, and what holds its growth back. */
export interface LawnSeason extends LawnDue {
  readonly regulators: AreaSeason['regulators']
}

/** The same for Today: what is open or late, whatever is only to come left out. */
export async function lawnsDue(
  repositories: Repositories,
  organization: Organization,
): Promise<readonly LawnSeason[]> {
  const crew = await readSeason(repositories, organization, organization.units)
  const lawns: LawnSeason[] = []
  for (const place of crew.places) {
    const own = await seasonAt(crew, place)
    lawns.push({
      areaId: place.area.id,
      area: place.area.name,
      siteId: place.site.id,
      site: place.site.name,
      next: nextAt(own, crew.source.today),
      steps: own.intended.filter(({ state }) => state === 'open' || state === 'late'),
      regulators: own.season.regulators,
    })
  }
  return lawns
}
