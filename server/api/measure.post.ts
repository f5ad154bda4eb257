import { MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { computed } from '../http/computed'
import { answerMeasure } from '../services/compute/measure'

export default computed(MeasureRequestSchema, answerMeasure)
