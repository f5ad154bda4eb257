import { pixelAt, readPictureScale, UNSCALED_M } from '#core/ground/pictureScale'
import type { Point } from '#core/ground/plane'
import { fieldReader } from '#core/quantity/fieldReader'
import type { MapPicture, Site, SiteDocument } from '#shared/schemas/ground'

const SAVE_AFTER_MS = 400

/** The picture under a plan: shown at once, saved a moment later, for sliders speak often; its two points. */
export function usePlanPicture(
  site: Ref<Site | undefined>,
  change: (fields: Partial<SiteDocument>) => Promise<void>,
) {
  const picking = ref(false)
  const picks = shallowRef<readonly (readonly [number, number])[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined

  function setPicture(picture: MapPicture | undefined) {
    if (!site.value) return
    const { picture: _, ...document } = site.value.document
    site.value = { ...site.value, document: { ...document, ...(picture && { picture }) } }
    clearTimeout(timer)
    timer = setTimeout(() => void change({ picture }), SAVE_AFTER_MS)
  }
  function pick() {
    picks.value = []
    picking.value = true
  }
  /** A point pressed on the plan, while two are asked for. */
  function put(at: Point) {
    const picture = site.value?.document.picture
    if (!picking.value || !picture) return
    const scale = readPictureScale(picture, '', fieldReader())?.metresPerPixel ?? UNSCALED_M / picture.width
    picks.value = [...picks.value, pixelAt(at, picture, scale)]
    const [from, to] = picks.value
    if (from && to) {
      picking.value = false
      setPicture({ ...picture, from, to })
    }
  }
  /** What is marked on it: the points being picked, else the two that scale it. */
  const pictured = computed(() => {
    const picture = site.value?.document.picture
    return picking.value
      ? picks.value
      : picture && readPictureScale(picture, '', fieldReader())
        ? [picture.from, picture.to]
        : []
  })
  return { picking, picks, pictured, pick, put, setPicture }
}
