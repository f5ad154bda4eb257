import { v7 as uuid } from 'uuid'
import { blankApplication } from '#core/draft/blankApplication'
import { withAreas } from '#core/draft/filledFromLibrary'
import { intendedApplication } from '#core/program/intendedApplication'
import type { Intention } from '#core/program/intentions'
import type { Area } from '#shared/schemas/ground'

/** Turns steps of a program into jobs: areas, label, rate and machine as the library has them now. */
export function useIntended() {
  const crew = useCrewStore()
  const library = useLibraryStore()
  const { beginJob } = useNewJob()
  const { filling } = useFromLibrary()

  /** @param areaIds lawns of that one site */
  async function planStep(
    { title, productId, nitrogen, from }: Pick<Intention, 'title' | 'productId' | 'nitrogen' | 'from'>,
    siteId: string,
    site: string,
    areaIds: readonly string[],
  ) {
    await library.load()
    const all: readonly Area[] = await library.loadAreas(siteId)
    const areas = all.filter(({ id }) => areaIds.includes(id))
    const today = crew.today()
    const on = from === undefined || from < today ? today : from
    const product = library.products.find(({ id }) => id === productId)
    const document = product
      ? intendedApplication({ product, nitrogen }, areas, on, filling())
      : withAreas(
          blankApplication(
            { lawn: uuid(), part: uuid(), product: uuid(), run: uuid() },
            'spread',
            crew.units,
          ),
          areas,
        )
    await beginJob({
      version: 0,
      site,
      siteId,
      purpose: title,
      plannedFor: on,
      state: 'draft',
      applications: [{ id: uuid(), document }],
    })
  }
  return { planStep }
}
