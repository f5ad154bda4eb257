import type * as Leaflet from 'leaflet'
import type { InjectionKey, ShallowRef } from 'vue'
import { toMillimetre } from '#core/ground/editOutline'
import type { ThemeColours } from '../shell/themeColours'
import { turned, type Point, type Ring } from '#core/ground/plane'

/**
 * The map a plan is drawn on, for the layers that stand inside it. North is up: a plan whose own axes are
 * turned is turned back on screen.
 */
export interface SiteMapContext {
  readonly map: ShallowRef<Leaflet.Map | undefined>
  readonly leaflet: ShallowRef<typeof Leaflet | undefined>
  readonly toView: (point: Point) => Leaflet.LatLngTuple
  readonly fromView: (at: Leaflet.LatLng) => Point
  readonly colours: ComputedRef<ThemeColours>
}

const key: InjectionKey<SiteMapContext> = Symbol('plan map')

/**
 * Gives the layers below their map.
 * @param bearing how the plan's upward axis is turned from north, degrees
 */
export function provideSiteMap(bearing: () => number): SiteMapContext {
  const context: SiteMapContext = {
    map: shallowRef(),
    leaflet: shallowRef(),
    toView: (point) => {
      const [x, y] = turned(point, [0, 0], bearing())
      return [y, x]
    },
    fromView: ({ lat, lng }) => toMillimetre(turned([lng, lat], [0, 0], -bearing())),
    colours: useThemeColours(),
  }
  provide(key, context)
  return context
}

export function useSiteMapContext(): SiteMapContext {
  const context = inject(key)
  if (!context) throw new Error('no plan map is provided above this layer')
  return context
}

/**
 * Draws a layer again whenever what it shows changes, and takes it away with its component.
 * @param draw returns what was put on the map
 */
export function useMapLayer(
  draw: (leaflet: typeof Leaflet, map: Leaflet.Map, context: SiteMapContext) => readonly Leaflet.Layer[],
) {
  const context = useSiteMapContext()
  let layers: readonly Leaflet.Layer[] = []
  const clear = () => layers.forEach((layer) => layer.remove())
  watchEffect(() => {
    clear()
    const { map, leaflet } = context
    layers = map.value && leaflet.value ? draw(leaflet.value, map.value, context) : []
  })
  onScopeDispose(clear)
  return context
}

/** Leaflet and its drawing tools; the tools look for Leaflet on the window. */
export async function loadLeaflet(): Promise<typeof Leaflet> {
  const module = await import('leaflet')
  const leaflet = ('default' in module ? module.default : module) as typeof Leaflet
  Object.assign(window, { L: leaflet })
  await Promise.all([
    import('leaflet/dist/leaflet.css'),
    import('@geoman-io/leaflet-geoman-free'),
    import('@geoman-io/leaflet-geoman-free/dist/leaflet-geoman.css'),
  ])
  return leaflet
}

/** A ring in the map's own coordinates. */
export const viewRing = (ring: Ring, { toView }: SiteMapContext) => ring.map(toView)

/** Words that stand on a plan; nothing can be done with them. @param kind of label, as its class */
export function planWords(
  L: typeof Leaflet,
  { toView }: SiteMapContext,
  at: Point,
  words: string,
  kind: string,
): Leaflet.Marker {
  return L.marker(toView(at), {
    icon: L.divIcon({
      className: `plan-label ${kind}`,
      html: Object.assign(document.createElement('span'), { textContent: words }),
      iconSize: [0, 0],
    }),
    interactive: false,
    keyboard: false,
    pmIgnore: true,
    snapIgnore: true,
  } as Leaflet.MarkerOptions)
}

/** A dot on a plan; nothing can be done with it. @param radius pixels */
export const planDot = (
  L: typeof Leaflet,
  { toView }: SiteMapContext,
  at: Point,
  {
    color,
    radius,
    fill = color,
  }: { readonly color: string; readonly radius: number; readonly fill?: string },
): Leaflet.CircleMarker =>
  L.circleMarker(toView(at), {
    radius,
    color,
    weight: 2,
    fillColor: fill,
    fillOpacity: 1,
    interactive: false,
    pmIgnore: true,
    snapIgnore: true,
  } as Leaflet.CircleMarkerOptions)
