import { CalibrateRequestSchema } from '#shared/schemas/compute/calibrate'
import { computed } from '../http/computed'
import { answerCalibrate } from '../services/compute/calibrate'

export default computed(CalibrateRequestSchema, answerCalibrate)
