import { named } from './typed'

/** Ids of the sample that pictures, tests and documents lead to. */
const job = (words: string) => named(`job ${words}`)
export const SAMPLE_JOBS = {
  feed: job('Cooperage Row Spring feed, front strips 2026-05-06'),
  running: job('Tamsin Point Bowls Club Growth regulator with iron 2026-05-06'),
  mixing: job('St Brannock’s School Soil conditioner, front lawn 2026-05-06'),
  stopped: job('The Saltings Iron for colour, front and side 2026-05-07'),
  replan: job('Quarry Lane Cemetery Light feed on the slopes 2026-05-08'),
  grasses: job('The Saltings Spring feed, each grass at its rate 2026-05-12'),
  visit: job('Marlow Court First feed, then iron 2026-05-11'),
} as const
export const SAMPLE_RECORDS = {
  dry: named('application Marlow Court Feed, terrace 2026-04-29'),
  wet: named('application Cooperage Row Iron for colour 2026-04-14'),
} as const
export const SAMPLE_SITES = {
  cooperage: named('site Cooperage Row'),
  saltings: named('site The Saltings'),
  bowls: named('site Tamsin Point Bowls Club'),
  cemetery: named('site Quarry Lane Cemetery'),
  school: named('site St Brannock’s School'),
} as const
export const SAMPLE_AREAS = {
  green: named('area Cooperage Row Shared green'),
  bowlsGreen: named('area Bowls Green'),
  front: named('area Saltings Fescue front'),
  field: named('area School Playing field'),
} as const
export const SAMPLE_PRODUCTS = {
  fungicide: named('product Propiconazole 14.3 % concentrate'),
  granule: named('product Slow-feed 21-0-6 granule'),
} as const
export const SAMPLE_EQUIPMENT = {
  push: named('equipment 80 lb broadcast push spreader'),
  tow: named('equipment 26 gal tow boom'),
} as const
export const SAMPLE_CALIBRATION = named(
  'calibration 80 lb broadcast push spreader 2026-04-21 Slow-feed 21-0-6 granule',
)
export const SAMPLE_BENCH_TESTS = {
  pattern: named('trial push 2026-04-20'),
  nozzles: named('trial tow 2026-04-12'),
} as const
export const SAMPLE_PROGRAM = named('program cool-season lawn')
