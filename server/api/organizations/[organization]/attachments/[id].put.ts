import { LARGEST_PICTURE } from '#shared/schemas/picture'
import { readBytes } from '../../../../http/readBytes'
import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { keepPicture } from '../../../../services/keepPicture'

/** A picture as its bytes. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  return keepPicture(repositoriesOf(event), id, await readBytes(event, LARGEST_PICTURE))
})
