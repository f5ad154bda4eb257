import { ImportCalibrationsSchema } from '#shared/schemas/calibrationFile'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { importCalibrations } from '../../../../../services/calibrationFiles'

/** Takes calibrations of a file in, all or none. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  return importCalibrations(repositoriesOf(event), id, await readBodyAs(event, ImportCalibrationsSchema))
})
