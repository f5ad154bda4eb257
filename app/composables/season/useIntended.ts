import { v7 as uuid } from 'uuid'
import { blankApplication } from '#core/draft/blankApplication'
import { withAreas } from '#core/draft/filledFromLibrary'
import { intendedApplication } from '#core/program/intendedApplication'
import type { Intention } from '#core/program/intentions'
import type { WeekWork } from '#shared/schemas/season'

const LONGEST_PURPOSE = 200

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
    const all = await ask(questions.areas(siteId))
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
  /** A visit keeps its ids: sent again after a lost answer it is the same job, not a second one. */
  const visits = new Map<string, { readonly id: string; readonly body: object }>()

  /** What is done on a site on a day as one job, a draft. @param givenTo by name, blank for nobody yet */
  async function makeVisit(on: string, siteId: string, works: readonly WeekWork[], givenTo: string) {
    const key = [on, siteId, givenTo, ...works.map(({ id }) => id)].join(' ')
    const visit = visits.get(key) ?? (await visitOf(on, siteId, works, givenTo))
    visits.set(key, visit)
    await tell('PUT', `/jobs/${visit.id}`, visit.body)
  }
  async function visitOf(on: string, siteId: string, works: readonly WeekWork[], givenTo: string) {
    const all = await ask(questions.areas(siteId))
    const applications = works.flatMap(({ productId, nitrogen, areas }) => {
      const product = library.products.find(({ id }) => id === productId)
      const treated = all.filter(({ id }) => areas.some((area) => area.id === id))
      return product
        ? [{ id: uuid(), document: intendedApplication({ product, nitrogen }, treated, on, filling()) }]
        : []
    })
    const purpose = works.map(({ what }) => what).join(', then ')
    return {
      id: uuid(),
      body: {
        version: 0,
        site: works[0]?.site ?? '',
        siteId,
        purpose: purpose.slice(0, LONGEST_PURPOSE),
        givenTo,
        plannedFor: on,
        state: 'draft',
        applications,
      },
    }
  }
  return { planStep, makeVisit }
}
