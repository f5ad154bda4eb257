/**
 * Every figure that has a page of working, by name. A page is written and asked for by one of these: a name
 * that nobody writes does not compile.
 */
export type Figure =
  | GroundFigure
  | CalibrationFigure
  | AmountFigure
  | SeasonFigure
  | CostFigure
  | DayFigure
  | RunFigure
  | `check.${number}`
  | `outcome.${string}`
  // A book that keeps nothing needs no name.
  | ''

type GroundFigure =
  'ground.size' | 'area.size' | 'net' | `lawns.${string}.size` | `areas.${string}.size` | 'tool'

type CalibrationFigure =
  | 'calibration'
  | 'calibration.speed'
  | 'calibration.give'
  | 'calibration.spacing'
  | 'swath'
  | 'half'
  | 'speed'
  | 'mean'
  | 'fan'
  | 'pattern.rate'
  | 'ask'
  | 'asked'
  | 'answer'
  | 'solved'
  | 'dial'
  | 'walk'
  | 'lanes'
  | 'coverage'
  | 'stripes'
  | `rates.${number}.dial`
  | `rates.${number}.pass`

type AmountFigure =
  | 'carrier'
  | 'carrier.heavy'
  | 'mix'
  | 'loads.count'
  | 'tub'
  | 'passes.light'
  | 'checkpoints'
  | `products.${string}.${'amount' | 'measured' | 'charge' | 'weighIn'}`
  | `measures.${string}.${number}`
  | `nutrients.${'n' | 'p2o5' | 'k2o' | 'fe'}`
  | `equivalent.${string}`
  | `package.${string}`
  | 'package.set'

type SeasonFigure =
  | `nitrogen.${string}`
  | `${'p2o5' | 'k2o'}.${string}`
  | `left.${string}.${string}`
  | 'soil'
  | 'indices'
  | 'windows'
  | 'whichDay'
  | 'nitrogen.program'
  | `purchase.${string}`
  | `use.${string}`
  | `budget.${string}`
  | `heatUnits.${number}`

type CostFigure = 'cost.job' | `cost.job.${string}` | `cost.area.${string}` | `cost.${string}.${string}`

type RunFigure =
  `run.${'checkpoint' | 'should' | 'weighing' | 'loads' | 'tank' | 'leftover' | 'short' | 'water' | 'spots'}`

type DayFigure = 'day.spray' | `day.${string}` | `mix.${string}`
