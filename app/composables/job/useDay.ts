import { workDay } from '#core/calendar/workDay'
import { workOutJob, type JobQuestion } from '#core/job/workOutJob'
import { routeNeeds, routeSpray } from '#core/job/route/routeNeeds'
import { alikeApart, commonMixes, type RouteApplication } from '#core/job/route/commonMix'
import { daySheets, routeApplications } from '#core/run/common/dayApplications'
import type { PlannedRow } from '#core/season/ledger'
import { openWorkingBook } from '#core/working/working'
import type { Area, LedgerRow } from '#shared/schemas/ground'
import type { Job } from '#shared/schemas/job'

/** Lawns of a site, what lies on them and what is planned there. */
interface SiteOfDay {
  readonly areas: readonly Area[]
  readonly ledger: readonly LedgerRow[]
  readonly planned: readonly PlannedRow[]
}

const siteOfDay = async (id: string): Promise<SiteOfDay> => {
  const [areas, ledger, planned] = await Promise.all([
    ask(questions.areas(id)),
    ask(questions.ledger(id)),
    ask(questions.planned(id)),
  ])
  return { areas, ledger, planned }
}

/** The jobs of one day in driving order, worked out together: common mixes, what goes on the truck. */
export function useDay(day: MaybeRefOrGetter<string>) {
  const crew = useCrewStore()
  const libraryStore = useLibraryStore()
  const notice = useNotice()
  /** Every job of the day, and those looked at: all, or one person's. */
  const all = shallowRef<readonly Job[]>([])
  const { whose, choices, own: ownOf } = useWhose(() => all.value)
  const jobs = computed(() => ownOf(all.value))
  const sites = shallowRef<ReadonlyMap<string, SiteOfDay>>(new Map())
  const problem = ref<string>()
  const { library, house } = useJobLibrary()

  async function load() {
    try {
      const found = await ask(questions.day(toValue(day)))
      const ids = [...new Set(found.flatMap(({ siteId }) => siteId ?? []))]
      sites.value = new Map(await Promise.all(ids.map(async (id) => [id, await siteOfDay(id)] as const)))
      all.value = found
      problem.value = undefined
    } catch (error) {
      problem.value = errorText(error)
    }
  }

  /** A job is worked out with all its applications; what was begun is shown as it was frozen. */
  function questionOf(job: Job): JobQuestion {
    const site = job.siteId === null ? undefined : sites.value.get(job.siteId)
    const own = new Set(job.applications.map(({ id }) => id))
    return {
      applications: job.applications,
      day: workDay(job.plannedFor, crew.today()),
      house: house.value,
      library: library.value && site && { ...library.value, areas: site.areas },
      ledger: site?.ledger ?? [],
      planned: (site?.planned ?? []).filter(({ applicationId }) => !own.has(applicationId)),
    }
  }
  const sheets = computed(() =>
    jobs.value.map((job) => ({ job, own: daySheets(job, workOutJob(questionOf(job))) })),
  )
  const applications = computed(() => sheets.value.flatMap(({ job, own }) => routeApplications(job, own)))
  /** What stops each job that has not begun, by its id. */
  const stopped = computed(
    () =>
      new Map(
        sheets.value.flatMap(({ job, own }) => {
          const stops =
            job.state === 'draft' || job.state === 'planned'
              ? own.flatMap(({ sheet }) => sheet.checks.filter(({ level }) => level === 'stop'))
              : []
          return stops.length > 0 ? [[job.id, stops.map(({ message }) => message)] as const] : []
        }),
      ),
  )
  const unready = computed(() =>
    jobs.value.filter((job) =>
      job.applications.some(
        ({ id }) => !applications.value.some(({ applicationId }) => applicationId === id),
      ),
    ),
  )
  const mixes = computed(() => commonMixes(applications.value))
  /** What is still to be put down: done work asks for no product any more. */
  const open = computed(() => applications.value.filter(({ state }) => state !== 'done'))
  const needs = computed(() => routeNeeds(open.value, mixes.value, libraryStore.products))
  const spray = computed(() => routeSpray(open.value, mixes.value))
  /** Applications that are sprayed alike but mixed apart. */
  const alike = computed(() => alikeApart(applications.value.filter(({ state }) => state === 'planned')))
  /** Puts the job at one place of the driving order to another. */
  async function move(from: number, to: number) {
    const before = all.value.map(({ id }) => id)
    const placeOf = (index: number) => before.indexOf(jobs.value[index]?.id ?? '')
    const site = jobs.value[from]?.site || 'Unnamed site'
    await putInOrder(moved(before, placeOf(from), placeOf(to)))
    if (problem.value === undefined)
      notice.say(`${site} is stop ${to + 1} now.`, undefined, {
        label: 'Undo',
        act: () => putInOrder(before),
      })
  }
  const putInOrder = (order: readonly string[]) =>
    change(() =>
      tell<readonly Job[]>('PUT', `/days/${toValue(day)}`, { order }).then((now) => {
        all.value = now
      }),
    )

  /** Marks applications as one mix, or as mixed apart again, and saves their jobs. */
  async function share(
    own: readonly Pick<RouteApplication, 'applicationId' | 'jobId'>[],
    shared: '' | 'day',
  ) {
    await change(async () => {
      for (const job of jobs.value.filter(({ id }) => own.some(({ jobId }) => jobId === id))) {
        const draft = draftOf(job)
        const marked = draft.applications.map((one) =>
          own.some(({ applicationId }) => applicationId === one.id)
            ? { ...one, document: { ...one.document, spray: { ...one.document.spray, shared } } }
            : one,
        )
        await tell('PUT', `/jobs/${job.id}`, { ...draft, applications: marked })
      }
      await load()
    })
  }

  async function change(act: () => Promise<void>) {
    try {
      await act()
      problem.value = undefined
    } catch (error) {
      const told = errorText(error)
      await load()
      problem.value = told
    }
  }

  function pages() {
    const book = openWorkingBook()
    commonMixes(applications.value, book)
    routeNeeds(open.value, mixes.value, libraryStore.products, book)
    routeSpray(open.value, mixes.value, book)
    for (const mix of mixes.value)
      for (const { figure, lines } of mix.plan.working) book.note(figure, () => lines)
    return book.pages()
  }
  return {
    jobs,
    whose,
    choices,
    problem,
    load,
    applications,
    unready,
    stopped,
    mixes,
    needs,
    spray,
    alike,
    move,
    share,
    pages,
  }
}
