import { NozzlesRequestSchema } from '#shared/schemas/compute/bench'
import { computed } from '../http/computed'
import { answerNozzles } from '../services/compute/nozzles'

export default computed(NozzlesRequestSchema, answerNozzles)
