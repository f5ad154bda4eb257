import { SeasonRequestSchema } from '#shared/schemas/compute/season'
import { computed } from '../http/computed'
import { answerSeason } from '../services/compute/season'

export default computed(SeasonRequestSchema, answerSeason)
