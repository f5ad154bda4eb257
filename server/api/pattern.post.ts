import { PatternRequestSchema } from '#shared/schemas/compute/bench'
import { computed } from '../http/computed'
import { answerPattern } from '../services/compute/pattern'

export default computed(PatternRequestSchema, answerPattern)
