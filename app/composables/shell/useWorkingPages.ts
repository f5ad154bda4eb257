import type { Figure } from '#core/working/figures'
import type { Working } from '#core/working/working'

/** Gives the drawer this screen's pages and what its figures are called; they go with the screen. */
export function useWorkingPages(pages: () => readonly Working[], names: Ref<ReadonlyMap<Figure, string>>) {
  const working = useWorkingStore()
  const source = { pages, nameOf: (figure: Figure) => names.value.get(figure) ?? plainName(figure) }
  working.add(source)
  onScopeDispose(() => working.remove(source))
}

const PLAIN: Readonly<Partial<Record<Figure, string>>> = {
  'ground.size': 'Ground together',
  soil: 'Soil at 2 in',
  indices: 'Disease indices',
  windows: 'Five-day mean of the soil',
  calibration: 'Calibration',
  'calibration.give': 'Uncertainty of the calibration',
  'package.set': 'What to buy for all of it',
  carrier: 'Spray on the lawn',
  'carrier.heavy': 'Carrier of a heavy mix',
  mix: 'Spray to mix',
  'loads.count': 'Loads',
  walk: 'Walk',
  lanes: 'Lanes',
  stripes: 'Stripes',
  coverage: 'What the ground gets',
  'calibration.spacing': 'Rate at this lane spacing',
  checkpoints: 'Left in the hopper on the way',
  tub: 'Weighings in the tub',
  'passes.light': 'Light passes',
  'cost.job': 'Product of this application',
  'day.spray': 'Spray of the day',
  'nutrients.n': 'Nitrogen applied',
  'nutrients.p2o5': 'Phosphate applied',
  'nutrients.k2o': 'Potash applied',
  'nutrients.fe': 'Iron applied',
}
const plainName = (figure: Figure): string => PLAIN[figure] ?? figure
