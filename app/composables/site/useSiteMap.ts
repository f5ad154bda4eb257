import type { Anchor } from '#core/ground/geodesy'
import { readSiteMap, type MappedArea } from '#core/ground/siteMap'
import type { Area, Site, SiteDocument } from '#shared/schemas/ground'
import type { DrawnLabel, DrawnShape } from '~/components/map/MapShapes.vue'

/** A site with its areas, as its plan needs them. */
export function useSite(siteId: string) {
  const site = shallowRef<Site>()
  const notice = useNotice()
  const load = async () => {
    site.value = await ask(questions.site(siteId)).catch(() => undefined)
  }

  /** Changes the site's own document over the version in hand; if somebody was quicker, over theirs. */
  async function change(fields: Partial<SiteDocument>) {
    for (let round = 0; round < 2; round++) {
      if (!site.value) await load()
      if (!site.value) return
      const { name, place, version, document } = site.value
      try {
        site.value = await tell<Site>('PUT', `/library/sites/${siteId}`, {
          version,
          name,
          place,
          document: { ...document, ...fields },
        })
        return
      } catch (error) {
        if (errorCode(error) !== 'changed-elsewhere' || round > 0)
          return notice.say('The plan is not saved.', errorText(error))
        site.value = errorCurrent(error) as Site
      }
    }
  }
  const anchorAt = async (anchor: Anchor) => {
    if (site.value && !site.value.document.anchor) await change({ anchor })
  }
  return { site, load, change, anchorAt }
}

/** All areas of a site on one plan. @param areas stored or being edited */
export function useSiteMapOf(areas: () => readonly Pick<Area, 'id' | 'name' | 'document'>[]) {
  const crew = useCrewStore()
  return computed(() =>
    readSiteMap(
      areas().map(({ id, name, document }) => ({ id, name, document })),
      crew.today(),
    ),
  )
}

/**
 * What of a plan is drawn.
 * @param own ids drawn in full; the rest stands back.
 * @param without a part that is being edited
 */
export function drawnShapes(
  areas: readonly MappedArea[],
  own: (id: string) => boolean,
  without?: string,
): readonly DrawnShape[] {
  const astray = new Set(areas.flatMap(({ strays }) => strays.map(({ partId }) => partId)))
  return areas.flatMap(({ id, shapes }) =>
    shapes
      .filter(({ partId }) => partId !== without)
      .map((shape): DrawnShape => ({
        key: `${id} ${shape.partId}`,
        rings: shape.rings,
        sign: shape.sign,
        schematic: shape.place !== undefined,
        tone: astray.has(shape.partId) ? 'astray' : own(id) ? 'own' : 'other',
      })),
  )
}

/** Names and sizes on a plan. */
export function useMapLabels(
  areas: () => readonly MappedArea[],
  labels: () => readonly {
    readonly lawnId: string
    readonly name: string
    readonly at: readonly [number, number]
  }[],
) {
  const shown = useShown()
  return computed(() =>
    labels().map(({ lawnId, name, at }): DrawnLabel => {
      const size = areas().find(({ id }) => id === lawnId)?.size
      const told = size === undefined ? undefined : shown.size(size)
      return {
        key: lawnId,
        at,
        words: name || 'this area',
        ...(told && { below: `${told.figure} ${told.unit}` }),
      }
    }),
  )
}
