import type { Component } from 'vue'
import type { LinkName } from '#core/job/chain'

type WorkedLink = Exclude<LinkName, 'log'>

/** What one works with on each link, fetched when it is first opened or reached for. */
const FETCH: Readonly<Record<WorkedLink, () => Promise<{ readonly default: Component }>>> = {
  measure: () => import('~/components/job/measure/MeasureLink.vue'),
  calibrate: () => import('~/components/job/calibrate/MethodBlock.vue'),
  rate: () => import('~/components/job/rate/ProductList.vue'),
  load: () => import('~/components/job/load/LoadsZone.vue'),
  walk: () => import('~/components/job/walk/WalkLink.vue'),
}
const fetched = shallowReactive<Partial<Record<LinkName, Component>>>({})

export const partOf = (link: LinkName): Component | undefined => fetched[link]

export async function reachFor(link: LinkName): Promise<void> {
  if (link !== 'log' && !fetched[link]) fetched[link] = (await FETCH[link]()).default
}

/** Where something is still to be typed, Enter leads from link to link. */
export const reachForAll = () => Promise.all((Object.keys(FETCH) as WorkedLink[]).map(reachFor))
