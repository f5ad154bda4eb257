import {
  SAMPLE_AREAS,
  SAMPLE_BENCH_TESTS,
  SAMPLE_CALIBRATION,
  SAMPLE_EQUIPMENT,
  SAMPLE_JOBS,
  SAMPLE_PRODUCTS,
  SAMPLE_RECORDS,
  SAMPLE_SITES,
} from '../../demo/sampleLinks'
import { stage } from '../support/stage'
import { lookAtViews } from '../support/views'

lookAtViews(stage(), [
  `/sites/${SAMPLE_SITES.cooperage}`,
  `/sites/${SAMPLE_SITES.cooperage}/map`,
  `/sites/${SAMPLE_SITES.cooperage}/areas/${SAMPLE_AREAS.green}`,
  `/equipment/${SAMPLE_EQUIPMENT.push}`,
  `/equipment/${SAMPLE_EQUIPMENT.tow}`,
  `/equipment/${SAMPLE_EQUIPMENT.push}/tests/${SAMPLE_BENCH_TESTS.pattern}`,
  `/equipment/${SAMPLE_EQUIPMENT.push}/calibrations/${SAMPLE_CALIBRATION}`,
  `/products/${SAMPLE_PRODUCTS.fungicide}`,
  `/jobs/${SAMPLE_JOBS.stopped}`,
  `/jobs/${SAMPLE_JOBS.visit}`,
  `/jobs/${SAMPLE_JOBS.stopped}/load-sheet`,
  `/jobs/${SAMPLE_JOBS.running}/log`,
  `/jobs/${SAMPLE_JOBS.feed}/what-if`,
  `/jobs/${SAMPLE_JOBS.grasses}/what-if`,
  `/records/${SAMPLE_RECORDS.wet}`,
])
