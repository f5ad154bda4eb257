import { CurveRequestSchema } from '#shared/schemas/compute/bench'
import { computed } from '../http/computed'
import { answerCurve } from '../services/compute/curve'

export default computed(CurveRequestSchema, answerCurve)
