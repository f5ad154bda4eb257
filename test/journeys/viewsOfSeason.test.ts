import { SAMPLE_AREAS, SAMPLE_PROGRAM } from '../../demo/sampleLinks'
import { SHORE_STATION } from '../../demo/sampleWeather'
import { stage } from '../support/stage'
import { lookAtViews } from '../support/views'

lookAtViews(stage(), [
  `/season/${SAMPLE_AREAS.bowlsGreen}`,
  `/season/${SAMPLE_AREAS.green}`,
  '/season/board',
  '/season/week',
  '/season/programs',
  `/season/programs/${SAMPLE_PROGRAM}`,
  '/season/buying',
  '/season/stations',
  `/season/stations/${SHORE_STATION}`,
])
