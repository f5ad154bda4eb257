import * as v from 'valibot'
import { GRASS_NAMES } from './grasses'

export const GrassesSchema = v.pipe(v.array(v.picklist(GRASS_NAMES)), v.maxLength(GRASS_NAMES.length))
