import type { LinkName } from '#core/job/chain'

/** The links of the chain as people say them. */
export const LINK_NAMES: Readonly<Record<LinkName, string>> = {
  measure: 'Measure',
  calibrate: 'Calibrate',
  rate: 'Rate',
  load: 'Load',
  walk: 'Walk',
  log: 'Log',
}
