import { SAMPLE_JOBS } from '../../demo/sampleLinks'
import { stage } from '../support/stage'
import { lookAtViews } from '../support/views'

const STEPS = ['gate', 'mix-1', 'spray-1', 'cover-1', 'rest', 'rinse', 'notice', 'record']

lookAtViews(stage(), [
  `/jobs/${SAMPLE_JOBS.replan}?link=walk`,
  `/jobs/${SAMPLE_JOBS.replan}/lanes`,
  `/jobs/${SAMPLE_JOBS.replan}/lane-sheet`,
  `/jobs/${SAMPLE_JOBS.replan}/coverage`,
  `/jobs/${SAMPLE_JOBS.replan}/stripes?spacing=22`,
  ...STEPS.map((step) => `/jobs/${SAMPLE_JOBS.running}/run?step=${step}`),
  `/jobs/${SAMPLE_JOBS.running}/notice`,
  '/kept',
])
