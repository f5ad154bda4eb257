import { ReadLabelRequestSchema } from '#shared/schemas/compute/readLabel'
import { computed } from '../http/computed'
import { answerReadLabel } from '../services/compute/readLabel'

export default computed(ReadLabelRequestSchema, answerReadLabel)
