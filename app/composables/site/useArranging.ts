import type { LawnPart } from '#core/ground/areaShape'
import type { Place } from '#core/ground/plane'
import { placesNow, type MapShape } from '#core/ground/siteLayout'
import type { SiteMapReading } from '#core/ground/siteMap'
import { sameContent } from '#core/sameContent'
import type { Area } from '#shared/schemas/ground'

/** An area as it is saved with other parts. */
export const withParts = (area: Area, parts: readonly LawnPart[]) => ({
  id: area.id,
  name: area.name,
  document: { ...area.document, parts },
})

interface Arranging {
  readonly areas: () => readonly Area[]
  readonly plan: () => SiteMapReading
  /** Whether things can be moved now. */
  readonly open: () => boolean
  readonly selected: () => string | undefined
  readonly apply: (changed: readonly ReturnType<typeof withParts>[]) => Promise<boolean>
}

/** Ground whose place is not known, to be put where it looks right; no figure changes. */
export function useArranging({ areas, plan, open, selected, apply }: Arranging) {
  /** Whether the shapes of the chosen area are moved one by one. */
  const apart = ref(false)
  const loose = computed(() =>
    !open()
      ? []
      : plan().areas.flatMap(({ id, name, shapes }) => {
          const own = shapes.filter(({ place }) => place)
          const groups = id === selected() && apart.value ? own.map((shape) => [shape]) : [own]
          return groups
            .filter((group) => group.length > 0)
            .map((group) => ({
              key: [id, ...group.map(({ partId }) => partId)].join(' '),
              id,
              label: name || 'this area',
              shapes: group,
              rings: group.flatMap(({ rings }) => rings),
            }))
        }),
  )
  const standingAround = (taken: readonly MapShape[]) =>
    plan()
      .layout.shapes.filter((shape) => !taken.includes(shape))
      .flatMap(({ rings }) => rings)

  /** What is moved lies there from now on; all else that has no place keeps the one it is drawn at. */
  function arrange(places: ReadonlyMap<string, Place>) {
    const drawn = placesNow(plan().layout.shapes)
    void apply(
      areas().flatMap((area) => {
        const now = new Map([...(drawn.get(area.id) ?? []), ...places])
        const parts = area.document.parts.map((part) => {
          const place = now.get(part.id)
          return place ? { ...part, place } : part
        })
        return sameContent(parts, area.document.parts) ? [] : [withParts(area, parts)]
      }),
    )
  }
  return { apart, loose, standingAround, arrange }
}
